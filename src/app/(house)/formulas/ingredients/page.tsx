import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { ingredients } from '@/server/store/ingredients';
import { WordsOf } from '@/app/words-of';
import { IngredientsView } from '@/ui/formulas/ingredients-view';

export const generateMetadata = titled('titles.ingredients');

export default async function IngredientsPage() {
  const { person } = await housePage('/formulas/ingredients');
  return (
    <WordsOf areas={['formulas', 'names']}>
      <IngredientsView ingredients={await ingredients(pool())} person={person} />
    </WordsOf>
  );
}
