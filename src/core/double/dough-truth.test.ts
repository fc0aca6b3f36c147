import { describe, expect, it } from 'vitest';
import { did, forecastAt, MIN, plannedRecord } from '../../../test-support/floor';
import type { DoughRecord } from '@/core/record/dough';
import type { FloorEvent } from '@/core/record/events';
import { chanceOf } from './chance';
import { hiddenOf, type HiddenDough, truthIn } from './dough-truth';
import { countOf, thermometer, verdictOn } from './senses';
import { taskManner } from './manner';

const AS_MEANT: HiddenDough = { vigour: 1, warmer: 0 };

/** A small dough that rises in its retard. */
function risingRecord(events: FloorEvent[]): DoughRecord {
  const record = plannedRecord(events);
  const rise = { phase: 'bulk' as const, decides: true };
  return {
    ...record,
    rises: { bulk: { yeast: 'bakers', celsius: 24, minutes: 300, early: 0.85, late: 1.3 } },
    steps: record.steps.map((step) =>
      step.key === 'retard' ? { ...step, place: 'retarder', step: { ...step.step, rise } } : step,
    ),
  };
}

const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];

function truthAt(minute: number, events: FloorEvent[], hidden = AS_MEANT, air = 4) {
  const dough = risingRecord(events);
  const { state } = forecastAt(dough, minute);
  return truthIn({ dough, state, hidden, airOf: () => air }, 'retard', minute * MIN);
}

describe('the truth of a dough', () => {
  it('is as warm as it was mixed, and follows the air of where it is', () => {
    expect(truthAt(15, mixed).celsius).toBeCloseTo(24, 6);
    expect(truthAt(75, mixed).celsius).toBeCloseTo(4 + 20 / Math.E, 1);
    expect(truthAt(900, mixed).celsius).toBeCloseTo(4, 1);
    expect(truthAt(15, mixed, { ...AS_MEANT, warmer: 2 }).celsius).toBeCloseTo(26, 6);
  });

  it('rises by the temperature that it really had: faster where it is warmer, or its yeast is livelier', () => {
    const usual = truthAt(500, mixed).risen ?? 0;
    expect(usual).toBeGreaterThan(0.1);
    expect(truthAt(500, mixed, AS_MEANT, 12).risen).toBeGreaterThan(usual * 1.5);
    expect(truthAt(500, mixed, { vigour: 1.2, warmer: 0 }).risen).toBeCloseTo(usual * 1.2, 6);
    expect(truthAt(700, mixed).risen).toBeGreaterThan(usual);
  });

  it('goes by where it was put, whatever the plan says', () => {
    const moved = did('move', 'retard', 60, { data: { kind: 'moved', place: 'room' } });
    const dough = risingRecord([...mixed, moved]);
    const { state } = forecastAt(dough, 200);
    const airOf = (place: string) => (place === 'room' ? 22 : 4);
    const truth = truthIn({ dough, state, hidden: AS_MEANT, airOf }, 'retard', 200 * MIN);
    expect(truth.celsius).toBeGreaterThan(19);
    expect(truth.risen).toBeGreaterThan((truthAt(200, mixed).risen ?? 0) * 2);
  });

  it('is of no rise where nothing rises', () => {
    const dough = plannedRecord(mixed);
    const { state } = forecastAt(dough, 100);
    expect(truthIn({ dough, state, hidden: AS_MEANT, airOf: () => 4 }, 'retard', 100 * MIN).risen).toBeNull();
  });
});

describe('chance', () => {
  it('is the same for the same thing, and another for the next', () => {
    expect(hiddenOf(7, 1)).toEqual(hiddenOf(7, 1));
    expect(hiddenOf(8, 1)).not.toEqual(hiddenOf(7, 1));
    expect(hiddenOf(7, 2)).not.toEqual(hiddenOf(7, 1));
  });

  it('spreads as it says: doughs differ by some per cent about what is meant', () => {
    const drawn = Array.from({ length: 2000 }, (_, id) => hiddenOf(id, 1));
    const mean = (of: (one: HiddenDough) => number) =>
      drawn.reduce((sum, one) => sum + of(one), 0) / drawn.length;
    expect(mean(({ vigour }) => Math.log(vigour))).toBeCloseTo(0, 2);
    expect(Math.sqrt(mean(({ vigour }) => Math.log(vigour) ** 2))).toBeCloseTo(0.07, 2);
    expect(Math.sqrt(mean(({ warmer }) => warmer ** 2))).toBeCloseTo(0.7, 1);
  });

  it('lets people forget a tap now and then, and make up for it later', () => {
    const tasks = Array.from({ length: 3000 }, (_, i) => taskManner(1 + (i % 6), `task ${i}`, 1));
    const forgot = tasks.filter(({ saidAfter }) => saidAfter > 0);
    expect(forgot.length / tasks.length).toBeGreaterThan(0.01);
    expect(forgot.length / tasks.length).toBeLessThan(0.06);
    expect(Math.min(...forgot.map(({ saidAfter }) => saidAfter))).toBeGreaterThanOrEqual(8);
    expect(chanceOf('a', 1).happens(0)).toBe(false);
  });
});

describe('what is seen and measured', () => {
  const window = { early: 0.85, late: 1.2 };
  it('follows from the truth, with the error of eyes and thermometers', () => {
    expect(verdictOn(0.5, window, 'a', 1)).toBe('under');
    expect(verdictOn(1, window, 'a', 1)).toBe('right');
    expect(verdictOn(1.6, window, 'a', 1)).toBe('over');
    const shown = Array.from({ length: 500 }, (_, i) => thermometer(24, String(i), 1) - 24);
    expect(Math.abs(shown.reduce((a, b) => a + b, 0) / shown.length)).toBeLessThan(0.05);
    expect(Math.max(...shown.map(Math.abs))).toBeGreaterThan(0.5);
  });

  it('counts every piece once, and more seconds the farther a proof was off', () => {
    const count = (risen: number) => countOf(200, { risen, ...window }, 'load', 1);
    for (const risen of [0.3, 1, 2]) {
      const { good, second, waste } = count(risen);
      expect(good + second + waste).toBe(200);
    }
    expect(count(1).second).toBe(0);
    expect(count(0.6).second).toBeGreaterThan(50);
    expect(count(1.5).second).toBeGreaterThan(50);
    expect(count(1).waste).toBeLessThan(12);
  });
});
