import { wordsHere } from '@/server/reader';
import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { productMeans, productToEdit } from '@/server/product-pages';
import { houseNow } from '@/server/store/clock';
import { house } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { blankProduct } from '@/ui/products/blank-product';
import { ProductEditor } from '@/ui/products/product-editor';

export const generateMetadata = titled('titles.newProduct');

/** A new product: from nothing, or like another one. */
export default async function NewProductPage({ searchParams }: { searchParams: Promise<{ like?: string }> }) {
  await housePage('/products/new');
  const like = Number((await searchParams).like);
  const db = pool();
  const [means, { zone }, now, other] = await Promise.all([
    productMeans(db),
    house(db),
    houseNow(db),
    Number.isSafeInteger(like) && like > 0 ? productToEdit(db, like) : null,
  ]);
  const saved = other ? { ...other.draft, name: '' } : blankProduct((await wordsHere()).coded);
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'product', 'shaping', 'steps']}>
      <ProductEditor kept={null} like={other ? like : null} {...{ saved, zone, now }} {...means} mayChange />
    </WordsOf>
  );
}
