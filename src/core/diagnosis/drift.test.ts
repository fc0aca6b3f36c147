import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../double/chance';
import { driftOf } from './drift';

const row = (values: readonly number[]) => values.map((value, at) => ({ at, value }));

/** A row of values that scatter by `spread`, from `place` on `by` higher. */
function scattered(seed: number, { of = 30, place = 30, by = 0, spread = 0.5 }) {
  const chance = chanceOf('row', seed);
  return row(Array.from({ length: of }, (_, i) => 26 + spread * chance.normal() + (i >= place ? by : 0)));
}

describe('a change that has come to stay', () => {
  it('is found where it begins, with what was before and after', () => {
    const drift = driftOf(row([26, 26, 26.1, 25.9, 26, 24.8, 24.9, 24.8, 24.7, 24.8]), 0.5);
    expect(drift).toMatchObject({ since: 5, points: 5 });
    expect(drift?.before).toBeCloseTo(26, 5);
    expect(drift?.after).toBeCloseTo(24.8, 5);
  });

  it('is found in 19 of 20 rows that scatter, within three points of its place', () => {
    const found = Array.from({ length: 40 }, (_, seed) =>
      driftOf(scattered(seed, { place: 18, by: 1.2 }), 0.7),
    );
    const near = found.filter((drift) => drift !== null && Math.abs(drift.since - 18) <= 3);
    expect(near.length).toBeGreaterThanOrEqual(38);
  });

  it('is told of at most one in twenty rows that only scatter', () => {
    const found = Array.from({ length: 200 }, (_, seed) => driftOf(scattered(seed, {}), 0.3));
    expect(found.filter((drift) => drift !== null).length).toBeLessThanOrEqual(10);
  });

  it('is none that is smaller than matters, however sure', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.49, noNaN: true }), (by) => {
        expect(
          driftOf(row([...Array<number>(10).fill(1), ...Array<number>(10).fill(1 + by)]), 0.5),
        ).toBeNull();
      }),
    );
  });

  it('rests on five points on either side at least', () => {
    expect(driftOf(row([1, 1, 1, 1, 1, 9, 9, 9, 9]), 1)).toBeNull();
    expect(driftOf(row([1, 1, 1, 1, 9, 9, 9, 9, 9]), 1)).toBeNull();
    expect(driftOf([], 1)).toBeNull();
  });
});
