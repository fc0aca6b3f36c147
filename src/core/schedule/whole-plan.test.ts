import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { problemErrors } from '../../../test-data/plan/check.mjs';
import { did, MIN, smallDough } from '../../../test-support/floor';
import { ROLLING } from '../../../test-support/rolling';
import { clashes } from '../solver/clashes';
import type { FloorEvent } from '../record/events';
import type { DoughRecord } from '../record/dough';
import { UNKNOWN_CONDITIONS } from '../forecast/conditions';
import { forecastDough } from '../forecast/forecast';
import { drifts } from './drift';
import { promisesOf } from '../forecast/promises';
import { clashMessage, stepOf } from './supposed';
import { wholePlan, type PlanMeans } from './whole-plan';
import { withTimes } from './with-times';
import { inEnglish } from '../../../test-support/words';

const ZONE = 'Europe/Berlin';
const DAWN = Date.parse('2026-11-19T00:00+01:00');
const at = (minute: number) => DAWN + minute * MIN;
const PIECE = { grams: 60, perTray: 15, scrap: 0.05 };
const MACHINES = [
  machine('retarder', { capacity: 30 }),
  machine('proofer', { capacity: 20 }),
  machine('oven', { capacity: 9 }),
];

/** The small dough, planned from `from` on, each step straight after the one before at its shortest. */
function dough(from: number, events: FloorEvent[] = []): DoughRecord {
  const { steps, links } = smallDough();
  let minute = from;
  const timed = steps.map((step) => {
    const plannedStart = at(minute);
    minute += step.min;
    return { ...step, plannedStart, plannedEnd: at(minute) };
  });
  return {
    ...{ id: 1, name: 'Crescent 1', madeAt: 0, kg: 2.5, bowls: 1, lamination: null, links, steps: timed },
    outputs: [
      {
        ...{ id: 5, product: 'Butter crescent', pieces: 40, dueAt: at(minute + 60), freshFor: 150 },
        ...{ piece: PIECE, allergens: [] },
      },
    ],
    events: events.map((event) => ({ ...event, at: DAWN + event.at })),
  };
}

function board(doughs: DoughRecord[], machines = MACHINES): PlanMeans {
  const presences = [{ personId: 1, start: at(0), end: at(3 * 1440) }];
  const conditions = { ...UNKNOWN_CONDITIONS, machines };
  return {
    house: { name: 'House', zone: ZONE },
    doughs,
    equipment: { machines, places: [] },
    presences,
    conditions,
  };
}

describe('the whole plan', () => {
  it('is a sound problem at every second of a step that takes longer than it should', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 * 3600 }), (second) => {
        const events = [did('start', 'mix', 60)];
        const now = at(60) + second * 1000;
        const { problem, present } = wholePlan(board([dough(60, events)]), now);
        expect(problemErrors(problem)).toEqual([]);
        const [mix] = problem.tasks;
        // Whoever is still at it in this minute will be so until it is over.
        expect(60 + (mix?.min ?? 0)).toBeGreaterThanOrEqual(Math.ceil(60 + second / 60));
        expect(present['1/mix']?.[0]).toBe(60);
      }),
    );
  });

  it('leaves out what is done, and doughs that were forgotten half a day ago', () => {
    const done = [did('start', 'mix', 60), did('finish', 'mix', 76)];
    const { problem } = wholePlan(board([dough(60, done)]), at(80));
    expect(problem.tasks.some(({ id }) => id === '1/mix')).toBe(false);
    expect(wholePlan(board([dough(60)]), at(60 + 3 * 1440)).doughs).toEqual([]);
  });

  it('fixes what a planner has fixed, until that time has passed', () => {
    const one = dough(60);
    const fixed = {
      ...one,
      steps: one.steps.map((step) => (step.key === 'mix' ? { ...step, pinned: true } : step)),
    };
    expect(wholePlan(board([fixed]), at(30)).problem.pins).toEqual([{ task: '1/mix', start: 60 }]);
    expect(wholePlan(board([fixed]), at(90)).problem.pins).toEqual([]);
  });

  it('has no more of a machine than is not out', () => {
    const out = {
      ...machine('oven', { capacity: 9 }),
      outages: [{ start: at(100), end: at(200), units: 4 }],
    };
    const { problem } = wholePlan(board([dough(60)], [...MACHINES.slice(0, 2), out]), at(30));
    expect(problem.resources.find(({ id }) => id === 'oven')?.capacity).toEqual([
      [0, 9],
      [100, 5],
      [200, 9],
    ]);
  });
});

