import { hash, verify } from '@node-rs/argon2';
import type { Pool } from 'mysql2/promise';
import type { Person } from '@/core/floor/board';
import { rowsOf, write } from '../db/rows';

/** Wrong PINs in a row that are free; each one after doubles the wait. */
const FREE_TRIES = 5;
const FIRST_WAIT_SECONDS = 10;
const LONGEST_WAIT_SECONDS = 600;
/** Wrong PINs older than this are forgotten. */
const MEMORY_SECONDS = 3600;

/** Argon2id with the library's own (OWASP) settings. */
export function hashPin(pin: string): Promise<string> {
  return hash(pin);
}

/** Seconds to wait after `wrong` wrong PINs in a row; 0 while tries are free. */
export function waitAfter(wrong: number): number {
  if (wrong < FREE_TRIES) return 0;
  return Math.min(LONGEST_WAIT_SECONDS, FIRST_WAIT_SECONDS * 2 ** (wrong - FREE_TRIES));
}

export type SignIn = { person: Person } | { refusal: string };

/** Checks a person's PIN. Wrong ones are counted per person, by the machine's clock, whoever types them. */
export async function signIn(db: Pool, personId: number, pin: string): Promise<SignIn> {
  const [found] = await rowsOf<Person & { pinHash: string }>(
    db,
    'SELECT id, name, role, team, pin_hash AS pinHash FROM person WHERE id = ? AND active',
    [personId],
  );
  if (!found) return { refusal: 'Nobody of that name works here.' };
  const { pinHash, ...person } = found;
  const [tries] = await rowsOf<{ wrong: number; since: number | null }>(
    db,
    `SELECT COUNT(*) AS wrong, TIMESTAMPDIFF(SECOND, MAX(at), UTC_TIMESTAMP(3)) AS since
     FROM wrong_pin WHERE person_id = ? AND at > UTC_TIMESTAMP(3) - INTERVAL ? SECOND`,
    [personId, MEMORY_SECONDS],
  );
  const left = waitAfter(tries?.wrong ?? 0) - (tries?.since ?? 0);
  if (left > 0) return { refusal: `Too many wrong PINs. Try again in ${left} s, or ask a planner.` };
  // Counted before it is checked, so that a thousand tries at once do not get past the count.
  const { id } = await write(db, 'INSERT INTO wrong_pin (person_id, at) VALUES (?, UTC_TIMESTAMP(3))', [
    personId,
  ]);
  if (!(await verify(pinHash, pin))) {
    return { refusal: `That is not ${person.name}’s PIN.` };
  }
  await write(db, 'DELETE FROM wrong_pin WHERE person_id = ? AND id <= ?', [personId, id]);
  return { person };
}
