import { type Db, rowsOf } from '../db/rows';

/** The last weight that a scale has sent within some minutes of `now`; null where there is none. */
export async function lastWeight(
  db: Db,
  now: number,
): Promise<{ id: string; grams: number; at: number } | null> {
  const [row] = await rowsOf<{ id: string; grams: number; at: Date }>(
    db,
    'SELECT id, grams, at FROM scale_reading WHERE at > ? AND at <= ? ORDER BY at DESC LIMIT 1',
    [new Date(now - 10 * 60_000), new Date(now)],
  );
  return row ? { ...row, at: row.at.getTime() } : null;
}
