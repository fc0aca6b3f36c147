import { coded, type Coded } from '@/core/codes/coded';
import { randomInt } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import { pool } from '../db/pool';
import { rowsOf, transaction, write, type Db } from '../db/rows';
import { giveToken, tokenIn } from './cookie';
import { ANY_CODE, countGuess } from './guesses';
import { newToken, tokenHash } from './token';

/** How long a code lets a tablet in, minutes. */
const CODE_MINUTES = 15;
const CODE_LENGTH = 8;
/** Without letters and digits that are taken for each other. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

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

/** Makes a code that lets one tablet in. `madeBy`: null for the command line. */
export async function makeTabletCode(db: Db, madeBy: number | null): Promise<string> {
  const code = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join(
    '',
  );
  await write(db, 'DELETE FROM tablet_code WHERE made_at < UTC_TIMESTAMP(3) - INTERVAL ? MINUTE', [
    CODE_MINUTES,
  ]);
  await write(db, 'INSERT INTO tablet_code (code_hash, made_at, made_by) VALUES (?, UTC_TIMESTAMP(3), ?)', [
    tokenHash(code),
    madeBy,
  ]);
  return code;
}

/** Lets this browser in by a code that was not used yet. Returns a sentence where that cannot be. */
export async function enrolByCode(db: Pool, typed: string, name: string): Promise<Coded | null> {
  const wait = await countGuess(db, [ANY_CODE]);
  if (wait > 0) return coded('refusals.tooManyWrongCodes', { wait });
  const code = typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
  const token = newToken();
  const known = await transaction(db, async (db) => {
    const [row] = await rowsOf<{ madeBy: number | null }>(
      db,
      `SELECT made_by AS madeBy FROM tablet_code
       WHERE code_hash = ? AND made_at > UTC_TIMESTAMP(3) - INTERVAL ? MINUTE FOR UPDATE`,
      [tokenHash(code), CODE_MINUTES],
    );
    if (!row) return false;
    await write(db, 'DELETE FROM tablet_code WHERE code_hash = ?', [tokenHash(code)]);
    await write(db, 'DELETE FROM guess WHERE subject = ?', [ANY_CODE.subject]);
    await addTablet(db, { name, token, by: row.madeBy });
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
