import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paceOf, riseSpread, slowerBy } from './judgement';

const minutes = fc.double({ min: 1, max: 600, noNaN: true });

describe('a rise that is not ready', () => {
  it('is slower by the more, the later it was looked at, and never faster', () => {
    fc.assert(
      fc.property(minutes, minutes, minutes, (reckoned, a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)].map((at) => slowerBy(reckoned, at)) as [
          number,
          number,
        ];
        expect(early).toBeGreaterThanOrEqual(1 - 1e-9);
        expect(late).toBeGreaterThanOrEqual(early - 1e-6);
      }),
    );
  });

  it('takes longer than it has had', () => {
    fc.assert(
      fc.property(minutes, minutes, (reckoned, at) => {
        expect(slowerBy(reckoned, at) * reckoned).toBeGreaterThan(at * 0.999);
      }),
    );
  });

  it('is as its examples say', () => {
    expect(slowerBy(90, 40)).toBeCloseTo(1, 2);
    expect(slowerBy(90, 87)).toBeCloseTo(1.1, 2);
    expect(slowerBy(90, 120)).toBeCloseTo(1.41, 2);
  });
});

describe('how sure a rise is', () => {
  it('is as its examples say', () => {
    expect(riseSpread(90, null)).toBeCloseTo(13.5, 6);
    expect(riseSpread(90, 87)).toBeCloseTo(8.7, 1);
  });

  it('never gets less sure by a look, and the surer the nearer to its best it was not ready', () => {
    fc.assert(
      fc.property(minutes, minutes, minutes, (best, a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)].map((at) => riseSpread(best, at)) as [
          number,
          number,
        ];
        expect(early).toBeLessThanOrEqual(best * 0.15 + 1e-6);
        expect(late).toBeLessThanOrEqual(early + best * 1e-4);
        expect(late).toBeGreaterThanOrEqual(0);
      }),
      // Where the tail of the distribution used to be reckoned in two ways that did not meet.
      { examples: [[102.27422956057833, 125.40422354937063, 251.55401321837851]] },
    );
  });
});

describe('the pace that a look shows', () => {
  it('is faster where it was ready before its time, and slower where it was not ready at it', () => {
    expect(paceOf({ target: 90 }, { minutes: 60, verdict: 'right' })).toBe(1.5);
    expect(paceOf({ target: 90 }, { minutes: 60, verdict: 'over' })).toBe(1.5);
    expect(paceOf({ target: 90 }, { minutes: 120, verdict: 'over' })).toBe(1);
    expect(paceOf({ target: 90 }, { minutes: 90, verdict: 'under' })).toBeLessThan(0.9);
  });
});
