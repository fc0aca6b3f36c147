import { type Db, rowOf, rowsOf } from '../db/rows';

/** How far back it is looked for a needle that nobody has taken out, days: no dough waits for longer. */
const NEEDLE_DAYS = 4;

/** The other doughs that were given a core probe lately. */
export function doughsWithProbe(db: Db, doughId: number, now: number) {
  return rowsOf<{ id: number }>(
    db,
    "SELECT DISTINCT dough_id AS id FROM floor_event WHERE kind = 'needle' AND dough_id <> ? AND at > ?",
    [doughId, new Date(now - NEEDLE_DAYS * 24 * 3_600_000)],
  );
}

/** The event of this id. */
export function eventById(db: Db, id: string) {
  return rowOf<{ id: string }>(db, 'SELECT id FROM floor_event WHERE id = ?', [id]);
}
