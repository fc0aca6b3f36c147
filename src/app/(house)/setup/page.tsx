import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { languageHere } from '@/server/reader';
import { beginningsIn } from '@/server/setup/beginnings';
import { currentProducts } from '@/server/store/products';
import { setUp } from '@/server/store/set-up';
import { WordsOf } from '@/app/words-of';
import { SetUpView } from '@/ui/opening/set-up-view';

export const generateMetadata = titled('titles.setUp');

export default async function SetUpPage() {
  await housePage('/setup');
  const db = pool();
  const [state, products] = await Promise.all([setUp(db), currentProducts(db)]);
  const own = new Map(products.map(({ name, productId }) => [name, productId]));
  const shelf = beginningsIn(await languageHere()).map((one) => ({
    ...one,
    productId: own.get(one.name) ?? null,
  }));
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'setup', 'shaping']}>
      <SetUpView state={state} shelf={shelf} />
    </WordsOf>
  );
}
