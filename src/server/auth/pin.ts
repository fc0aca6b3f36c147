import { coded, type Coded } from '@/core/codes/coded';
import { hash, verify } from '@node-rs/argon2';
import type { Pool } from 'mysql2/promise';
import type { Person } from '@/core/bakery/people';
import type { Language } from '@/words/message';
import { rowsOf, write } from '../db/rows';
import { anyPinOn, countGuess, pinOn, wasRight } from './guesses';
import { secrets } from './secrets';

/** The library's number of Argon2id; its own enum is not for code that is compiled file by file. */
const ARGON2ID = 2;
/**
 * Argon2id with what the OWASP password storage cheat sheet asks for at the least: 19 MiB, two passes, one lane. Written
 * down, so that another version of the library changes nothing. Hashes carry their own settings.
 */
const ARGON2 = { algorithm: ARGON2ID, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

const pepper = () => Buffer.from(secrets().pepper);

/** The hash of a PIN, salted, and peppered with what lies outside the database. */
export function hashPin(pin: string): Promise<string> {
  return hash(pin, { ...ARGON2, secret: pepper() });
}

/** Fewest digits of a PIN: who may change plan and people needs more. */
export const fewestDigits = (role: Person['role']): number => (role === 'planner' ? 6 : 4);
export const MOST_DIGITS = 8;

/** What is wrong with a PIN for somebody of this role; null where nothing is. */
export function pinFault(pin: string, role: Person['role']): Coded | null {
  const fewest = fewestDigits(role);
  if (/^\d+$/.test(pin) && pin.length >= fewest && pin.length <= MOST_DIGITS) return null;
  return coded('refusals.aPinHasDigits', { role, fewest, most: MOST_DIGITS });
}

export type SignIn = { person: Person; language: Language | null } | { refusal: Coded };

interface Found extends Person {
  pinHash: string;
  peppered: number;
  language: Language | null;
}

/** True for the PIN of this hash; hashes from before the pepper are read without it. */
const isRight = ({ pinHash, peppered }: Pick<Found, 'pinHash' | 'peppered'>, pin: string) =>
  verify(pinHash, pin, peppered ? { secret: pepper() } : {});

/** Checks a person's PIN on a tablet. Tries are counted there, by the machine's clock, before they are checked. */
export async function signIn(db: Pool, tabletId: number, personId: number, pin: string): Promise<SignIn> {
  const [found] = await rowsOf<Found>(
    db,
    `SELECT id, name, role, team, language, pin_hash AS pinHash, pin_peppered AS peppered FROM person
     WHERE id = ? AND active`,
    [personId],
  );
  if (!found) return { refusal: coded('refusals.nobodyOfThatNameWorksHere') };
  const [own, shared] = [pinOn(tabletId, personId), anyPinOn(tabletId)];
  const wait = await countGuess(db, [own, shared]);
  if (wait > 0) return { refusal: coded('refusals.tooManyWrongPINsTryAgain', { wait }) };
  const { pinHash, peppered, language, ...person } = found;
  if (!(await isRight(found, pin)))
    return { refusal: coded('refusals.thatIsNotTheirPin', { name: person.name }) };
  await wasRight(db, own, shared);
  if (!peppered)
    await write(db, 'UPDATE person SET pin_hash = ?, pin_peppered = TRUE WHERE id = ? AND pin_hash = ?', [
      ...[await hashPin(pin), personId, pinHash],
    ]);
  return { person, language };
}

/** True where `pin` is the PIN that somebody has now. */
export async function knowsPin(
  db: Parameters<typeof rowsOf>[0],
  personId: number,
  pin: string,
): Promise<boolean> {
  const [found] = await rowsOf<Pick<Found, 'pinHash' | 'peppered'>>(
    db,
    'SELECT pin_hash AS pinHash, pin_peppered AS peppered FROM person WHERE id = ?',
    [personId],
  );
  return found !== undefined && (await isRight(found, pin));
}
