import { type Findable, type FoundKind, wordsOf } from '@/core/wire/found';
import { type Db, rowsOf } from '../db/rows';
import type { NamesByLanguage } from '@/core/bakery/product-names';
import { json } from '../db/json';
import { like } from '../db/like';
import { FLOOR_DAYS, sharedBoard } from './shared-board';

interface Row {
  kind: Exclude<FoundKind, 'page' | 'batch'>;
  id: number;
  name: string;
  detail: string;
  at: Date | null;
  /** Names by language as they are kept, where it has some. */
  names: string;
}

/** Most that are read of each kind: the best of them are chosen afterwards. */
const READ = 40;

/** Doughs, batches, products, formulas, people and customers whose names have every word of a text in them. */
export async function findByName(db: Db, now: number, text: string): Promise<Findable[]> {
  const words = wordsOf(text);
  if (words.length === 0) return [];
  const patterns = words.map(like);
  const has = (column: string) => words.map(() => `${column} LIKE ?`).join(' AND ');
  const tables = [
    `(SELECT 'dough' AS kind, d.id, d.name, GROUP_CONCAT(DISTINCT p.name ORDER BY p.name SEPARATOR ', ') AS detail, MAX(o.due_at) AS at, '' AS names
      FROM dough d JOIN dough_output o ON o.dough_id = d.id JOIN product_version v ON v.id = o.product_version_id
        JOIN product p ON p.id = v.product_id
      WHERE d.removed_at IS NULL GROUP BY d.id, d.name
      HAVING ${has("CONCAT(d.name, ' ', detail)")} ORDER BY at DESC, d.id DESC LIMIT ${READ})`,
    `(SELECT 'product', id, name, dough_name, NULL, COALESCE(JSON_COMPACT(names), '') FROM product
      WHERE removed_at IS NULL AND ${has("CONCAT(name, ' ', dough_name, ' ', COALESCE(names, ''))")} ORDER BY name LIMIT ${READ})`,
    `(SELECT 'formula', id, name, '', NULL, COALESCE(JSON_COMPACT(names), '') FROM formula
      WHERE ${has("CONCAT(name, ' ', COALESCE(names, ''))")} ORDER BY name LIMIT ${READ})`,
    `(SELECT 'person', id, name, team, NULL, '' FROM person
      WHERE active AND role <> 'viewer' AND ${has('name')} ORDER BY name LIMIT ${READ})`,
    `(SELECT 'customer', id, name, '', NULL, '' FROM customer WHERE ${has('name')} ORDER BY name LIMIT ${READ})`,
  ];
  const rows = await rowsOf<Row>(
    db,
    tables.join(' UNION ALL '),
    tables.flatMap(() => patterns),
  );
  const open = rows.some(({ kind }) => kind === 'dough') ? await openDoughs(db, now) : new Set<number>();
  return rows.map((row) => findable(row, open));
}

/** Doughs that the floor still has before it. */
async function openDoughs(db: Db, now: number): Promise<Set<number>> {
  const { doughs } = await sharedBoard(db, now, FLOOR_DAYS);
  return new Set(doughs.flatMap(({ id, finished }) => (finished === undefined ? [id] : [])));
}

/** Every name by language, as one text. */
const namesIn = (names: string): string =>
  names === ''
    ? ''
    : Object.values(json<NamesByLanguage>(names))
        .flatMap((called) => (called ? [called.one, called.many] : []))
        .join(' ');

function findable({ kind, id, name, detail, at, names }: Row, open: ReadonlySet<number>): Findable {
  const shared = { name, detail, at: at?.getTime() ?? null };
  switch (kind) {
    case 'dough':
      return open.has(id)
        ? { ...shared, kind, href: `/dough/${id}` }
        : { ...shared, kind: 'batch', href: `/batch/${id}` };
    case 'product':
      return { ...shared, kind, also: namesIn(names), href: `/products/${id}` };
    case 'formula':
      return { ...shared, kind, also: namesIn(names), href: `/formulas/${id}` };
    case 'person':
      return { ...shared, kind, href: '/plan?rows=person' };
    case 'customer':
      return { ...shared, kind, href: '/orders' };
  }
}
