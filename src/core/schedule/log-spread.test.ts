import { describe, expect, it } from 'vitest';
import { did, MIN, smallDough } from '../../../test-support/floor';
import { USUAL_SPREAD } from '../solver/sampling';
import type { DoughRecord } from '../record/dough';
import { spreadOfLog } from './log-spread';

/** A dough whose mix took this many minutes. */
function mixed(minutes: number): DoughRecord {
  const { steps, links } = smallDough();
  return {
    ...{ id: 1, name: 'Crescent 1', madeAt: 0, kg: 2.5, bowls: 1, lamination: null, links, outputs: [] },
    steps: steps.map((step) => ({ ...step, plannedStart: 0, plannedEnd: step.target * MIN })),
    events: [did('start', 'mix', 60), did('finish', 'mix', 60 + minutes)].map((event) => {
      return { ...event, at: event.at };
    }),
  };
}

const target = smallDough().steps.find(({ key }) => key === 'mix')?.target ?? 0;

describe('how much work varies', () => {
  it('is what the house takes for usual while nothing is recorded', () => {
    expect(spreadOfLog([])).toEqual({ spread: USUAL_SPREAD, timed: 0 });
  });

  it('narrows with work that takes its time, and widens with work that does not', () => {
    const even = spreadOfLog(Array.from({ length: 40 }, () => mixed(target)));
    const uneven = spreadOfLog(Array.from({ length: 40 }, (_, n) => mixed(target * (n % 2 ? 0.6 : 1.6))));
    expect(even.timed).toBe(40);
    expect(even.spread.work).toBeLessThan(USUAL_SPREAD.work);
    expect(uneven.spread.work).toBeGreaterThan(USUAL_SPREAD.work);
  });

  it('leaves out what was forgotten or tapped in one go', () => {
    expect(spreadOfLog([mixed(target * 20), mixed(0)]).timed).toBe(0);
  });
});
