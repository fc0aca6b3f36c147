import type { FileProduct } from '@/core/exchange/products-file';
import type { Instant } from '@/core/time/local';
import type { Db } from '../db/rows';
import { SHELF } from './shelf';
import { takeProduct } from './take-product';

/** Products that a bakery may begin with, as the shelf shows them. */
export const BEGINNINGS: readonly Pick<FileProduct, 'about' | 'name' | 'scheme'>[] = SHELF.flatMap(
  ({ products }) => products,
);

/**
 * Makes a beginning the house's own.
 *
 * @returns the product's number, or null where there is no such beginning or the house has a product of that name
 */
export async function takeBeginning(
  db: Db,
  name: string,
  by: { at: Instant; personId: number | null },
): Promise<number | null> {
  const file = SHELF.find(({ products }) => products.some((one) => one.name === name));
  return file ? takeProduct(db, file, name, by) : null;
}
