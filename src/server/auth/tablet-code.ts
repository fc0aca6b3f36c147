import { randomInt } from 'node:crypto';
import { rowOf, write, type Db } from '../db/rows';
import { tokenHash } from './token';

/** How long a code lets a tablet in, minutes. */
export const CODE_MINUTES = 15;
const CODE_LENGTH = 8;
/** Without letters and digits that are taken for each other. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

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

/** Takes a code as it was typed, which then lets nobody in again. Null where there is none of that kind, or it is too old. */
export async function useUpCode(db: Db, typed: string): Promise<{ by: number | null } | null> {
  const hash = tokenHash(typed.toUpperCase().replace(/[^A-Z0-9]/g, ''));
  const made = await rowOf<{ by: number | null }>(
    db,
    `SELECT made_by AS \`by\` FROM tablet_code
     WHERE code_hash = ? AND made_at > UTC_TIMESTAMP(3) - INTERVAL ? MINUTE FOR UPDATE`,
    [hash, CODE_MINUTES],
  );
  if (made) await write(db, 'DELETE FROM tablet_code WHERE code_hash = ?', [hash]);
  return made;
}
