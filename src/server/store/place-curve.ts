import type { Words } from '@/core/codes/coded';
import { keptWords } from '@/words/as-text';
import {
  type CurvePoint,
  PLACE_SPANS,
  type PlaceRecord,
  type PlaceSpan,
  timesOutside,
} from '@/core/climate/curve';
import type { PlaceLimits } from '@/core/climate/excursions';
import { summedDays, summedUntil } from './place-hours';
import { type Db, rowsOf, type SqlValue } from '../db/rows';

/** Points of a curve at most: more than a screen has room for tell nothing more. */
const POINTS = 360;

const HOUR = 3600;
/** So long a point stands for in a curve of some length, ms. */
const stepOf = (length: number) => 60_000 * Math.max(1, Math.ceil(length / 60_000 / POINTS));

/** A place with its limits, its curve and what was odd in it; null for a place that the house does not have. */
export async function placeRecord(
  db: Db,
  id: string,
  span: PlaceSpan,
  now: number,
): Promise<PlaceRecord | null> {
  const [limits] = await rowsOf<PlaceLimits>(
    db,
    'SELECT id AS place, label, alarm_low AS low, alarm_high AS high, alarm_minutes AS minutes FROM place WHERE id = ?',
    [id],
  );
  if (!limits) return null;
  const from = now - PLACE_SPANS[span].ms;
  const [points, doubted] = await Promise.all([
    placeCurve(db, id, from, now),
    doubtedReadings(db, id, from, now),
  ]);
  return {
    ...{ id, limits, from, to: now, step: stepOf(now - from), points, doubted },
    outside: timesOutside(points, limits).reverse(),
  };
}

/**
 * What the probe of a place has said from one moment to another: means over equal spans of at least a minute, with the
 * lowest and highest of each, in order of time. Spans without a believed reading are left out.
 */
export async function placeCurve(db: Db, place: string, from: number, to: number): Promise<CurvePoint[]> {
  const seconds = stepOf(to - from) / 1000;
  // Days that are summed up are read by the hour, where a point stands for at least as much.
  const days = seconds >= HOUR ? await summedDays(db, place, from, to) : new Set<string>();
  const until = days.size === 0 ? from : summedUntil(days, from, to);
  const curve = (source: string, values: SqlValue[]) =>
    rowsOf<CurvePoint>(
      db,
      `SELECT UNIX_TIMESTAMP(at) DIV ? AS at, AVG(celsius) AS celsius, MIN(lowest) AS lowest, MAX(highest) AS highest,
         AVG(humidity) AS humidity FROM (${source}) AS heard GROUP BY 1`,
      [seconds, ...values],
    );
  const span = [place, new Date(until), new Date(to)];
  const [hours, thinned, raw] = await Promise.all([
    curve(
      `SELECT hour AS at, celsius, lowest, highest, humidity FROM place_hour WHERE place = ? AND hour >= ? AND hour < ?`,
      [place, new Date(from), new Date(until)],
    ),
    curve(
      `SELECT minute AS at, celsius, lowest, highest, humidity FROM place_minute
       WHERE place = ? AND minute >= ? AND minute <= ?`,
      span,
    ),
    curve(
      `SELECT at, celsius, celsius AS lowest, celsius AS highest, humidity FROM place_reading
       WHERE place = ? AND at >= ? AND at <= ? AND doubt IS NULL`,
      span,
    ),
  ]);
  // Where a span has several, what is kept most finely counts.
  const known = new Map([...hours, ...thinned, ...raw].map((point) => [Number(point.at), point]));
  return [...known]
    .sort(([a], [b]) => a - b)
    .map(([at, { celsius, lowest, highest, humidity }]) => ({
      at: at * seconds * 1000,
      ...{ celsius: Number(celsius), lowest: Number(lowest), highest: Number(highest) },
      humidity: humidity === null ? null : Number(humidity),
    }));
}

/** Readings of a place that are not believed, the newest first, with why not. */
export async function doubtedReadings(
  db: Db,
  place: string,
  from: number,
  to: number,
): Promise<{ at: number; doubt: Words; times: number }[]> {
  const rows = await rowsOf<{ at: Date; doubt: string; times: number }>(
    db,
    `SELECT MAX(at) AS at, doubt, COUNT(*) AS times FROM place_reading
     WHERE place = ? AND at >= ? AND at <= ? AND doubt IS NOT NULL GROUP BY doubt ORDER BY 1 DESC LIMIT 10`,
    [place, new Date(from), new Date(to)],
  );
  return rows.map(({ at, doubt, times }) => ({ at: at.getTime(), doubt: keptWords(doubt), times }));
}
