import type { Pool, PoolConnection } from 'mysql2/promise';
import { rowsOf, transaction, write, type Db } from '../db/rows';

/** What somebody could be guessing at, and how many wrong tries in a row are free. */
export interface GuessLimit {
  subject: string;
  free: number;
}

const FREE = { person: 5, tablet: 20, code: 10 };
const FIRST_WAIT_SECONDS = 10;
const LONGEST_WAIT_SECONDS = 600;
/** Tries are forgotten when nothing was tried for so long, s. */
const MEMORY_SECONDS = 3600;

/** One person's PIN on one tablet: tries are counted where they are made, so that nobody else has to wait for them. */
export const pinOn = (tabletId: number, personId: number): GuessLimit => {
  return { subject: `tablet/${tabletId}/person/${personId}`, free: FREE.person };
};

/** All PINs on one tablet. */
export const anyPinOn = (tabletId: number): GuessLimit => ({
  subject: `tablet/${tabletId}`,
  free: FREE.tablet,
});

/** Enrolment codes, whoever types them. */
export const ANY_CODE: GuessLimit = { subject: 'code', free: FREE.code };

/** Seconds to wait after `tries` wrong tries in a row; each one beyond the free ones doubles it, to ten minutes. */
export function waitAfter(tries: number, free: number): number {
  if (tries < free) return 0;
  return Math.min(LONGEST_WAIT_SECONDS, FIRST_WAIT_SECONDS * 2 ** (tries - free));
}

/**
 * Counts a try before it is checked, and one after the other, so that a thousand at once are a thousand tries.
 *
 * @returns 0 where it may be checked now, or the seconds to wait; what has to wait is neither counted nor checked
 */
export function countGuess(pool: Pool, guessed: readonly GuessLimit[]): Promise<number> {
  return transaction(pool, async (db) => {
    const tried: { guess: GuessLimit; tries: number; left: number }[] = [];
    for (const guess of guessed) tried.push({ guess, ...(await triesSoFar(db, guess.subject)) });
    const left = Math.max(...tried.map((one) => one.left));
    if (left > 0) return left;
    for (const { guess, tries } of tried)
      await write(
        db,
        `UPDATE guess SET tries = ?, at = UTC_TIMESTAMP(3), next_at = UTC_TIMESTAMP(3) + INTERVAL ? SECOND
         WHERE subject = ?`,
        [tries + 1, waitAfter(tries + 1, guess.free), guess.subject],
      );
    return 0;
  });
}

/** How often it was tried, and for how many seconds nobody may try again; holds the count until the transaction ends. */
async function triesSoFar(db: PoolConnection, subject: string): Promise<{ tries: number; left: number }> {
  await write(
    db,
    `INSERT INTO guess (subject, tries, next_at, at) VALUES (?, 0, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE tries = IF(at < UTC_TIMESTAMP(3) - INTERVAL ? SECOND, 0, tries)`,
    [subject, MEMORY_SECONDS],
  );
  const [row] = await rowsOf<{ tries: number; left: number }>(
    db,
    `SELECT tries, CEIL(GREATEST(0, TIMESTAMPDIFF(MICROSECOND, UTC_TIMESTAMP(3), next_at) / 1000000)) AS \`left\`
     FROM guess WHERE subject = ? FOR UPDATE`,
    [subject],
  );
  return { tries: row?.tries ?? 0, left: row?.left ?? 0 };
}

/** Takes a try back that turned out to be right: nothing is left of `own`, and one try less of what it shares. */
export async function wasRight(db: Db, own: GuessLimit, shared: GuessLimit): Promise<void> {
  await write(db, 'DELETE FROM guess WHERE subject = ?', [own.subject]);
  await write(
    db,
    'UPDATE guess SET tries = GREATEST(1, tries) - 1, next_at = UTC_TIMESTAMP(3) WHERE subject = ?',
    [shared.subject],
  );
}

/** Forgets what was tried for a person on any tablet: they have a new PIN. */
export async function forgetGuesses(db: Db, personId: number): Promise<void> {
  await write(db, "DELETE FROM guess WHERE subject LIKE CONCAT('tablet/%/person/', ?)", [personId]);
}
