import type { FloorEvent } from '@/core/floor/events';
import { pool } from './db/pool';
import { rowsOf } from './db/rows';
import { floorEventsAfter, lastFloorEvent } from './queries/doughs';

/** How often a process looks for changes made by any process, ms. */
const LOOK_EVERY = 250;

/**
 * What a screen is told: how far the house is, what was recorded on the floor since it was told last, and whether
 * nothing else has changed that a screen is waited for to show.
 */
export interface News {
  cursor: number;
  events: FloorEvent[];
  calm: boolean;
}

type Listener = (news: News) => void;

interface Feed {
  listeners: Set<Listener>;
  /** Null until the first look, which tells how far the house is and no more. */
  cursor: number | null;
  /** Number of the floor event told last. */
  event: number;
  timer: NodeJS.Timeout | null;
}

const held = globalThis as { hefeteigFeed?: Feed };

/** Cursor of the newest change. */
export async function newestChange(): Promise<number> {
  const [row] = await rowsOf<{ id: number | null }>(pool(), 'SELECT MAX(id) AS id FROM change_feed');
  return row?.id ?? 0;
}

/**
 * Calls `listener` with the news of each change from now on; returns how to stop. One look-up serves all listeners. An event
 * that was numbered before another but written after it is not among the news; who asks for the board has it.
 */
export function onChange(listener: Listener): () => void {
  const feed = (held.hefeteigFeed ??= { listeners: new Set(), cursor: null, event: 0, timer: null });
  feed.listeners.add(listener);
  if (feed.listeners.size === 1) void look(feed);
  return () => {
    feed.listeners.delete(listener);
    if (feed.listeners.size === 0 && feed.timer) clearTimeout(feed.timer);
  };
}

async function look(feed: Feed): Promise<void> {
  try {
    const newest = await newestChange();
    if (feed.cursor === null || newest > feed.cursor) {
      const news = await newsSince(feed, newest);
      feed.cursor = newest;
      for (const listener of feed.listeners) listener(news);
    }
  } catch {
    // The database is away for a moment: screens keep what they show, and the next look tells them.
  }
  if (feed.listeners.size > 0) feed.timer = setTimeout(() => void look(feed), LOOK_EVERY);
}

async function newsSince(feed: Feed, newest: number): Promise<News> {
  const { cursor } = feed;
  if (cursor === null) {
    feed.event = await lastFloorEvent(pool());
    return { cursor: newest, events: [], calm: false };
  }
  const recorded = await floorEventsAfter(pool(), feed.event);
  const [other] = await rowsOf<{ id: number }>(
    pool(),
    "SELECT id FROM change_feed WHERE id > ? AND id <= ? AND command NOT IN ('record-event', 'readings') LIMIT 1",
    [cursor, newest],
  );
  feed.event = recorded.at(-1)?.seq ?? feed.event;
  return {
    cursor: newest,
    events: recorded.map(({ event }) => event),
    calm: other === undefined,
  };
}
