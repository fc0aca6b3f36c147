import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MINUTE } from './local';
import { capacitySteps, withExceptions, type Presence } from './shifts';

const span = fc
  .tuple(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 60 }))
  .map(([personId, start, length]): Presence => ({ personId, start, end: start + length }));
const isThere = (spans: readonly Presence[], person: number, at: number) =>
  spans.some(({ personId, start, end }) => personId === person && start <= at && at < end);

describe('exceptions from the pattern', () => {
  it('leave somebody there exactly when a shift has them and no absence', () => {
    fc.assert(
      fc.property(fc.array(span), fc.array(span), fc.array(span), (pattern, more, away) => {
        const left = withExceptions(pattern, more, away);
        for (const person of [1, 2, 3]) {
          for (let at = 0; at < 260; at++) {
            const wanted = isThere([...pattern, ...more], person, at) && !isThere(away, person, at);
            expect(isThere(left, person, at)).toBe(wanted);
            expect(left.filter((one) => isThere([one], person, at)).length).toBeLessThanOrEqual(1);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('leave a machine what is not out of it, never less than nothing', () => {
    const at = (minute: number) => minute * MINUTE;
    expect(capacitySteps(9, [], 0)).toEqual([[0, 9]]);
    expect(
      capacitySteps(
        9,
        [
          { start: at(60), end: at(120), units: 4 },
          { start: at(90), end: at(150), units: null },
        ],
        0,
      ),
    ).toEqual([
      [0, 9],
      [60, 5],
      [90, 0],
      [150, 9],
    ]);
    expect(capacitySteps(9, [{ start: at(-60), end: at(30), units: null }], 0)).toEqual([
      [0, 0],
      [30, 9],
    ]);
  });
});
