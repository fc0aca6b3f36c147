import { MINUTE, type Instant } from '../time/local';
import type { CurvePoint } from './curve';

/** Between the cold that chambers hold and the warmth of proofers lies the room that comes in when a door opens, °C. */
const ROOM = 20;
/** An open door changes the air by at least so much between two readings, °C, and by so many times what it usually changes. */
const JUMP = { celsius: 0.25, times: 3 };
/** Readings further apart than this tell nothing of a door, minutes. */
const APART = 6;
/** A door that is opened again so soon, minutes, was opened for the same errand. */
const SAME_ERRAND = 4;

/**
 * When the door of a chamber was opened, by what its probe read: a jump towards the air of the room, faster than the chamber drifts
 * by itself.
 *
 * @param points - readings of one chamber, in order of time
 *
 * @example
 * doorOpenings([26.4, 26.3, 26.3, 25.6].map((celsius, i) => ({ at: i * 60_000, celsius }))); // [180_000]
 */
export function doorOpenings(points: readonly Pick<CurvePoint, 'at' | 'celsius'>[]): Instant[] {
  const steps = points.slice(1).flatMap(({ at, celsius }, i) => {
    const before = points[i];
    return before && at - before.at <= APART * MINUTE ? [{ at, by: celsius - before.celsius }] : [];
  });
  const usual = middle(steps.map(({ by }) => Math.abs(by)));
  const least = Math.max(JUMP.celsius, JUMP.times * usual);
  const inwards = middle(points.map(({ celsius }) => celsius)) < ROOM ? 1 : -1;
  const found: Instant[] = [];
  for (const { at, by } of steps) {
    const last = found.at(-1);
    if (by * inwards >= least && (last === undefined || at - last > SAME_ERRAND * MINUTE)) found.push(at);
  }
  return found;
}

/** Dough changes slowly: what a core probe reads otherwise by so much from one reading to the next is another thing, °C. */
const TAKEN = 3;

/**
 * When a core probe was put into a dough or taken out of one: it reads something else from one moment to the next.
 *
 * @example
 * probeMoves([24.1, 24.2, 19.6, 19.4].map((celsius, i) => ({ at: i * 60_000, celsius }))); // [120_000]
 */
export function probeMoves(points: readonly Pick<CurvePoint, 'at' | 'celsius'>[]): Instant[] {
  const found: Instant[] = [];
  for (const [i, { at, celsius }] of points.entries()) {
    const before = points[i - 1];
    const last = found.at(-1);
    if (!before || at - before.at > APART * MINUTE || Math.abs(celsius - before.celsius) < TAKEN) continue;
    if (last === undefined || at - last > SAME_ERRAND * MINUTE) found.push(at);
  }
  return found;
}

const middle = (numbers: readonly number[]): number =>
  [...numbers].sort((a, b) => a - b)[numbers.length >> 1] ?? 0;
