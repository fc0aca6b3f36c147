import { medianOf } from '../learning/quantile';
import type { Instant } from '../time/local';

/** A value at a moment. */
export interface Point {
  at: Instant;
  value: number;
}

/** A change that has come to stay. */
export interface Drift {
  /** The first of the points that are different. */
  since: Instant;
  before: number;
  after: number;
  /** How many points there are since. */
  points: number;
}

/** Fewer points than this, before or after, say nothing. */
const LEAST = 5;
/** A difference of so many standard errors is no chance, though the best place for it was looked for. */
const SURE = 4;

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

/** How far some values lie from their own middle, as a standard deviation; a few wild ones do not make it large. */
const spreadOf = (values: readonly number[]): number => {
  const middle = medianOf(values);
  return 1.4826 * medianOf(values.map((value) => Math.abs(value - middle)));
};

/**
 * Finds the change in a row of values that reaches until its end: a proofer that has become colder, bakes that have become
 * longer. Of all places where it may have changed the one counts at which the means before and after are farthest apart, measured
 * by the spread within the two.
 *
 * @param points - in the order of time
 * @param least - a smaller difference does not matter, whatever it rests on
 * @returns null where nothing has changed for sure
 * @example
 * driftOf([26, 26, 26.1, 25.9, 26, 24.8, 24.9, 24.8, 24.7, 24.8].map((value, at) => ({ at, value })), 0.5)?.since; // 5
 */
export function driftOf(points: readonly Point[], least: number): Drift | null {
  let found: { score: number; drift: Drift } | null = null;
  for (let place = LEAST; place <= points.length - LEAST; place++) {
    const [before, after] = [points.slice(0, place), points.slice(place)].map((part) =>
      part.map(({ value }) => value),
    ) as [number[], number[]];
    const [was, is] = [mean(before), mean(after)];
    const within = Math.max(
      spreadOf([
        ...before.map((value) => value - medianOf(before)),
        ...after.map((value) => value - medianOf(after)),
      ]),
      least / 10,
    );
    const score = Math.abs(is - was) / (within * Math.sqrt(1 / before.length + 1 / after.length));
    const first = points[place];
    if (!first || score <= (found?.score ?? SURE) || Math.abs(is - was) < least) continue;
    found = { score, drift: { since: first.at, before: was, after: is, points: after.length } };
  }
  return found?.drift ?? null;
}
