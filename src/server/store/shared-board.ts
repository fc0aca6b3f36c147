import { type Board, withoutOver } from '@/core/wire/board';
import { packBoard, type PackedBoard } from '@/core/wire/packed-board';
import { MINUTE } from '@/core/time/local';
import { board } from './board';
import { type Db, rowsOf } from '../db/rows';

/** Boards that are kept: what the views of one minute ask for. */
const KEPT = 4;
const boards = new Map<string, Promise<Board>>();

/**
 * The board as it stands at the newest facts, worked out once for everybody who looks in the same minute: after a tap all
 * tablets of the house ask for it at once. Any command, weight or change of temperature makes a new one.
 */
export async function sharedBoard(db: Db, now: number, daysBack: number): Promise<Board> {
  const [facts] = await rowsOf<Record<string, string | number | null>>(
    db,
    `SELECT DATABASE() AS name, (SELECT newest FROM feed_number) AS feed,
       (SELECT MAX(at) FROM scale_reading) AS weight`,
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

/** Days back from which the floor's screens know doughs. */
export const FLOOR_DAYS = 1;

/** Boards that were packed for the screens, for as long as they are shared. */
const packed = { whole: new WeakMap<Board, PackedBoard>(), floor: new WeakMap<Board, PackedBoard>() };

function packedOnce(known: WeakMap<Board, PackedBoard>, shared: Board, shown: () => Board): PackedBoard {
  const text = known.get(shared) ?? packBoard(shown());
  known.set(shared, text);
  return text;
}

/** The shared board, packed once for all screens. */
export async function packedBoard(db: Db, now: number, daysBack: number): Promise<PackedBoard> {
  const shared = await sharedBoard(db, now, daysBack);
  return packedOnce(packed.whole, shared, () => shared);
}

/** The shared board as the floor's screens need it, packed once for all of them: without what has been over for long. */
export async function floorBoard(db: Db, now: number): Promise<PackedBoard> {
  const shared = await sharedBoard(db, now, FLOOR_DAYS);
  return packedOnce(packed.floor, shared, () => withoutOver(shared, now));
}
