import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bakeRatio, correctionMessage, learnBakes } from './bakes';
import { inEnglish } from '../../../test-support/words';

const HOUSE = { spread: 0.12, scatter: 0.07 };
const learnt = (...ratios: number[]) => learnBakes(ratios, HOUSE);

describe('what an oven is learnt to do', () => {
  it('is nothing before the first bake, and comes nearer to what bakes took with each', () => {
    expect(learnt()).toMatchObject({ ratio: 1, bakes: 0 });
    const [one, four] = [learnt(1.1), learnt(1.1, 1.1, 1.1, 1.1)];
    expect(one.ratio).toBeGreaterThan(1.03);
    expect(four.ratio).toBeGreaterThan(one.ratio);
    expect(four.ratio).toBeLessThan(1.1);
    expect(four.spread).toBeLessThan(one.spread);
  });

  it('is moved little by one bake that somebody forgot to end', () => {
    const with1 = learnt(1.05, 1.06, 1.04, 1.05, 1.5);
    expect(Math.abs(with1.ratio - learnt(1.05, 1.06, 1.04, 1.05).ratio)).toBeLessThan(0.02);
    expect(bakeRatio(48, 18)).toBeNull();
    expect(bakeRatio(3, 18)).toBeNull();
    expect(bakeRatio(20, 18)).toBeCloseTo(1.11, 2);
    expect(bakeRatio(20, 0)).toBeNull();
  });

  it('lies between an oven that is right and the bakes, whatever they were', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.6, max: 1.6, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (ratios) => {
          const { ratio } = learnBakes(ratios, HOUSE);
          expect(ratio).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-6);
          expect(ratio).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-6);
        },
      ),
    );
  });

  it('is told where it matters', () => {
    expect(inEnglish(correctionMessage({ ratio: 1.062, spread: 0, bakes: 8 }))).toBe(
      '6 % longer, from 8 bakes',
    );
    expect(inEnglish(correctionMessage({ ratio: 0.93, spread: 0, bakes: 1 }))).toBe(
      '7 % shorter, from 1 bake',
    );
    expect(correctionMessage({ ratio: 1.01, spread: 0, bakes: 20 })).toBeNull();
    expect(correctionMessage({ ratio: 1, spread: 0.1, bakes: 0 })).toBeNull();
  });
});
