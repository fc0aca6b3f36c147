import { type Db } from '../db/rows';
import { houseSettings } from '../store/house';
import { insertMinutes, oldestReadings, removeReadings } from '../store/readings';

const DAY = 24 * 3_600_000;
/** Days that are thinned at one go: after a long pause the rest follows in the next hours. */
const AT_ONCE = 3;

/**
 * Turns readings that are older than the house keeps them one by one into one row a minute: mean, lowest and highest of
 * those that are believed. Whole days only, the oldest first. Returns how many readings have gone.
 */
export async function thinReadings(db: Db, now: number): Promise<number> {
  const settings = await houseSettings(db);
  const limit = Math.floor((now - settings.rawDays * DAY) / DAY) * DAY;
  const firsts = await oldestReadings(db);
  const oldest = Math.min(...firsts.map(({ at }) => at.getTime()));
  if (oldest >= limit) return 0;
  const until = new Date(Math.min(limit, (Math.floor(oldest / DAY) + AT_ONCE) * DAY));
  await insertMinutes(db, until);
  const { touched } = await removeReadings(db, until);
  return touched;
}
