import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { DAY, monthOf } from '../../../test-support/months';
import { MISHAPS } from '../double/mishaps';
import { playedBatch } from '../double/played-batch';
import { explain } from './explain';
import { summariesOf } from './summary';
import { batchTrace } from './trace';
import { groupTrends, houseDrifts, pointsOf, shiftOf, yieldsBy } from './trends';

const played = (mishap: Parameters<typeof playedBatch>[1], seed: number) => {
  const { record, heard } = playedBatch(crescentDough(seed), mishap, seed);
  return summariesOf(record, heard);
};

describe('a batch in numbers', () => {
  it('has what was measured of it, and nothing of what was not', () => {
    const [one, ...others] = played({}, 1);
    expect(others).toEqual([]);
    expect(one).toMatchObject({
      doughId: 1,
      outputId: 5,
      name: 'Crescent 1',
      product: 'Crescent',
      pieces: 40,
    });
    expect(one).toMatchObject({ proofer: 'proofer', oven: 'oven', mean: null, seen: [], counted: null });
    const { features } = one ?? { features: null };
    expect(features?.mixed).toBeCloseTo(24, -1);
    expect(features?.mixedOff).toBeCloseTo((features?.mixed ?? 0) - 24, 10);
    expect(features?.proofMinutes).toBeGreaterThan(60);
    expect(Math.abs(features?.proofOff ?? 99)).toBeLessThan(3);
    expect(features?.restShortest).toBeGreaterThan(30);
    expect(features?.retardMinutes).toBeCloseTo(720, -2);
    expect(features?.bakeShare).toBeCloseTo(1, 0);
    expect(summariesOf(crescentDough(), [])).toEqual([]);
  });

  it('shows a mishap where it was', () => {
    const of = (mishap: Parameters<typeof playedBatch>[1]) => played(mishap, 7)[0]?.features;
    expect(of({ proofedTo: 1.5 })?.proofProgress).toBeGreaterThan(1.3);
    expect(of({ baked: 0.7 })?.bakeShare).toBeLessThan(0.8);
    expect(of({ mixedWarmer: 3 })?.mixedOff).toBeGreaterThan(1.5);
    expect(of({ places: { proof: 5 } })?.proofOff).toBeGreaterThan(2);
    expect(of({ places: { retard: 6 } })?.retardCelsius).toBeGreaterThan(8);
  });

  it('forecasts of proofs are off by less than a quarter of an hour at the median, to either side', () => {
    const off = Array.from(
      { length: 30 },
      (_, seed) => played({}, 50 + seed)[0]?.features.proofLate ?? 99,
    ).sort((a, b) => a - b);
    expect(Math.abs(off[15] ?? 99)).toBeLessThan(15);
  });
});

describe('time in the cold', () => {
  it('is read whether or not its route lets the dough rise there', () => {
    const quiet = crescentDough();
    const steps = quiet.steps.map((one) =>
      one.step.kind === 'retard' ? { ...one, step: { ...one.step, rise: undefined } } : one,
    );
    for (const cause of ['retard-long', 'retard-warm'] as const) {
      const { record, heard } = playedBatch({ ...quiet, steps }, MISHAPS[cause], 3);
      expect(explain(['sour'], batchTrace(record, 5, heard))[0]?.cause, cause).toBe(cause);
    }
  });

  it('beyond the longest that was meant speaks for a long retard, however wide its window is', () => {
    const { record, heard } = playedBatch(crescentDough(), {}, 3);
    const { retard, ...trace } = batchTrace(record, 5, heard);
    if (!retard) throw new Error('It was retarded.');
    const after = (minutes: number) =>
      explain(['sour'], { ...trace, retard: { ...retard, minutes, best: 720, longest: 1140 } }).find(
        ({ cause }) => cause === 'retard-long',
      )?.evidence ?? [];
    expect(after(1160).map(({ code }) => code)).toEqual(['causes.retardFor']);
    expect(after(740)).toEqual([]);
  });
});

describe('months of batches', () => {
  const month = monthOf(24, (day) => (day < 12 ? {} : { baked: 1.15 }));

  it('an oven that bakes slower is found, with the day from which it did', () => {
    const drift = houseDrifts(month).find(({ feature }) => feature === 'bakeShare');
    expect(drift).toMatchObject({ machine: 'oven' });
    expect(Math.abs((drift?.since ?? 0) / DAY - 12)).toBeLessThanOrEqual(1);
    expect(drift?.after).toBeGreaterThan((drift?.before ?? 0) + 0.08);
    expect(houseDrifts(month.slice(0, 12))).toEqual([]);
  });

  it('a machine is watched by its own batches alone', () => {
    const two = month.map((one, nth) => ({ ...one, oven: nth % 2 === 0 ? 'left' : 'right' }));
    const slow = two.map((one) =>
      one.oven === 'left' ? { ...one, features: { ...one.features, bakeShare: 1 } } : one,
    );
    expect(
      houseDrifts(slow)
        .filter(({ feature }) => feature === 'bakeShare')
        .map(({ machine }) => machine),
    ).toEqual(['right']);
  });

  it('are grouped by when they were mixed, and what came out adds up', () => {
    const shifts = groupTrends(month, ({ mixedAt }) => (mixedAt === null ? null : shiftOf(mixedAt, 'UTC')));
    expect(shifts.map(({ key, batches }) => [key, batches])).toEqual([
      ['night', 12],
      ['evening', 12],
    ]);
    expect(shifts[0]?.lost).toBeCloseTo(0.1, 10);
    expect(groupTrends(month, () => null)).toEqual([]);
    const weeks = yieldsBy(month, 'UTC', 'week');
    expect(weeks.reduce((sum, { good, second, waste }) => sum + good + second + waste, 0)).toBe(40 * 24);
    expect(weeks[0]?.from).toBe('1969-12-29');
    const days = yieldsBy(month, 'UTC', 'day');
    expect(days.reduce((sum, { good }) => sum + good, 0)).toBe(
      weeks.reduce((sum, { good }) => sum + good, 0),
    );
    expect(days.length).toBeGreaterThan(weeks.length);
    expect(pointsOf(month, 'ovenOff').every(({ at }, i, all) => i === 0 || at >= (all[i - 1]?.at ?? 0))).toBe(
      true,
    );
  });

  it('a night reaches from ten in the evening to six', () => {
    const at = (time: string) => shiftOf(Date.parse(`2026-11-19T${time}:00Z`), 'Europe/Berlin');
    expect(['20:59', '21:00', '04:59', '05:00', '12:59', '13:00'].map(at)).toEqual([
      ...['evening', 'night', 'night', 'day', 'day', 'evening'],
    ]);
  });
});
