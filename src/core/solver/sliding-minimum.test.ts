import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SlidingMinimum } from './sliding-minimum';

describe('a sliding minimum', () => {
  it('is what comparing every pair gives, with any slope', () => {
    fc.assert(
      fc.property(
        fc.record({
          costs: fc.array(fc.oneof(fc.integer({ min: 0, max: 60 }), fc.constant(500)), {
            minLength: 1,
            maxLength: 30,
          }),
          size: fc.integer({ min: 1, max: 30 }),
          low: fc.integer({ min: -30, max: 30 }),
          width: fc.integer({ min: 0, max: 20 }),
          slope: fc.integer({ min: -4, max: 4 }),
          centre: fc.integer({ min: -10, max: 10 }),
        }),
        ({ costs, size, low, width, slope, centre }) => {
          const source = Float64Array.from([7, ...costs]);
          const out = new Float64Array(size).fill(90);
          const slider = new SlidingMinimum(40);
          slider.open(out, size, source, 1, costs.length, 500);
          slider.lower(low, low + width, slope, centre);
          const wanted = Array.from({ length: size }, (_, i) =>
            Math.min(
              90,
              ...costs.map((cost, u) =>
                cost < 500 && u >= i + low && u <= i + low + width ? cost + slope * (u - i - centre) : 90,
              ),
            ),
          );
          expect([...out]).toEqual(wanted);
        },
      ),
    );
  });
});
