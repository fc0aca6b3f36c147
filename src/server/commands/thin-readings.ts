import { rowsOf, write, type Db } from '../db/rows';
import { houseSettings } from '../store/house';

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
  const firsts = await rowsOf<{ at: Date }>(db, 'SELECT MIN(at) AS at FROM place_reading GROUP BY place');
  const oldest = Math.min(...firsts.map(({ at }) => at.getTime()));
  if (oldest >= limit) return 0;
  const until = new Date(Math.min(limit, (Math.floor(oldest / DAY) + AT_ONCE) * DAY));
  await write(
    db,
    `INSERT INTO place_minute (place, minute, celsius, lowest, highest, humidity)
     SELECT place, FROM_UNIXTIME(UNIX_TIMESTAMP(at) DIV 60 * 60), AVG(celsius), MIN(celsius), MAX(celsius), AVG(humidity)
     FROM place_reading WHERE at < ? AND doubt IS NULL GROUP BY place, UNIX_TIMESTAMP(at) DIV 60
     ON DUPLICATE KEY UPDATE place_minute.minute = place_minute.minute`,
    [until],
  );
  const { touched } = await write(db, 'DELETE FROM place_reading WHERE at < ?', [until]);
  return touched;
}
