import { describe, expect, it } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { timesOutside, withGaps, type CurvePoint } from './curve';

const LIMITS = { low: null, high: 7, minutes: 30 };
const curve = (celsius: readonly number[], every = 10, from = 0): CurvePoint[] =>
  celsius.map((one, i) => ({
    ...{ at: (from + i * every) * MIN, celsius: one, lowest: one, highest: one, humidity: null },
  }));

describe('times outside the limits', () => {
  it('are found with their peak, from the first point beyond to the first back inside', () => {
    expect(timesOutside(curve([4, 4, 8, 9.2, 8, 7.5, 5, 4]), LIMITS)).toEqual([
      { from: 20 * MIN, to: 60 * MIN, celsius: 9.2, limit: 7 },
    ]);
  });

  it('are left out where they are shorter than a place may be outside', () => {
    expect(timesOutside(curve([4, 8, 8, 4, 4, 8, 4]), LIMITS)).toEqual([]);
    expect(timesOutside([], LIMITS)).toEqual([]);
  });

  it('are two where the place came back in between, or where the probe was silent', () => {
    expect(timesOutside(curve([8, 8, 8, 8, 5, 8, 8, 8, 8]), LIMITS)).toHaveLength(2);
    const silent = [...curve([8, 8, 8, 8]), ...curve([8, 8, 8, 8], 10, 240)];
    expect(timesOutside(silent, LIMITS).map(({ from, to }) => [from / MIN, to / MIN])).toEqual([
      [0, 30],
      [240, 270],
    ]);
  });

  it('too cold and too warm are told apart', () => {
    const both = timesOutside(curve([1, 1, 1, 1, 9, 9, 9, 9, 9]), { low: 2, high: 7, minutes: 30 });
    expect(both.map(({ limit, celsius }) => [limit, celsius])).toEqual([
      [2, 1],
      [7, 9],
    ]);
  });
});

describe('a curve', () => {
  it('is broken where its probe was silent, and nowhere else', () => {
    const points = [...curve([4, 4]), ...curve([4, 4], 10, 200)];
    expect(withGaps(points, 60 * MIN).map((point) => ('gap' in point ? 'gap' : point.at / MIN))).toEqual([
      ...[0, 10, 'gap', 200, 210],
    ]);
    expect(withGaps(curve([1, 2, 3]), 60 * MIN)).toHaveLength(3);
  });
});
