import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { productNames } from '@/server/store/products';
import { WordsOf } from '@/app/words-of';
import { SituationEditor } from '@/ui/practice/situation-editor';
import { titled } from '../../../titled';

export const generateMetadata = titled('titles.newPractice');

export default async function NewNightPage() {
  await housePage('/practice/new');
  const products = await productNames(pool());
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'practice', 'shaping']}>
      <SituationEditor products={products} />
    </WordsOf>
  );
}
