import { tokenHash } from '../auth/token';
import { type Db, rowOf, write } from '../db/rows';

/** Removes an address. */
export async function removeAddress(db: Db, id: number): Promise<void> {
  await write(db, 'DELETE FROM calendar_address WHERE id = ?', [id]);
}

/** Whose calendar an address is, and who made it; locked. */
export function addressById(db: Db, id: number) {
  return rowOf<{ personId: number | null; madeBy: number }>(
    db,
    'SELECT person_id AS personId, made_by AS madeBy FROM calendar_address WHERE id = ? FOR UPDATE',
    [id],
  );
}

/** Writes down the address of a calendar by the hash of its token. */
export async function insertAddress(
  db: Db,
  { token, personId, madeBy, now }: { token: string; personId: number | null; madeBy: number; now: number },
): Promise<void> {
  await write(
    db,
    'INSERT INTO calendar_address (token_hash, person_id, made_by, made_at) VALUES (?, ?, ?, ?)',
    [...[tokenHash(token), personId, madeBy, new Date(now)]],
  );
}

/** Removes the addresses of a calendar that somebody made. Null: of the plan. */
export async function removeAddressesOf(db: Db, personId: number | null, madeBy: number): Promise<void> {
  await write(db, 'DELETE FROM calendar_address WHERE person_id <=> ? AND made_by = ?', [personId, madeBy]);
}

/** Removes all addresses of a person's calendar, and those the person made. */
export async function removeAddressesWith(db: Db, personId: number): Promise<void> {
  await write(db, 'DELETE FROM calendar_address WHERE ? IN (person_id, made_by)', [personId]);
}
