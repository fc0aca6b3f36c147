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

/** What is called by a name of its own in some languages. */
export type Named = 'product' | 'formula';

/** Statements by what is named: the name of a table is no placeholder. */
const STATEMENTS: Readonly<Record<Named, { read: string; write: string }>> = {
  product: {
    read: 'SELECT name, names FROM product WHERE id = ?',
    write: 'UPDATE product SET names = ? WHERE id = ?',
  },
  formula: {
    read: 'SELECT name, names FROM formula WHERE id = ?',
    write: 'UPDATE formula SET names = ? WHERE id = ?',
  },
};

/** What has names of its own in some language, also products out of use: records speak of them. */
export async function named(db: Db): Promise<NamedProduct[]> {
  const rows = await rowsOf<{ name: string; names: unknown }>(
    db,
    `SELECT name, names FROM formula WHERE names IS NOT NULL
     UNION ALL SELECT name, names FROM product WHERE names IS NOT NULL`,
  );
  return rows.map(({ name, names }) => ({ name, names: json<NamesByLanguage>(names) }));
}

/** What the bakery's words are called in a language: its products and formulas, and the usual names that it has taken over. */
export const calledHere = async (db: Db, language: Language): Promise<CalledProduct[]> => [
  ...usualIn(language),
  // What the bakery says itself goes before what is usual.
  ...calledIn(await named(db), language),
];

/** The own name of a product or a formula, and its names by language; null where there is none of this number. */
export async function namesOf(db: Db, what: Named, id: number): Promise<NamedProduct | null> {
  const row = await rowOf<{ name: string; names: unknown }>(db, STATEMENTS[what].read, [id]);
  return row ? { name: row.name, names: row.names === null ? {} : json<NamesByLanguage>(row.names) } : null;
}

/** Writes down what a product or a formula is called by language. */
export async function setNames(db: Db, what: Named, id: number, names: NamesByLanguage): Promise<void> {
  const text = Object.keys(names).length === 0 ? null : JSON.stringify(names);
  await write(db, STATEMENTS[what].write, [text, id]);
}
