import type { PoolConnection } from 'mysql2/promise';
import { write } from '../db/rows';

/** What has changed: by which command, about which dough, with which event of the floor. */
interface Change {
  command: string;
  doughId?: number | null;
  eventId?: string | null;
}

/**
 * Puts a change into the feed. It has to be the last statement of its transaction: from here to the commit the feed's
 * number is locked, so that whoever has seen a number has seen all before it.
 */
export async function noteChange(
  db: PoolConnection,
  { command, doughId = null, eventId = null }: Change,
): Promise<void> {
  const { id } = await write(
    db,
    'UPDATE feed_number SET newest = LAST_INSERT_ID(newest + 1) WHERE id = 1',
    [],
  );
  await write(db, 'INSERT INTO change_feed (id, at, command, dough_id, event_id) VALUES (?, ?, ?, ?, ?)', [
    ...[id, new Date(), command, doughId, eventId],
  ]);
}
