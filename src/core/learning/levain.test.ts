import { describe, expect, it } from 'vitest';
import { type Cardinal, fermentationRate, LEVAIN } from '../ferment/rate';
import { learnLevain, type LevainRise, minutesAt } from './levain';

/** Looks at a levain that is really like this: right when it is ripe, under and over a fifth before and after. */
function looks(truth: Cardinal, minutesAt22: number, celsius: readonly number[]): LevainRise[] {
  return celsius.flatMap((warmth) => {
    const ripe = minutesAt(truth, minutesAt22, 22, warmth);
    return ([['right', 1], ['under', 0.75], ['over', 1.3]] as const).map(([verdict, share]) => {
      return { minutes: ripe * share, celsius: warmth, verdict };
    }); // prettier-ignore
  });
}

describe('a levain', () => {
  it('is ripe at 31 °C in about half the time of 22 °C, and all but sleeps in the cold', () => {
    const ratio = fermentationRate(LEVAIN, 31) / fermentationRate(LEVAIN, 22);
    expect(ratio).toBeGreaterThan(1.7);
    expect(ratio).toBeLessThan(2.4);
    expect(minutesAt(LEVAIN, 570, 22, 26)).toBeGreaterThan(330);
    expect(minutesAt(LEVAIN, 570, 22, 26)).toBeLessThan(420);
    expect(fermentationRate(LEVAIN, 6)).toBe(0);
  });

  it('that was never looked at is as it is set', () => {
    expect(learnLevain(LEVAIN, [[]]).best).toBeCloseTo(LEVAIN.best, 6);
  });

  it('is learnt as faster or slower in the warm from looks at several temperatures', () => {
    for (const best of [29, 35]) {
      const truth = { ...LEVAIN, best, highest: LEVAIN.highest + best - LEVAIN.best };
      const judged = looks(truth, 570, [18, 20, 22, 26, 30, 31, 18, 31]);
      const learnt = learnLevain(LEVAIN, [judged]);
      expect(Math.abs(learnt.best - best)).toBeLessThan(Math.abs(LEVAIN.best - best) / 2);
      expect(learnt.highest - learnt.best).toBeCloseTo(LEVAIN.highest - LEVAIN.best, 9);
    }
  });

  it('that is slow at every temperature is no colder one', () => {
    const judged = looks(LEVAIN, 700, [18, 22, 26, 31]);
    expect(Math.abs(learnLevain(LEVAIN, [judged]).best - LEVAIN.best)).toBeLessThan(0.7);
  });

  it('says next to nothing of other temperatures by looks at one', () => {
    const judged = looks(LEVAIN, 450, [22, 22, 22]);
    expect(Math.abs(learnLevain(LEVAIN, [judged]).best - LEVAIN.best)).toBeLessThan(0.1);
  });
});
