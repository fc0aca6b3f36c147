import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { houseNow } from '@/server/store/clock';
import { listedProducts, removedProducts } from '@/server/store/product-list';
import { WordsOf } from '@/app/words-of';
import { ProductList } from '@/ui/products/product-list';

export const generateMetadata = titled('titles.products');

export default async function ProductsPage() {
  const { person } = await housePage('/products');
  const db = pool();
  const [products, removed] = await Promise.all([
    listedProducts(db, await houseNow(db)),
    removedProducts(db),
  ]);
  return (
    <WordsOf areas={['house', 'product']}>
      <ProductList {...{ products, removed }} mayChange={person.role === 'planner'} />
    </WordsOf>
  );
}
