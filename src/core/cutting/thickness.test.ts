import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { thicknessAdvice } from './thickness';

const CRESCENT = { target: 62, tolerance: 2, mm: 3.9, base: 11 };

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
    expect(advice).toMatchObject({ verdict: 'heavy', real: 4.4, next: 3.5, base: 9.7 });
    expect(advice?.words).toContain('8 g too heavy');
    expect(advice?.words).toContain('Roll it on');
  });

  it('that are too light cannot be rolled thicker: only cut wider', () => {
    const advice = thicknessAdvice(CRESCENT, [{ count: 2, grams: 112 }]);
    expect(advice).toMatchObject({ verdict: 'light', real: 3.5, next: 4.3, base: 12.2 });
    expect(advice?.words).not.toContain('Roll it on');
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

  it('would weigh what they should on a sheet set as advised, to what a gap can be set', () => {
    fc.assert(
      fc.property(fc.integer({ min: 45, max: 80 }), (grams) => {
        const advice = thicknessAdvice(CRESCENT, [{ count: 1, grams }]);
        const again = (grams * (advice?.next ?? 0)) / CRESCENT.mm;
        expect(Math.abs(again - CRESCENT.target)).toBeLessThan((grams / CRESCENT.mm) * 0.051);
      }),
    );
  });
});
