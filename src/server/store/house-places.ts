import type { HousePlace } from '@/core/bakery/house-book';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

const COLUMNS = `id, label, kind, purpose, usual, lowest, highest, in_dough AS inDough,
  (SELECT label FROM machine WHERE place_id = place.id AND removed_at IS NULL LIMIT 1) AS machine`;

type Row = Omit<HousePlace, 'inDough'> & { inDough: 0 | 1 };
const plain = ({ inDough, ...row }: Row): HousePlace => ({ ...row, inDough: inDough === 1 });

/** Places and core probes in use, in the house's order, each with the machine that it is the inside of. */
export async function housePlaces(db: Db): Promise<HousePlace[]> {
  const rows = await rowsOf<Row>(
    db,
    `SELECT ${COLUMNS} FROM place WHERE removed_at IS NULL ORDER BY position`,
  );
  return rows.map(plain);
}

/** A place in use. */
export async function placeById(db: Db, id: string): Promise<HousePlace | null> {
  const row = await rowOf<Row>(db, `SELECT ${COLUMNS} FROM place WHERE id = ? AND removed_at IS NULL`, [id]);
  return row && plain(row);
}

/** Another place in use of this name. */
export const placeCalled = (db: Db, label: string, id: string) =>
  rowOf<{ label: string }>(db, 'SELECT label FROM place WHERE label = ? AND id <> ? AND removed_at IS NULL', [
    ...[label, id],
  ]);

/** Ids that places have or had. */
export async function placeIds(db: Db): Promise<string[]> {
  return (await rowsOf<{ id: string }>(db, 'SELECT id FROM place FOR UPDATE')).map(({ id }) => id);
}

/** A place as it is written down: °C that it usually has, and between which a reading can be true. */
export type NewPlace = Pick<HousePlace, 'id' | 'label' | 'kind' | 'usual' | 'lowest' | 'highest'> &
  Partial<Pick<HousePlace, 'purpose' | 'inDough'>>;

/** Adds a place at the end of the house's order. */
export async function insertPlace(
  db: Db,
  { id, label, kind, purpose = 'dough', usual, lowest, highest, inDough = false }: NewPlace,
): Promise<void> {
  await write(
    db,
    `INSERT INTO place (id, label, kind, purpose, usual, lowest, highest, in_dough, position)
     SELECT ?, ?, ?, ?, ?, ?, ?, ?, COALESCE(MAX(position), 0) + 1 FROM place`,
    [id, label, kind, purpose, usual, lowest, highest, inDough],
  );
}

/** Changes what a place is called, is like, and can have. */
export async function changePlace(
  db: Db,
  { id, label, kind, purpose, usual, lowest, highest }: Omit<HousePlace, 'inDough' | 'machine'>,
): Promise<void> {
  await write(
    db,
    'UPDATE place SET label = ?, kind = ?, purpose = ?, usual = ?, lowest = ?, highest = ? WHERE id = ?',
    [label, kind, purpose, usual, lowest, highest, id],
  );
}

/** Takes a place out of use; its past keeps it. */
export async function markPlaceRemoved(db: Db, id: string, at: number): Promise<void> {
  await write(db, 'UPDATE place SET removed_at = ? WHERE id = ?', [new Date(at), id]);
}
