import type { Pool } from 'mysql2/promise';
import { type Db, insertOnce, rowsOf, transaction, write } from '../db/rows';

const DAY = 24 * 3_600_000;
/** Days of a place that are summed up at one go. */
const AT_ONCE = 400;

const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);
const dayBefore = (now: number) => Math.floor(now / DAY) * DAY - DAY;

/**
 * Sums whole days of readings up by the hour, for curves of months and years: those that are over and not summed up yet.
 *
 * @returns how many days of places were summed up
 */
export async function sumUpDays(pool: Pool, now: number): Promise<number> {
  const firsts = await rowsOf<{ place: string; at: Date | null; minute: Date | null }>(
    pool,
    // By order and limit: the least value of a place that is named by another row would be looked for among all of them.
    `SELECT id AS place, (SELECT at FROM place_reading WHERE place = place.id ORDER BY at LIMIT 1) AS at,
       (SELECT minute FROM place_minute WHERE place = place.id ORDER BY minute LIMIT 1) AS minute FROM place`,
  );
  let summed = 0;
  for (const { place, at, minute } of firsts) {
    const first = Math.min(at?.getTime() ?? Infinity, minute?.getTime() ?? Infinity);
    if (first === Infinity) continue;
    const known = await summedDays(pool, place, first, now);
    for (let day = Math.floor(first / DAY) * DAY; day <= dayBefore(now) && summed < AT_ONCE; day += DAY) {
      if (known.has(dayOf(day))) continue;
      await sumUp(pool, place, day);
      summed++;
    }
  }
  return summed;
}

function sumUp(pool: Pool, place: string, day: number): Promise<void> {
  return transaction(pool, async (db) => {
    // Another process may sum the same day up at this moment.
    if (!(await insertOnce(db, 'place_day', { place, day: dayOf(day) }))) return;
    const span = [place, new Date(day), new Date(day + DAY)];
    await write(db, 'DELETE FROM place_hour WHERE place = ? AND hour >= ? AND hour < ?', span);
    await write(
      db,
      `INSERT INTO place_hour (place, hour, celsius, lowest, highest, humidity)
       SELECT place, FROM_UNIXTIME(UNIX_TIMESTAMP(at) DIV 3600 * 3600), AVG(celsius), MIN(lowest), MAX(highest), AVG(humidity)
       FROM (
         SELECT place, at, celsius, celsius AS lowest, celsius AS highest, humidity FROM place_reading
         WHERE place = ? AND at >= ? AND at < ? AND NOT doubted
         UNION ALL SELECT place, minute, celsius, lowest, highest, humidity FROM place_minute
         WHERE place = ? AND minute >= ? AND minute < ?
       ) AS heard GROUP BY place, UNIX_TIMESTAMP(at) DIV 3600`,
      [...span, ...span],
    );
  });
}

/** Days of a place, such as `2026-11-19`, that are summed up. */
export async function summedDays(db: Db, place: string, from: number, to: number): Promise<Set<string>> {
  const rows = await rowsOf<{ day: string }>(
    db,
    "SELECT DATE_FORMAT(day, '%Y-%m-%d') AS day FROM place_day WHERE place = ? AND day BETWEEN ? AND ?",
    [place, dayOf(from), dayOf(to)],
  );
  return new Set(rows.map(({ day }) => day));
}

/** Readings of earlier days have come late: those days are summed up anew. */
export async function forgetDays(db: Db, late: readonly { place: string; at: number }[]): Promise<void> {
  const days = [...new Set(late.map(({ place, at }) => `${place} ${dayOf(at)}`))];
  if (days.length === 0) return;
  await write(db, 'DELETE FROM place_day WHERE (place, day) IN (?)', [
    days.map((day) => [day.slice(0, -11), day.slice(-10)]),
  ]);
}

/** The longest stretch of days, up to the last one that is over, from which on a day is not summed up; ms. */
export function summedUntil(days: ReadonlySet<string>, from: number, to: number): number {
  let day = Math.ceil(from / DAY) * DAY;
  while (day + DAY <= to && days.has(dayOf(day))) day += DAY;
  return day;
}
