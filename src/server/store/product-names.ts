import {
  calledIn,
  type CalledProduct,
  type NamedProduct,
  type NamesByLanguage,
} from '@/core/bakery/product-names';
import type { Language } from '@/words/message';
import { usualIn } from '@/words/usual/usual';
import { json } from '../db/json';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** Products that have names of their own in some language, also those out of use: records speak of them. */
export async function namedProducts(db: Db): Promise<NamedProduct[]> {
  const rows = await rowsOf<{ name: string; names: unknown }>(
    db,
    'SELECT name, names FROM product WHERE names IS NOT NULL ORDER BY id',
  );
  return rows.map(({ name, names }) => ({ name, names: json<NamesByLanguage>(names) }));
}

/** What the bakery's words are called in a language: its products, and the usual names that it has taken over. */
export const calledHere = async (db: Db, language: Language): Promise<CalledProduct[]> => [
  ...usualIn(language),
  // A product's own name goes before a usual one.
  ...calledIn(await namedProducts(db), language),
];

/** A product's own name, and its names by language; null where there is no such product. */
export async function namesOfProduct(db: Db, productId: number): Promise<NamedProduct | null> {
  const row = await rowOf<{ name: string; names: unknown }>(
    db,
    'SELECT name, names FROM product WHERE id = ?',
    [productId],
  );
  return row ? { name: row.name, names: row.names === null ? {} : json<NamesByLanguage>(row.names) } : null;
}

/** Writes down what a product is called by language. */
export async function setProductNames(db: Db, productId: number, names: NamesByLanguage): Promise<void> {
  const text = Object.keys(names).length === 0 ? null : JSON.stringify(names);
  await write(db, 'UPDATE product SET names = ? WHERE id = ?', [text, productId]);
}
