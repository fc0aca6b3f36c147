import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { BEGINNINGS } from '@/server/setup/beginnings';
import { currentProducts } from '@/server/store/products';
import { setUp } from '@/server/store/set-up';
import { WordsOf } from '@/ui/kit/words-of';
import { SetUpView } from '@/ui/opening/set-up-view';

export const metadata = titled('titles.setUp');

export default async function SetUpPage() {
  await housePage('/setup');
  const db = pool();
  const [state, products] = await Promise.all([setUp(db), currentProducts(db)]);
  const own = new Set(products.map(({ name }) => name));
  const shelf = BEGINNINGS.map(({ name, doughName, scheme }) => {
    return { name, doughName, scheme, isOwn: own.has(name) };
  });
  return (
    <WordsOf areas={['cutting', 'heat', 'house', 'lamination', 'setup', 'shaping']}>
      <SetUpView state={state} shelf={shelf} />
    </WordsOf>
  );
}
