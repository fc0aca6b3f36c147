import { coded } from '@/core/codes/coded';
import type { PoolConnection } from 'mysql2/promise';
import { json } from '../db/json';
import { type Db, insertOnce } from '../db/rows';
import { Refusal } from './command';
import { commandDone } from '../store/commands-done';

/** The same command under the same number was done meanwhile by another request. */
export class DoneMeanwhile extends Error {}

interface Sent {
  /** The number that the page gave it. */
  key: string;
  command: string;
  personId: number;
}

/**
 * What a command under this number answered when it was done, or null where it was not.
 *
 * @throws {Refusal} where the number belongs to another command or person
 */
export async function doneBefore(
  db: Db,
  { key, command, personId }: Sent,
): Promise<{ result: unknown } | null> {
  const row = await commandDone(db, key);
  if (!row) return null;
  if (row.command !== command || row.personId !== personId)
    throw new Refusal(coded('refusals.theFormLostItsOwnNumber'));
  return { result: json(row.result) };
}

/** Keeps the answer of a command with what it did, in one transaction. */
export async function keepDone(
  db: PoolConnection,
  { key, command, personId }: Sent,
  result: unknown,
): Promise<void> {
  const made = await insertOnce(db, 'command_done', {
    ...{ id: key, command, person_id: personId, at: new Date() },
    result: JSON.stringify(result ?? null),
  });
  if (!made) throw new DoneMeanwhile();
}
