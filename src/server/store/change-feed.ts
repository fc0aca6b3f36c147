import { type Db, rowOf, rowsOf } from '../db/rows';

/** Changes that a screen is told of at one go. */
export const TOLD_AT_ONCE = 200;

/** Changes after one number up to another, the newest first. */
export function changesBetween(db: Db, cursor: number, newest: number) {
  return rowsOf<{ command: string; eventId: string | null }>(
    db,
    `SELECT command, event_id AS eventId FROM change_feed WHERE id > ? AND id <= ? ORDER BY id DESC LIMIT ${TOLD_AT_ONCE}`,
    [cursor, newest],
  );
}

/** The number of the newest change. */
export function newestInFeed(db: Db) {
  return rowOf<{ newest: number }>(db, 'SELECT newest FROM feed_number');
}
