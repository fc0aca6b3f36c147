import { coded, type Coded } from '@/core/codes/coded';
import type { Pool } from 'mysql2/promise';
import { pool } from '../db/pool';
import { rowsOf, transaction, write, type Db } from '../db/rows';
import { giveToken, tokenIn } from './cookie';
import { ANY_CODE, countGuess } from './guesses';
import { CODE_MINUTES, useUpCode } from './tablet-code';
import { newToken, tokenHash } from './token';

/** The tablet that this browser is, or null where no planner has let it in. */
export async function tabletHere(): Promise<{ id: number; name: string } | null> {
  const token = await tokenIn('tablet');
  if (token === null) return null;
  const [row] = await rowsOf<{ id: number; name: string }>(
    pool(),
    'SELECT id, name FROM tablet WHERE token_hash = ? AND removed_at IS NULL',
    [tokenHash(token)],
  );
  return row ?? null;
}

/** Lets this browser in by a code that was not used yet. Returns a sentence where that cannot be. */
export async function enrolByCode(db: Pool, typed: string, name: string): Promise<Coded | null> {
  const wait = await countGuess(db, [ANY_CODE]);
  if (wait > 0) return coded('refusals.tooManyWrongCodes', { wait });
  const token = newToken();
  const known = await transaction(db, async (db) => {
    const made = await useUpCode(db, typed);
    if (!made) return false;
    await write(db, 'DELETE FROM guess WHERE subject = ?', [ANY_CODE.subject]);
    await addTablet(db, { name, token, by: made.by });
    return true;
  });
  if (!known) return coded('refusals.thatCodeIsNotRight', { minutes: CODE_MINUTES });
  await giveToken('tablet', token);
  return null;
}

/** Lets this browser in without a code: the demo on loopback. */
export async function enrolFreely(db: Pool, name: string): Promise<void> {
  const token = newToken();
  await addTablet(db, { name, token, by: null });
  await giveToken('tablet', token);
}

async function addTablet(
  db: Db,
  { name, token, by }: { name: string; token: string; by: number | null },
): Promise<void> {
  await write(
    db,
    'INSERT INTO tablet (name, token_hash, enrolled_at, enrolled_by) VALUES (?, ?, UTC_TIMESTAMP(3), ?)',
    [name, tokenHash(token), by],
  );
}

/** Tablets that were let in, the newest first. */
export async function tablets(
  db: Db,
): Promise<{ id: number; name: string; enrolledAt: number; by: string | null }[]> {
  const rows = await rowsOf<{ id: number; name: string; enrolledAt: Date; by: string | null }>(
    db,
    `SELECT tablet.id, tablet.name, enrolled_at AS enrolledAt, person.name AS \`by\` FROM tablet
     LEFT JOIN person ON person.id = enrolled_by WHERE removed_at IS NULL ORDER BY tablet.id DESC`,
  );
  return rows.map(({ enrolledAt, ...row }) => ({ ...row, enrolledAt: enrolledAt.getTime() }));
}
