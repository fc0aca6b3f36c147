import type { Person } from '@/core/bakery/people';
import { resting } from '@/core/shopfloor/rights';
import { pool } from '../db/pool';
import { rowsOf, write, type Db } from '../db/rows';
import { log } from '../log';
import { giveToken, takeToken, tokenIn } from './cookie';
import { newToken, tokenHash } from './token';

/** Who is signed in, in which session, on which tablet. */
export interface Here {
  person: Person;
  sessionId: number;
  tabletId: number;
}

/** Hours after which a PIN is asked for again; a screen on the wall stays as long as it is on. */
const HOURS = 14;
/** How exactly it is known when a session was last seen, s. */
const SEEN_SECONDS = 60;

/** A session that counts. */
export const OPEN_SESSION = `session.ended_at IS NULL AND person.active AND tablet.removed_at IS NULL
  AND session.seen_at > UTC_TIMESTAMP(3) - INTERVAL ${HOURS} HOUR
  AND (person.role = 'viewer' OR session.began_at > UTC_TIMESTAMP(3) - INTERVAL ${HOURS} HOUR)`;
/** Sessions with their people and tablets, which `OPEN_SESSION` asks for. */
export const SESSION_JOINED = `session JOIN person ON person.id = session.person_id JOIN tablet ON tablet.id = session.tablet_id`;

/** Who is here, or null. Asked by every page and route. */
export async function whoIsHere(): Promise<Here | null> {
  const token = await tokenIn('session');
  if (token === null) return null;
  const [row] = await rowsOf<
    Person & { sessionId: number; tabletId: number; rests: number; stale: number; replaces: number | null }
  >(
    pool(),
    `SELECT person.id, person.name, person.role, person.team, session.id AS sessionId, tablet.id AS tabletId,
       session.resting AS rests, session.seen_at < UTC_TIMESTAMP(3) - INTERVAL ${SEEN_SECONDS} SECOND AS stale,
       session.replaces
     FROM ${SESSION_JOINED} WHERE session.token_hash = ? AND ${OPEN_SESSION}`,
    [tokenHash(token)],
  );
  if (!row) return null;
  const { sessionId, tabletId, rests, stale, replaces, ...person } = row;
  // A database that takes nothing for a while still shows its pages.
  const later = (error: unknown) => log.warn({ err: error }, 'session not touched');
  if (replaces !== null) await endReplaced(sessionId, replaces).catch(later);
  else if (stale) touch(sessionId).catch(later);
  return { person: rests ? resting(person) : person, sessionId, tabletId };
}

/** The browser has the new session: the one before it is over. */
async function endReplaced(sessionId: number, replaces: number): Promise<void> {
  await write(pool(), 'UPDATE session SET ended_at = UTC_TIMESTAMP(3) WHERE id = ? AND ended_at IS NULL', [
    replaces,
  ]);
  await write(pool(), 'UPDATE session SET replaces = NULL WHERE id = ?', [sessionId]);
}

async function touch(sessionId: number): Promise<void> {
  await write(pool(), 'UPDATE session SET seen_at = UTC_TIMESTAMP(3) WHERE id = ?', [sessionId]);
}

/** Which of these sessions still count. */
export async function openSessions(db: Db, ids: readonly number[]): Promise<Set<number>> {
  if (ids.length === 0) return new Set();
  const rows = await rowsOf<{ id: number }>(
    db,
    `SELECT session.id FROM ${SESSION_JOINED} WHERE session.id IN (?) AND ${OPEN_SESSION}`,
    [ids],
  );
  return new Set(rows.map(({ id }) => id));
}

/** Begins a session of somebody who has given their PIN; the one that was open in this browser ends with its first use. */
export async function beginSession(personId: number, tabletId: number): Promise<number> {
  const before = await tokenIn('session');
  const [open] = await rowsOf<{ id: number }>(
    pool(),
    'SELECT id FROM session WHERE token_hash = ? AND ended_at IS NULL',
    [tokenHash(before ?? '')],
  );
  const token = newToken();
  const { id } = await write(
    pool(),
    `INSERT INTO session (token_hash, person_id, tablet_id, replaces, began_at, seen_at)
     VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
    [tokenHash(token), personId, tabletId, open?.id ?? null],
  );
  await giveToken('session', token);
  return id;
}

/** From now on this session only shows. */
export async function restSession(sessionId: number): Promise<void> {
  await write(pool(), 'UPDATE session SET resting = TRUE WHERE id = ?', [sessionId]);
}

/** Ends the session of this browser. */
export async function endSession(): Promise<void> {
  const token = await tokenIn('session');
  if (token !== null) await endByToken(token);
  await takeToken('session');
}

async function endByToken(token: string): Promise<void> {
  await write(
    pool(),
    'UPDATE session SET ended_at = UTC_TIMESTAMP(3) WHERE token_hash = ? AND ended_at IS NULL',
    [tokenHash(token)],
  );
}

/** Ends all sessions of somebody, but for one where it is named. Returns how many. */
export async function endSessionsOf(db: Db, personId: number, but: number | null = null): Promise<number> {
  const { touched } = await write(
    db,
    `UPDATE session SET ended_at = UTC_TIMESTAMP(3) WHERE person_id = ? AND ended_at IS NULL AND NOT id <=> ?`,
    [personId, but],
  );
  return touched;
}
