import { notFound } from 'next/navigation';
import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { productMeans, productToEdit } from '@/server/product-pages';
import { houseNow } from '@/server/store/clock';
import { namesOf } from '@/server/store/product-names';
import { house } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { NamesByLanguage } from '@/ui/products/names-by-language';
import { ProductEditor } from '@/ui/products/product-editor';

export const generateMetadata = titled('titles.product');

export default async function ProductPage({ params }: { params: Promise<{ id: string }> }) {
  const { person } = await housePage('/products/[id]');
  const id = Number((await params).id);
  const db = pool();
  const product = Number.isSafeInteger(id) && id > 0 ? await productToEdit(db, id) : null;
  if (!product) notFound();
  const { draft, ...version } = product;
  const [means, { zone }, now, named] = await Promise.all([
    ...([productMeans(db), house(db), houseNow(db), namesOf(db, 'product', id)] as const),
  ]);
  return (
    <WordsOf areas={['cutting', 'formulas', 'heat', 'lamination', 'names', 'product', 'shaping', 'steps']}>
      <ProductEditor
        key={version.versionId}
        kept={{ productId: id, ...version }}
        saved={draft}
        {...means}
        {...{ zone, now }}
        mayChange={person.role === 'planner'}
      />
      {named && <NamesByLanguage what="product" {...{ id, named }} mayChange={person.role === 'planner'} />}
    </WordsOf>
  );
}