describe('what makes a plan need mending', () => {
  it('is a dough behind it, by as much as matters', () => {
    const told = (now: number) =>
      drifts(
        wholePlan(board([dough(60)]), at(now)),
        { machines: MACHINES, rolling: ROLLING },
        at(now),
        10,
      ).map(({ message }) => inEnglish(message));
    expect(told(65)).toEqual([]);
    expect(told(85)).toEqual(['Crescent 1 is 25 min behind']);
  });

  it('is a machine that fails, with when and what it is about', () => {
    const one = dough(60);
    const bake = one.steps.find(({ step }) => step.kind === 'bake');
    const begins = bake?.plannedStart ?? 0;
    const broken = { start: begins - 30 * MIN, end: begins + 5 * MIN, units: null };
    const machines = [...MACHINES.slice(0, 2), { ...machine('oven', { capacity: 9 }), outages: [broken] }];
    const told = (doughs: DoughRecord[], now: number) =>
      drifts(wholePlan(board(doughs, machines), now), { machines, rolling: ROLLING }, now, 10).filter(
        ({ doughId }) => doughId === null,
      );
    const [drift] = told([one], at(30));
    expect(inEnglish(drift?.message)).toMatch(/^oven: \d trays short at Thu \d\d:\d\d \(Crescent 1\)$/);
    expect(drift?.at).toBe(begins);
    // Nothing is baked while it is out any more.
    expect(inEnglish(told([dough(90)], at(30)))).toEqual([]);
  });
});

describe('what a step in the hand would come to', () => {
  const whole = wholePlan(board([dough(60)]), at(30));

  it('names the step behind a task, and nothing behind one that is not there', () => {
    expect(inEnglish(stepOf(whole, '1/mix')?.step.label)).toBe('mix');
    expect(stepOf(whole, '1/bake-of-nobody')).toBeNull();
    expect(stepOf(whole, '7/mix')).toBeNull();
  });

  it('moves only the steps that are said', () => {
    const [one] = whole.doughs;
    if (!one) throw new Error('there is one dough');
    const moved = withTimes(one, { '1/mix': [90, 105] }, whole.origin);
    expect(inEnglish(moved.steps.find(({ key }) => key === 'mix'))).toMatchObject({
      plannedStart: at(90),
      plannedEnd: at(105),
    });
    expect(inEnglish(moved.steps.slice(1))).toEqual(one.steps.slice(1));
  });

  it('tells of each rule in a sentence of its own', () => {
    const tasks = ['1/mix', '1/butter'];
    const span = { from: 60, to: 75 };
    const told = (clash: Parameters<typeof clashMessage>[2], own?: number) =>
      inEnglish(clashMessage(whole, MACHINES, clash, own));
    expect(told({ rule: 'too-much', resource: 'crew', over: 2, tasks, ...span })).toBe(
      '2 people short at Thu 01:00 (Crescent 1)',
    );
    expect(told({ rule: 'too-much', resource: 'oven', over: 3, tasks, ...span }, 1)).toBe(
      'oven: 3 trays short at Thu 01:00',
    );
    expect(told({ rule: 'setting', resource: 'oven', tasks: ['1/mix', '1/butter'], ...span })).toBe(
      'oven: too little time to change the setting at Thu 01:00 (Crescent 1)',
    );
    expect(told({ rule: 'length', task: '1/mix', by: 3 })).toBe('mix does not fit its own window');
  });

  it('breaks nothing when it is as it was', () => {
    expect(clashes(whole.problem, whole.present).filter((clash) => 'resource' in clash)).toEqual([]);
  });
});

describe('a promise', () => {
  const told = (dueAfter: number) => {
    const one = dough(60);
    const last = Math.max(...one.steps.map(({ plannedEnd }) => plannedEnd));
    const outputs = one.outputs.map((output) => ({ ...output, dueAt: last + dueAfter * MIN }));
    const [promise] = promisesOf(forecastDough(one, UNKNOWN_CONDITIONS, at(30)), { outputs });
    return promise && [promise.late, promise.stale];
  };

  it('is kept, late or stale by the minutes between ready and due', () => {
    expect(told(0)).toEqual([0, 0]);
    expect(told(150)).toEqual([0, 0]);
    expect(told(-25)).toEqual([25, 0]);
    expect(told(190)).toEqual([0, 40]);
  });

  it('of something that is not in the plan is none', () => {
    const one = dough(60);
    const outputs = one.outputs.map((output) => ({ ...output, id: 99 }));
    expect(promisesOf(forecastDough(one, UNKNOWN_CONDITIONS, at(30)), { outputs })).toEqual([]);
  });
});
