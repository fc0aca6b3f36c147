import { calledIn, type NamesByLanguage } from '@/core/bakery/product-names';
import type { FileProduct } from '@/core/exchange/products-file';
import type { Instant } from '@/core/time/local';
import type { Db } from '../db/rows';
import type { Language } from '@/words/message';
import { templateAbout } from '@/words/usual/templates';
import { setNames } from '../store/product-names';
import { SHELF } from './shelf';
import NAMES from './shelf/names.json' with { type: 'json' };
import { takeProduct } from './take-product';

/** Products that a bakery may begin with, as the shelf shows them. */
export const BEGINNINGS: readonly Pick<FileProduct, 'about' | 'name' | 'scheme'>[] = SHELF.flatMap(
  ({ products }) => products,
);

/** What each product of the shelf is called by language, one and several: a bakery that takes it over has these too. */
export const SHELF_NAMES: Readonly<Record<string, NamesByLanguage>> = NAMES;

/** The shelf as somebody reads it: what a product is called, what it is about; `name` is what is taken. */
export const beginningsIn = (language: Language) =>
  BEGINNINGS.map(({ name, about = '', scheme }) => {
    const [called] = calledIn([{ name, names: SHELF_NAMES[name] ?? {} }], language);
    return { name, scheme, called: called?.[1].one ?? name, about: templateAbout(about, language) };
  });

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
  const productId = file ? await takeProduct(db, file, name, by) : null;
  if (productId !== null) await setNames(db, 'product', productId, SHELF_NAMES[name] ?? {});
  return productId;
}
