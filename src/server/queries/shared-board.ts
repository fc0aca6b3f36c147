import type { Board } from '@/core/floor/board';
import { MINUTE } from '@/core/time/local';
import { rowsOf, type Db } from '../db/rows';
import { board } from './board';

/** Boards that are kept: what the views of one minute ask for. */
const KEPT = 4;
const boards = new Map<string, Promise<Board>>();

/**
 * The board as it stands at the newest facts, worked out once for everybody who looks in the same minute: after a tap all
 * tablets of the house ask for it at once. Any command, weight or change of temperature makes a new one.
 */
export async function sharedBoard(db: Db, now: number, daysBack: number): Promise<Board> {
  // Numbers are given out before their rows are there: a row that comes late changes the count of the last ones.
  const [facts] = await rowsOf<Record<string, string | number | null>>(
    db,
    `SELECT DATABASE() AS name, MAX(id) AS feed,
       (SELECT COUNT(*) FROM change_feed WHERE id > (SELECT CAST(MAX(id) AS SIGNED) - 100 FROM change_feed)) AS lately,
       (SELECT MAX(at) FROM scale_reading) AS weight FROM change_feed`,
  );
  const key = JSON.stringify([facts, Math.floor(now / MINUTE), daysBack]);
  const known = boards.get(key);
  if (known) return known;
  const made = board(db, now, daysBack);
  boards.set(key, made);
  // What failed is asked for anew, and the oldest makes room.
  made.catch(() => boards.delete(key));
  for (const old of [...boards.keys()].slice(0, -KEPT)) boards.delete(old);
  return made;
}
