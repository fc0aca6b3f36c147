import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { isOnCall } from './on-call';

const shift = (personId: number, from: number, to: number) => ({
  personId,
  start: from * MIN,
  end: to * MIN,
});
const called = (
  personId: number,
  minute: number,
  presences = [shift(1, 0, 480)],
  doughs = [plannedDough([])],
) => isOnCall(personId, minute * MIN, { presences, doughs });

describe('an alarm calls', () => {
  it('who is on shift, and not who has gone home', () => {
    expect([called(1, 100), called(2, 100)]).toEqual([true, false]);
    expect(called(1, 480, [shift(1, 0, 480), shift(2, 470, 900)])).toBe(false);
  });

  it('who records something, whatever the shifts say, for two hours', () => {
    const doughs = [plannedDough([did('start', 'mix', 90, { personId: 2 })])];
    expect(called(2, 100, undefined, doughs)).toBe(true);
    expect(called(2, 211, undefined, doughs)).toBe(false);
    expect(called(3, 100, undefined, doughs)).toBe(false);
  });

  it('everybody where nobody is on shift, and always the screen on the wall', () => {
    expect([called(2, 600), called(0, 100)]).toEqual([true, true]);
  });
});
