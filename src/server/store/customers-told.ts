import type { Told } from '@/core/demand/short';
import { type Db, rowsOf, write } from '../db/rows';

/** What customers were told of orders that go short, since some moment. */
export async function toldSince(db: Db, from: number): Promise<Told[]> {
  const rows = await rowsOf<
    { kind: Told['source']['kind']; id: number; day: string; lateUntil: Date | null; at: Date } & Pick<
      Told,
      'missing' | 'late' | 'by'
    >
  >(
    db,
    `SELECT t.kind, t.source_id AS id, DATE_FORMAT(t.day, '%Y-%m-%d') AS day, t.missing, t.late, t.late_until AS lateUntil,
       t.at, p.name AS \`by\` FROM customer_told t JOIN person p ON p.id = t.person_id WHERE t.day >= DATE(?)`,
    [new Date(from - 24 * 3_600_000)],
  );
  return rows.map(({ kind, id, day, lateUntil, at, ...row }) => ({
    ...row,
    source: { kind, id, day },
    lateUntil: lateUntil?.getTime() ?? null,
    at: at.getTime(),
  }));
}

/** Writes down what a customer was told of an order; what they were told before counts no more. */
export async function writeTold(
  db: Db,
  { kind, id, day }: Told['source'],
  told: Pick<Told, 'missing' | 'late' | 'lateUntil'> & { at: number; personId: number },
): Promise<void> {
  await write(
    db,
    `INSERT INTO customer_told (kind, source_id, day, missing, late, late_until, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE missing = VALUES(missing), late = VALUES(late), late_until = VALUES(late_until), at = VALUES(at),
       person_id = VALUES(person_id)`,
    [
      ...[kind, id, day, told.missing, told.late],
      told.lateUntil === null ? null : new Date(told.lateUntil),
      ...[new Date(told.at), told.personId],
    ],
  );
}

/** Takes back that a customer was told. */
export async function removeTold(db: Db, { kind, id, day }: Told['source']): Promise<void> {
  await write(db, 'DELETE FROM customer_told WHERE kind = ? AND source_id = ? AND day = ?', [kind, id, day]);
}
