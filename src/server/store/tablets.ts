import { type Db, rowOf, write } from '../db/rows';

/** Takes a tablet out of use. */
export async function markTabletRemoved(db: Db, id: number): Promise<void> {
  await write(db, 'UPDATE tablet SET removed_at = UTC_TIMESTAMP(3) WHERE id = ?', [id]);
}

/** A tablet that is in use; locked. */
export function tabletById(db: Db, id: number) {
  return rowOf<{ name: string }>(
    db,
    'SELECT name FROM tablet WHERE id = ? AND removed_at IS NULL FOR UPDATE',
    [id],
  );
}
