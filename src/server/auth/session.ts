import { getIronSession, type SessionOptions } from 'iron-session';
import { cookies } from 'next/headers';
import type { Person } from '@/core/floor/board';
import { resting } from '@/core/floor/rights';
import { pool } from '../db/pool';
import { rowsOf } from '../db/rows';

interface SessionData {
  personId?: number;
  /** The person's session number when it began; a planner who ends all sessions raises it. */
  epoch?: number;
  /** Nobody has touched the tablet for long: it shows, and records nothing until a PIN is given. */
  resting?: boolean;
}

const HOURS = 14;
let options: SessionOptions | null = null;

async function sessionOptions(): Promise<SessionOptions> {
  if (options) return options;
  const [row] = await rowsOf<{ value: string }>(pool(), 'SELECT value FROM secret WHERE name = ?', [
    'session',
  ]);
  if (!row) throw new Error('The database has no session secret; run the migrations.');
  // The demo and a bakery's own network speak plain HTTP on loopback; behind HTTPS the proxy sets Secure.
  const cookieOptions = {
    httpOnly: true,
    sameSite: 'strict',
    secure: process.env.HEFETEIG_HTTPS === '1',
  } as const;
  options = { cookieName: 'hefeteig', password: row.value, ttl: HOURS * 3600, cookieOptions };
  return options;
}

async function session() {
  return getIronSession<SessionData>(await cookies(), await sessionOptions());
}

/** Who is signed in here, or null. Asked by every page, action and route. */
export async function signedIn(): Promise<Person | null> {
  const { personId, epoch = 0, resting: rests } = await session();
  if (personId === undefined) return null;
  const [person] = await rowsOf<Person>(
    pool(),
    'SELECT id, name, role, team FROM person WHERE id = ? AND active AND session_epoch = ?',
    [personId, epoch],
  );
  return person ? (rests ? resting(person) : person) : null;
}

export async function beginSession(personId: number): Promise<void> {
  const current = await session();
  const [row] = await rowsOf<{ epoch: number }>(
    pool(),
    'SELECT session_epoch AS epoch FROM person WHERE id = ?',
    [personId],
  );
  current.personId = personId;
  current.epoch = row?.epoch ?? 0;
  current.resting = false;
  await current.save();
}

/** From now on this device only shows. */
export async function restSession(): Promise<void> {
  const current = await session();
  current.resting = true;
  await current.save();
}

export async function endSession(): Promise<void> {
  (await session()).destroy();
}
