import type { DraftedProduct } from './drafted';
import { type Db } from '../../db/rows';
import { insertProduct, insertProductVersion } from '../../store/product-versions';

/** Writes a product down that the house has not yet, in its first version; gives its number. */
export async function keepNewProduct(
  db: Db,
  product: DraftedProduct,
  { at, personId }: { at: number; personId: number | null },
): Promise<number> {
  const { id } = await insertProduct(db, product);
  await insertProductVersion(db, { ...product, productId: id, version: 1, at, personId });
  return id;
}
