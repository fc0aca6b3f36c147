import { changesBetween, newestInFeed, TOLD_AT_ONCE } from './store/change-feed';
import type { FloorEvent } from '@/core/record/events';
import { openSessions } from './auth/session';
import { pool } from './db/pool';
import { log } from './log';
import { floorEventsByIds } from './store/floor-events';

/** How often a process looks for changes made by any process, and how often it looks whose session is over, ms. */
const LOOK_EVERY = 250;
const RECHECK_EVERY = 5_000;
/** Most screens that one process tells, and that one session may open: a browser with that many tabs is a mistake. */
export const MOST_LISTENERS = { process: 400, session: 20 };

/**
 * What a screen is told: how far the house is, what was recorded on the floor since it was told last, and whether
 * nothing else has changed that a screen is waited for to show.
 */
export interface News {
  cursor: number;
  events: FloorEvent[];
  calm: boolean;
}

export interface Listener {
  sessionId: number;
  tell: (news: News) => void;
  /** Its session is over: it hears nothing more. */
  end: () => void;
}

interface Feed {
  listeners: Set<Listener>;
  /** Null until the first look, which tells how far the house is and no more. */
  cursor: number | null;
  checkedAt: number;
  /** It looks now, or will in a moment. */
  looking: boolean;
  /** The database did not answer the last time. */
  failing: boolean;
}

const held = globalThis as { hefeteigFeed?: Feed };
const theFeed = (): Feed =>
  (held.hefeteigFeed ??= {
    listeners: new Set(),
    cursor: null,
    checkedAt: 0,
    looking: false,
    failing: false,
  });

/** Cursor of the newest change. */
export async function newestChange(): Promise<number> {
  const row = await newestInFeed(pool());
  return row?.newest ?? 0;
}

/** True where one more screen of this session can be told. */
export function hasRoom(sessionId: number): boolean {
  const { listeners } = theFeed();
  const own = [...listeners].filter((one) => one.sessionId === sessionId).length;
  return listeners.size < MOST_LISTENERS.process && own < MOST_LISTENERS.session;
}

/** How many screens this process tells. */
export const listening = (): number => theFeed().listeners.size;

/**
 * Tells `listener` the news of each change from now on; returns how to stop. One look-up serves all listeners, and asks
 * before it tells anything whose session is over. Changes are numbered in the order in which they can be seen
 * (`noteChange`), so none is passed over.
 */
export function onChange(listener: Listener): () => void {
  const feed = theFeed();
  feed.listeners.add(listener);
  if (!feed.looking) void look(feed);
  return () => void feed.listeners.delete(listener);
}

/** Looks for news as long as somebody listens. */
async function look(feed: Feed): Promise<void> {
  feed.looking = true;
  try {
    const newest = await newestChange();
    const isNew = feed.cursor === null || newest > feed.cursor;
    if (isNew || Date.now() - feed.checkedAt > RECHECK_EVERY) await endOver(feed);
    if (isNew) {
      const news = await newsSince(feed.cursor, newest);
      feed.cursor = newest;
      for (const listener of feed.listeners) listener.tell(news);
    }
    feed.failing = false;
  } catch (error) {
    // The database is away for a moment: screens keep what they show, and the next look tells them.
    if (!feed.failing) log.warn({ err: error }, 'feed could not look');
    feed.failing = true;
  }
  if (feed.listeners.size > 0) setTimeout(() => void look(feed), LOOK_EVERY);
  else feed.looking = false;
}

/** Ends the listeners whose sessions are over. */
async function endOver(feed: Feed): Promise<void> {
  const open = await openSessions(pool(), [
    ...new Set([...feed.listeners].map(({ sessionId }) => sessionId)),
  ]);
  feed.checkedAt = Date.now();
  for (const listener of [...feed.listeners]) {
    if (open.has(listener.sessionId)) continue;
    feed.listeners.delete(listener);
    listener.end();
  }
}

async function newsSince(cursor: number | null, newest: number): Promise<News> {
  if (cursor === null) return { cursor: newest, events: [], calm: false };
  const changes = await changesBetween(pool(), cursor, newest);
  const recorded = changes.flatMap(({ eventId }) => eventId ?? []);
  const calm =
    changes.length < TOLD_AT_ONCE &&
    changes.every(({ command }) => command === 'record-event' || command === 'readings');
  return { cursor: newest, events: await floorEventsByIds(pool(), recorded), calm };
}
