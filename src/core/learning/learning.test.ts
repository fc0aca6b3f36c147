import { describe, expect, it } from 'vitest';
import { fermentationRate, BAKERS_YEAST } from '../ferment/rate';
import { seeded } from '../solver/random';
import { learnFromReadings } from './readings';
import { learnFromVerdicts, type WaitVerdict, type Verdict } from './verdicts';

/** Normal numbers from even ones (Box and Muller). */
function normals(seed: number): () => number {
  const random = seeded(seed);
  const even = () => (random.below(1_000_000) + 0.5) / 1_000_000;
  return () => Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even());
}

/**
 * Batches of a bakery whose true reference time is known: proofs near 26 °C, ended somewhat early or late, a
 * thermometer that is off by 1 °C or so, eyes that are off too, and every tenth verdict simply wrong.
 */
function batches(truth: number, count: number, seed: number): WaitVerdict[] {
  const normal = normals(seed);
  const random = seeded(seed * 31 + 7);
  return Array.from({ length: count }, (): WaitVerdict => {
    const celsius = 24 + random.below(50) / 10;
    const readings = celsius + normal();
    const progress = Math.exp(0.16 * normal());
    const reference = fermentationRate(BAKERS_YEAST, 26);
    const minutes = (truth * progress) / (fermentationRate(BAKERS_YEAST, celsius) / reference);
    const seen = progress * Math.exp(0.04 * normal());
    const honest: Verdict = seen < 0.9 ? 'under' : seen > 1.1 ? 'over' : 'right';
    const verdict = random.below(10) === 0 ? (['under', 'right', 'over'] as const)[random.below(3)] : honest;
    return {
      minutes: (minutes * fermentationRate(BAKERS_YEAST, readings)) / reference,
      verdict: verdict ?? honest,
    };
  });
}

/** Shares by which the learnt time is off, over many bakeries; the start is a quarter wrong, to either side. */
function errors(count: number): number[] {
  return Array.from({ length: 200 }, (_, i) => {
    const truth = 90 + (i % 10) * 12;
    const start = truth * (i % 2 === 0 ? 1.25 : 0.8);
    return Math.abs(learnFromVerdicts(start, batches(truth, count, i + 1)).mean / truth - 1);
  }).sort((a, b) => a - b);
}

const median = (sorted: readonly number[]) => sorted[Math.floor(sorted.length / 2)] ?? NaN;
const ninetieth = (sorted: readonly number[]) => sorted[Math.floor(sorted.length * 0.9)] ?? NaN;

describe('a reference time learnt from verdicts', () => {
  it('is what the house assumed, and says so, without evidence', () => {
    const learnt = learnFromVerdicts(130, []);
    expect(learnt.readings).toBe(0);
    expect(learnt.mean).toBeCloseTo(130, 6);
    expect(learnt.spread / learnt.mean).toBeGreaterThan(0.25);
  });

  it('is within 5 % of the truth after 20 batches with noisy thermometers and a tenth of the verdicts wrong', () => {
    const off = errors(20);
    expect(median(off)).toBeLessThan(0.025);
    expect(ninetieth(off)).toBeLessThan(0.05);
    expect(median(errors(5))).toBeGreaterThan(median(off));
  });

  it('narrows with evidence', () => {
    const spread = (count: number) => learnFromVerdicts(130, batches(120, count, 3)).spread;
    expect(spread(20)).toBeLessThan(spread(5));
    expect(spread(5)).toBeLessThan(spread(0));
  });

  it('moves by less than 5 % for one wild batch, and questions it', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const known = batches(120, 20, seed);
      for (const wild of [
        { minutes: 1200, verdict: 'under' },
        { minutes: 12, verdict: 'over' },
      ] as const) {
        const [before, after] = [learnFromVerdicts(130, known), learnFromVerdicts(130, [...known, wild])];
        expect(Math.abs(after.mean / before.mean - 1)).toBeLessThan(0.05);
        expect(after.questioned).toContain(20);
      }
    }
  });

  it('moves by less than 5 % for any one batch at all after 20', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const known = batches(120, 20, seed);
      const before = learnFromVerdicts(130, known).mean;
      for (const minutes of [40, 80, 110, 150, 240])
        for (const verdict of ['under', 'right', 'over'] as const) {
          const after = learnFromVerdicts(130, [...known, { minutes, verdict }]).mean;
          expect(Math.abs(after / before - 1), `${minutes} ${verdict}`).toBeLessThan(0.05);
        }
    }
  });

  it('follows "under" to longer and "over" to shorter times', () => {
    const time = (verdict: Verdict) => learnFromVerdicts(130, [{ minutes: 130, verdict }]).mean;
    expect(time('under')).toBeGreaterThan(time('right'));
    expect(time('over')).toBeLessThan(time('right'));
  });
});

describe('a rise or factor learnt from readings', () => {
  const start = { mean: 6, spread: 2.5 };

  it('is what the house assumed without readings', () => {
    expect(learnFromReadings(start, [], 1)).toMatchObject({ readings: 0, questioned: [] });
    expect(learnFromReadings(start, [], 1).mean).toBeCloseTo(6, 6);
  });

  it('is within 5 % of the truth after 20 mixes measured to ±1 °C', () => {
    const off = Array.from({ length: 200 }, (_, i) => {
      const normal = normals(i + 1);
      const readings = Array.from({ length: 20 }, () => 8 + normal());
      return Math.abs(learnFromReadings(start, readings, 1).mean / 8 - 1);
    }).sort((a, b) => a - b);
    expect(median(off)).toBeLessThan(0.025);
    expect(ninetieth(off)).toBeLessThan(0.055);
  });

  it('moves by less than 5 % for one wild reading, and questions it', () => {
    const normal = normals(5);
    const readings = Array.from({ length: 20 }, () => 8 + normal());
    const [before, after] = [readings, [...readings, 60]].map((some) => learnFromReadings(start, some, 1));
    expect(Math.abs((after?.mean ?? 0) / (before?.mean ?? 1) - 1)).toBeLessThan(0.05);
    expect(after?.questioned).toEqual([20]);
  });
});
