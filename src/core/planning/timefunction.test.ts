import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lowerBySlidingMinimum, lowest, type TimeFunction } from './timefunction';

const anySource = fc
  .record({
    from: fc.integer({ min: 0, max: 20 }),
    values: fc.array(fc.oneof(fc.integer({ min: 0, max: 50 }), fc.constant(Infinity)), {
      minLength: 1,
      maxLength: 30,
    }),
  })
  .map(({ from, values }): TimeFunction => {
    const at = new Float64Array(80).fill(Number.NaN);
    values.forEach((value, i) => (at[from + i] = value));
    return { from, to: from + values.length - 1, at };
  });

const anyReach = fc.record({
  low: fc.integer({ min: -30, max: 30 }),
  width: fc.integer({ min: 0, max: 30 }),
  slope: fc.integer({ min: -3, max: 3 }),
  gain: fc.integer({ min: -3, max: 3 }),
  offset: fc.integer({ min: -20, max: 20 }),
});

describe('the sliding minimum', () => {
  it('is what trying every minute finds', () => {
    fc.assert(
      fc.property(anySource, anyReach, ({ from, to, at }, { low, width, slope, gain, offset }) => {
        const out: TimeFunction = { from: 0, to: 70, at: new Float64Array(80).fill(Infinity) };
        const reach = { low, high: low + width, slope, gain, offset };
        lowerBySlidingMinimum(out, { from, to, at }, reach, new Int32Array(90));
        for (let t = 0; t <= 70; t++) {
          let best = Infinity;
          for (let u = Math.max(from, t + low); u <= Math.min(to, t + low + width); u++) {
            best = Math.min(best, (at[u] as number) + slope * u + offset + gain * t);
          }
          expect(out.at[t]).toBe(best);
        }
      }),
    );
  });

  it('only ever lowers what stands there', () => {
    const source: TimeFunction = { from: 0, to: 2, at: Float64Array.of(5, 1, 9) };
    const out: TimeFunction = { from: 0, to: 2, at: Float64Array.of(3, 3, 3) };
    lowerBySlidingMinimum(out, source, { low: 0, high: 0 }, new Int32Array(4));
    expect([...out.at]).toEqual([3, 1, 3]);
  });
});

describe('the lowest minute', () => {
  it('is the earliest of those that cost the same', () => {
    expect(lowest(3, 9, (t) => Math.abs(t - 6) % 3)).toEqual({ at: 3, cost: 0 });
  });

  it('costs without end where there is none', () => {
    expect(lowest(5, 4, () => 0).cost).toBe(Infinity);
  });
});
