import type { Words } from '../codes/coded';
import { MINUTE, type Instant } from '../time/local';
import type { PlaceLimits } from './excursions';

/** What a probe has said over a short span: mean, lowest and highest, °C, and mean humidity, %. */
export interface CurvePoint {
  at: Instant;
  celsius: number;
  lowest: number;
  highest: number;
  humidity: number | null;
}

const HOUR = 3_600_000;

/** How far back a curve can go, ms. */
export const PLACE_SPANS = {
  shift: { ms: 8 * HOUR },
  day: { ms: 24 * HOUR },
  week: { ms: 7 * 24 * HOUR },
  month: { ms: 31 * 24 * HOUR },
  year: { ms: 366 * 24 * HOUR },
} as const;
export type PlaceSpan = keyof typeof PLACE_SPANS;

/** What is known of a place over some time. */
export interface PlaceRecord {
  id: string;
  limits: PlaceLimits;
  from: Instant;
  to: Instant;
  /** So long a point stands for, ms. */
  step: number;
  points: CurvePoint[];
  outside: Outside[];
  /** What its probe said and nobody believed, with why, how often and when last. */
  doubted: { at: Instant; doubt: Words; times: number }[];
}

/** A time for which a place was outside its limits, and how far at most. */
export interface Outside {
  from: Instant;
  to: Instant;
  celsius: number;
  limit: number;
}

/** A pause longer than this between two points ends what went before it: nobody knows what was meanwhile. */
const PAUSE = { minutes: 30, points: 3 };

/**
 * When a place was outside its limits for longer than it may, in order of time. A point counts for the span that it stands
 * for: until the next one, unless the probe was silent in between.
 */
export function timesOutside(
  points: readonly CurvePoint[],
  { low, high, minutes }: Pick<PlaceLimits, 'low' | 'high' | 'minutes'>,
): Outside[] {
  const step =
    points.length > 1
      ? ((points.at(-1) as CurvePoint).at - (points[0] as CurvePoint).at) / (points.length - 1)
      : 0;
  const silence = Math.max(PAUSE.minutes * MINUTE, PAUSE.points * step);
  const found: Outside[] = [];
  let open: Outside | null = null;
  let last = -Infinity;
  for (const { at, celsius } of points) {
    const limit = high !== null && celsius > high ? high : low !== null && celsius < low ? low : null;
    if (open && (at - last > silence || limit !== open.limit)) {
      // It came back at some moment since the last point; within a silence nothing is known.
      if (at - last <= silence) open.to = at;
      open = null;
    }
    if (limit !== null) {
      if (!open) found.push((open = { from: at, to: at, celsius, limit }));
      open.to = at;
      if (Math.abs(celsius - limit) > Math.abs(open.celsius - limit)) open.celsius = celsius;
    }
    last = at;
  }
  return found.filter(({ from, to }) => to - from >= minutes * MINUTE);
}

/** Points with a mark where the probe was silent, so that no line is drawn across what nobody knows. */
export function withGaps(
  points: readonly CurvePoint[],
  silence: number,
): (CurvePoint | { at: Instant; gap: true })[] {
  return points.flatMap((point, i) => {
    const before = points[i - 1];
    return before && point.at - before.at > silence
      ? [{ at: before.at + 1, gap: true as const }, point]
      : [point];
  });
}
