import type { Pool } from 'mysql2/promise';
import { rowsOf, write, type SqlValue } from '@/server/db/rows';
import { seedDemo } from '@/server/demo/seed';

/** How often each dough of the demo is there once more, and how much later each time, h. */
const COPIES = [7, 26, 51];
const HOUR = 3_600_000;
/** Ids of copies begin so far above those that they are copies of. */
const APART = 1000;

const LONG = 'with pistachio praline and candied bitter orange';

/**
 * A bakery with more than forty open doughs and names as long as any: the demo's, each three times more and later. Nobody
 * could make all that; it is there to be looked at.
 */
export async function crowdedHouse(pool: Pool): Promise<void> {
  await seedDemo(pool);
  await write(pool, 'UPDATE demo_clock SET paused = TRUE', []);
  await write(pool, `UPDATE product SET name = LEFT(CONCAT(name, ' ', ?), 80), names = NULL`, [LONG]);
  const [doughs, outputs, steps] = await Promise.all([
    rowsOf<{ id: number; name: string }>(
      pool,
      'SELECT id, name FROM dough WHERE finished_at IS NULL AND removed_at IS NULL',
      [],
    ),
    rowsOf<{ id: number; dough: number; product: number; pieces: number; due: Date; way: string }>(
      pool,
      'SELECT id, dough_id AS dough, product_version_id AS product, pieces, due_at AS due, way FROM dough_output',
      [],
    ),
    rowsOf<{ since: number; dough: number; step: string; start: Date; end: Date; machines: string | null }>(
      pool,
      `SELECT since_version AS since, dough_id AS dough, step_key AS step, start_at AS start, end_at AS end, machines
       FROM planned_step WHERE until_version IS NULL`,
      [],
    ),
  ]);
  const open = new Set(doughs.map(({ id }) => id));
  for (const [nth, hours] of COPIES.entries()) {
    const by = APART * (nth + 1);
    const later = (at: Date) => new Date(at.getTime() + hours * HOUR);
    const rows = async (sql: string, values: SqlValue[][]) => {
      if (values.length > 0) await write(pool, sql, [values]);
    };
    await rows(
      'INSERT INTO dough (id, client_id, name, created_at, created_by) VALUES ?',
      doughs.map(({ id, name }) => [
        id + by,
        crypto.randomUUID(),
        `Laminated ${name}, part ${nth + 2} of 4`,
        new Date(),
        1,
      ]),
    );
    await rows(
      'INSERT INTO dough_output (id, dough_id, product_version_id, pieces, due_at, way) VALUES ?',
      outputs
        .filter(({ dough }) => open.has(dough))
        .map(({ id, dough, product, pieces, due, way }) => [
          id + by,
          dough + by,
          product,
          pieces,
          later(due),
          way,
        ]),
    );
    await rows(
      'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at, machines) VALUES ?',
      steps
        .filter(({ dough }) => open.has(dough))
        .map(({ since, dough, step, start, end, machines }) => [
          ...[since, dough + by, step.replace(/^\d+(?=\.)/, (id) => String(Number(id) + by))],
          ...[later(start), later(end), machines],
        ]),
    );
  }
}
