import type { OutputWay } from '@/core/process/output-way';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** The dough that a screen added under its own id. */
export function doughOfClient(db: Db, client: string) {
  return rowOf<{ id: number; name: string }>(db, 'SELECT id, name FROM dough WHERE client_id = ?', [client]);
}

/** Writes down what a dough makes; gives its id. */
export function insertOutput(
  db: Db,
  {
    doughId,
    versionId,
    pieces,
    dueAt,
    way = 'fresh',
  }: { doughId: number; versionId: number; pieces: number; dueAt: number; way?: OutputWay },
) {
  return write(
    db,
    'INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at, way) VALUES (?, ?, ?, ?, ?)',
    [doughId, versionId, pieces, new Date(dueAt), way],
  );
}

/** Writes a dough down; gives its id. */
export function writeDough(
  db: Db,
  { client, name, now, personId }: { client: string; name: string; now: number; personId: number },
) {
  return write(db, 'INSERT INTO dough (client_id, name, created_at, created_by) VALUES (?, ?, ?, ?)', [
    ...[client, name, new Date(now), personId],
  ]);
}

/** The names of doughs that begin like this. */
export function namesBeginning(db: Db, kind: string) {
  return rowsOf<{ name: string }>(db, 'SELECT name FROM dough WHERE name LIKE ?', [`${kind} %`]);
}

/** Doughs of which something is due then, with all their outputs as one text, to tell a second tap from a second dough. */
export function doughsDueAt(db: Db, due: Date) {
  return rowsOf<{ name: string; by: string; at: Date; outputs: string }>(
    db,
    `SELECT d.name, p.name AS \`by\`, d.created_at AS at,
       GROUP_CONCAT(CONCAT_WS(':', o.product_version_id, o.pieces, UNIX_TIMESTAMP(o.due_at), o.way) ORDER BY o.id) AS outputs
     FROM dough d JOIN dough_output o ON o.dough_id = d.id JOIN person p ON p.id = d.created_by
     WHERE d.removed_at IS NULL AND d.id IN (SELECT dough_id FROM dough_output WHERE due_at = ?)
     GROUP BY d.id`,
    [due],
  );
}

/** Lets an output be made by another version of its product. */
export async function makeByVersion(db: Db, outputId: number, versionId: number): Promise<void> {
  await write(db, 'UPDATE dough_output SET product_version_id = ? WHERE id = ?', [versionId, outputId]);
}

/** Moves when an output is due. */
export async function moveDue(db: Db, outputId: number, dueAt: number): Promise<void> {
  await write(db, 'UPDATE dough_output SET due_at = ? WHERE id = ?', [new Date(dueAt), outputId]);
}

/** Puts a removed dough back; false where it was not removed. */
export async function markDoughBack(db: Db, doughId: number): Promise<boolean> {
  const { touched } = await write(
    db,
    'UPDATE dough SET removed_at = NULL, removed_by = NULL WHERE id = ? AND removed_at IS NOT NULL',
    [doughId],
  );
  return touched > 0;
}

/** A dough's name, and whether it was removed. */
export function doughName(db: Db, doughId: number) {
  return rowOf<{ name: string; removed: number }>(
    db,
    'SELECT name, removed_at IS NOT NULL AS removed FROM dough WHERE id = ?',
    [doughId],
  );
}

/** Removes a dough, by whom and when. */
export async function markDoughRemoved(
  db: Db,
  doughId: number,
  { personId, now }: { personId: number; now: number },
): Promise<void> {
  await write(db, 'UPDATE dough SET removed_at = ?, removed_by = ? WHERE id = ?', [
    ...[new Date(now), personId, doughId],
  ]);
}

/** A removed dough, a row for each output, and whether anything was recorded of it. */
export function removedDough(db: Db, doughId: number) {
  return rowsOf<{
    name: string;
    id: number;
    versionId: number;
    pieces: number;
    dueAt: Date;
    way: OutputWay;
    started: number;
  }>(
    db,
    `SELECT d.name, o.id, o.product_version_id AS versionId, o.pieces, o.due_at AS dueAt, o.way,
         EXISTS (SELECT 1 FROM floor_event WHERE dough_id = d.id) AS started
       FROM dough d JOIN dough_output o ON o.dough_id = d.id WHERE d.id = ? AND d.removed_at IS NOT NULL ORDER BY o.id`,
    [doughId],
  );
}
