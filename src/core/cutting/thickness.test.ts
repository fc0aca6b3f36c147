import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pieceGrams } from './piece';
import { thicknessAdvice } from './thickness';

const TRIANGLE = { shape: 'triangle' as const, base: 11, height: 27 };
const CRESCENT = { size: TRIANGLE, target: 62, tolerance: 2, mm: 3.9, density: 1.07 };

describe('pieces weighed on the sheet', () => {
  it('say nothing before one is weighed, and that all is well within the tolerance', () => {
    expect(thicknessAdvice(CRESCENT, [])).toBeNull();
    expect(thicknessAdvice(CRESCENT, [{ count: 5, grams: 315 }])).toMatchObject({
      verdict: 'within',
      mean: 63,
    });
  });

  it('that are too heavy come from too thick a sheet: roll on, or cut narrower', () => {
    const advice = thicknessAdvice(CRESCENT, [{ count: 4, grams: 280 }]);
    expect(advice).toMatchObject({ verdict: 'heavy', real: 4.4, next: 3.9, base: 9.7 });
  });

  it('that are too light cannot be rolled thicker: only cut wider', () => {
    const advice = thicknessAdvice(CRESCENT, [{ count: 2, grams: 112 }]);
    expect(advice).toMatchObject({ verdict: 'light', real: 3.5, next: 3.9, base: 12.2 });
  });

  it('count together, however many lie on the scale at once', () => {
    const weighings = fc.array(
      fc.record({ count: fc.integer({ min: 1, max: 20 }), each: fc.integer({ min: 40, max: 90 }) }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(weighings, (all) => {
        const together = all.map(({ count, each }) => ({ count, grams: count * each }));
        const apart = all.flatMap(({ count, each }) =>
          Array<{ count: number; grams: number }>(count).fill({ count: 1, grams: each }),
        );
        expect(thicknessAdvice(CRESCENT, together)).toEqual(thicknessAdvice(CRESCENT, apart));
      }),
    );
  });

  it('would weigh what they should on a sheet rolled as advised, to what a gap can be set', () => {
    fc.assert(
      fc.property(fc.integer({ min: 45, max: 80 }), fc.integer({ min: 40, max: 90 }), (target, grams) => {
        const advice = thicknessAdvice({ ...CRESCENT, target }, [{ count: 1, grams }]);
        expect(advice).not.toBeNull();
        expect(Math.abs(pieceGrams(TRIANGLE, advice?.next ?? 0, 1.07) - target)).toBeLessThan(0.9);
        expect(Math.abs(pieceGrams(TRIANGLE, advice?.real ?? 0, 1.07) - grams)).toBeLessThan(0.9);
      }),
    );
  });

  it('of a sheet that is as thick as it was given are cut in the wrong size', () => {
    // 62 g come from this piece at 3.9 mm, whatever is asked of it.
    const advice = thicknessAdvice({ ...CRESCENT, target: 70 }, [{ count: 1, grams: 62 }]);
    expect(advice).toMatchObject({ verdict: 'size', real: 3.9, next: 4.4, base: 12.4 });
  });

  it('of a log have their filling in them when they are weighed', () => {
    const slice = { shape: 'slice' as const, base: 3.6, height: 56.5 };
    const target = pieceGrams(slice, 3.9, 1.07);
    const log = { size: slice, mm: 3.9, density: 1.07, target, tolerance: 2, filling: 22 };
    expect(thicknessAdvice(log, [{ count: 2, grams: 2 * (target + 22) }])).toMatchObject({
      ...{ verdict: 'within', real: 3.9 },
    });
    expect(thicknessAdvice(log, [{ count: 1, grams: target + 5 }])?.verdict).toBe('light');
  });
});
