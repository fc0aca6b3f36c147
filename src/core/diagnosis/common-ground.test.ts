import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../double/chance';
import { quantile } from '../learning/quantile';
import { atLeast, commonGround, isGood } from './common-ground';
import { FEATURE_IDS, type Features } from './features';
import type { BatchSummary } from './summary';

const NOTHING = Object.fromEntries(FEATURE_IDS.map((id) => [id, null])) as Features;

function batch(good: boolean, features: Partial<Features>, nth = 0): BatchSummary {
  return {
    ...{ doughId: nth, outputId: nth, name: `Crescent ${nth}`, product: 'Crescent', pieces: 40 },
    ...{ mixedAt: 0, doneAt: nth, mixedBy: 1, proofer: 'proofer', oven: 'oven', uses: [] },
    ...{ mean: good ? 4.8 : 3, seen: good ? [] : ['flat'], counted: { good: 40, second: 0, waste: 0 } },
    features: { ...NOTHING, ...features },
  };
}

describe('a good batch', () => {
  it('has good marks, no fault, and lost little', () => {
    const well = batch(true, {});
    expect(isGood(well)).toBe(true);
    expect(isGood({ ...well, mean: 4 })).toBe(false);
    expect(isGood({ ...well, seen: ['flat'] })).toBe(false);
    expect(isGood({ ...well, counted: { good: 30, second: 10, waste: 0 } })).toBe(false);
    expect(isGood({ ...well, counted: null })).toBe(true);
    expect(isGood({ ...well, mean: null })).toBeNull();
  });
});

describe('what good batches share', () => {
  it('comes first where it sets them apart', () => {
    const chance = chanceOf('batches', 3);
    const good = Array.from({ length: 12 }, (_, i) =>
      batch(true, { proofProgress: 1 + 0.05 * chance.normal(), mixed: 24 + chance.normal() }, i),
    );
    const others = Array.from({ length: 8 }, (_, i) =>
      batch(false, { proofProgress: i % 2 === 0 ? 1.5 : 0.6, mixed: 24 + chance.normal() }, 20 + i),
    );
    const [first, ...rest] = commonGround([...good, ...others]);
    expect(first).toMatchObject({ feature: 'proofProgress', good: 12, others: 8, outside: 8, tells: true });
    expect(rest.filter(({ tells }) => tells)).toEqual([]);
    expect(first?.from).toBeLessThan(first?.middle ?? 0);
  });

  it('is nothing with fewer than four of them, and of what was measured alone', () => {
    const few = [1, 2, 3].map((nth) => batch(true, { mixed: 24 }, nth));
    expect(commonGround(few)).toEqual([]);
    const enough = [...few, batch(true, { mixed: 24 }, 4)];
    expect(commonGround(enough).map(({ feature }) => feature)).toEqual(['mixed']);
  });
});

describe('the sums behind it', () => {
  it('a binomial tail is what adding up says', () => {
    expect(atLeast(0, 5, 0.2)).toBe(1);
    expect(atLeast(1, 2, 0.5)).toBeCloseTo(0.75, 10);
    expect(atLeast(5, 5, 0.2)).toBeCloseTo(0.2 ** 5, 10);
    expect(atLeast(6, 5, 0.2)).toBeCloseTo(0, 10);
  });

  it('a quantile lies among the values, and grows with its share', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 1, maxLength: 30 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (values, share) => {
          const sorted = [...values].sort((a, b) => a - b);
          const found = quantile(sorted, share);
          expect(found).toBeGreaterThanOrEqual(sorted[0] ?? 0);
          expect(found).toBeLessThanOrEqual(sorted.at(-1) ?? 0);
          expect(quantile(sorted, 0)).toBeCloseTo(sorted[0] ?? 0, 10);
          expect(quantile(sorted, 1)).toBeCloseTo(sorted.at(-1) ?? 0, 10);
        },
      ),
    );
  });
});
