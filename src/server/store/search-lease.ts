import { type Db, rowOf, write } from '../db/rows';

/** How long a lease holds that nobody renews, s, and how often it is renewed and asked for, ms. */
export const LEASE_SECONDS = 15;

/** Gives the turn back. */
export async function endLease(db: Db, holder: string): Promise<void> {
  await write(db, 'UPDATE search_lease SET until_at = UTC_TIMESTAMP(3) WHERE id = 1 AND holder = ?', [
    holder,
  ]);
}

/** Keeps the turn for longer. */
export async function keepLease(db: Db, holder: string): Promise<void> {
  await write(
    db,
    'UPDATE search_lease SET until_at = UTC_TIMESTAMP(3) + INTERVAL ? SECOND WHERE id = 1 AND holder = ?',
    [LEASE_SECONDS, holder],
  );
}

/** Who has the turn to search. */
export function searcher(db: Db) {
  return rowOf<{ person: string }>(db, 'SELECT person FROM search_lease');
}

/** Takes the turn to search, where nobody has it. */
export function takeLease(db: Db, holder: string, person: string) {
  return write(
    db,
    `UPDATE search_lease SET holder = ?, person = ?, until_at = UTC_TIMESTAMP(3) + INTERVAL ? SECOND
       WHERE id = 1 AND until_at < UTC_TIMESTAMP(3)`,
    [holder, person.slice(0, 60), LEASE_SECONDS],
  );
}
