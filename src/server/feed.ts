import { pool } from './db/pool';
import { rowsOf } from './db/rows';

/** How often a process looks for changes made by any process, ms. */
const LOOK_EVERY = 250;

interface Feed {
  listeners: Set<(cursor: number) => void>;
  cursor: number;
  timer: NodeJS.Timeout | null;
}

const held = globalThis as { hefeteigFeed?: Feed };

/** Cursor of the newest change. */
export async function newestChange(): Promise<number> {
  const [row] = await rowsOf<{ id: number | null }>(pool(), 'SELECT MAX(id) AS id FROM change_feed');
  return row?.id ?? 0;
}

/** Calls `listener` with the cursor of each change from now on; returns how to stop. One look-up serves all listeners. */
export function onChange(listener: (cursor: number) => void): () => void {
  const feed = (held.hefeteigFeed ??= { listeners: new Set(), cursor: 0, timer: null });
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
    if (newest > feed.cursor) {
      feed.cursor = newest;
      for (const listener of feed.listeners) listener(newest);
    }
  } catch {
    // The database is away for a moment: screens keep what they show, and the next look tells them.
  }
  if (feed.listeners.size > 0) feed.timer = setTimeout(() => void look(feed), LOOK_EVERY);
}
