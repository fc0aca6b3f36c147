import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  approach,
  type Fermentation,
  minuteReached,
  type Profile,
  progressAlong,
  withDose,
} from './progress';
import { BAKERS_YEAST, fermentationRate, LEVAIN } from './rate';

const proof: Fermentation = { cardinal: BAKERS_YEAST, celsius: 26, minutes: 130 };
const at = (celsius: number, minutes: number) => [
  { minute: 0, celsius },
  { minute: minutes, celsius },
];

function celsiusAt(profile: Profile, minute: number): number {
  const next = profile.find((point) => point.minute >= minute);
  const before = profile.findLast((point) => point.minute <= minute);
  if (!next || !before || next.minute === before.minute) return (next ?? before)?.celsius ?? 0;
  const share = (minute - before.minute) / (next.minute - before.minute);
  return before.celsius + share * (next.celsius - before.celsius);
}

describe('the rate of fermentation', () => {
  it('is nothing outside its limits, and one at its best', () => {
    for (const yeast of [BAKERS_YEAST, LEVAIN]) {
      expect(fermentationRate(yeast, yeast.lowest)).toBe(0);
      expect(fermentationRate(yeast, yeast.highest)).toBe(0);
      expect(fermentationRate(yeast, yeast.best)).toBeCloseTo(1, 9);
      expect(fermentationRate(yeast, 60)).toBe(0);
    }
  });
});

describe('a rise', () => {
  it('is ready after its reference time at its reference temperature', () => {
    expect(minuteReached(proof, at(26, 10))).toBeCloseTo(130, 6);
    expect(progressAlong(proof, at(26, 130))).toBeCloseTo(1, 9);
  });

  it('takes up where an earlier wait left off: what it has risen overnight it need not rise in the proofer', () => {
    const night = progressAlong(proof, at(4, 600));
    expect(night).toBeGreaterThan(0.2);
    expect(minuteReached(proof, at(26, 10), { before: night })).toBeCloseTo(130 * (1 - night), 6);
  });

  it('takes longer from a cold start, and half as long again in a cool room', () => {
    const cold = minuteReached(proof, approach(5, 26, { settling: 30, minutes: 300 })) ?? 0;
    expect(cold).toBeGreaterThan(145);
    expect((minuteReached(proof, at(19, 10)) ?? 0) / 130).toBeGreaterThan(1.5);
  });

  it('comes to the same along a profile cut in two', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minute: fc.integer({ min: 1, max: 300 }),
            celsius: fc.double({ min: -5, max: 40, noNaN: true }),
          }),
          {
            minLength: 2,
            maxLength: 6,
          },
        ),
        fc.integer({ min: 1, max: 299 }),
        (raw, cut) => {
          const profile = [...raw]
            .sort((a, b) => a.minute - b.minute)
            .filter((p, i, all) => p.minute !== all[i - 1]?.minute);
          const [begin, end] = [profile[0]?.minute ?? 0, profile.at(-1)?.minute ?? 0];
          const middle = Math.min(end, Math.max(begin, cut));
          const after = profile.filter(({ minute }) => minute > middle);
          const rest = [{ minute: middle, celsius: celsiusAt(profile, middle) }, ...after];
          const halves = progressAlong(proof, profile, middle) + progressAlong(proof, rest);
          expect(halves).toBeCloseTo(progressAlong(proof, profile), 2);
          const reached = minuteReached(proof, profile, { target: 0.3 });
          if (reached !== null) expect(progressAlong(proof, profile, reached)).toBeCloseTo(0.3, 2);
        },
      ),
    );
  });

  it('goes as one over the dose of yeast, within half and double, and not without any', () => {
    expect(withDose(proof, 0.5).minutes).toBe(260);
    expect(withDose(proof, 0.1).minutes).toBe(260);
    expect(withDose(proof, 4).minutes).toBe(65);
    expect(() => withDose(proof, 0)).toThrow(/does not rise/);
  });

  it('never comes where it is too cold or too hot', () => {
    expect(minuteReached(proof, at(-10, 10))).toBeNull();
    expect(minuteReached(proof, at(60, 10))).toBeNull();
  });
});
