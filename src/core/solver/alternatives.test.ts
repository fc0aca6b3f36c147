import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chooseAlternatives, hasAlternatives, mergeAlternatives, onResources } from './alternatives';
import { clashes } from './clashes';
import type { PlanProblem, Task, Times } from './problem';
import { solveWithAlternatives } from './solve';

const OVENS = ['large', 'small'];
/** A task of an hour that fits either oven, or the large one alone where it is too much for the small one. */
const bake = (id: string, amount: number, more: Partial<Task> = {}): Task => ({
  ...{ id, dough: id, kind: 'bake', min: 60, target: 60, max: 60 },
  uses: [{ resource: 'large', amount, setting: 185, ...(amount > 4 ? {} : { among: OVENS }) }],
  ...more,
});
const problemOf = (tasks: Task[], more: Partial<PlanProblem> = {}): PlanProblem => ({
  ...{ format: 'hefeteig-plan-problem/1', name: 'ovens', horizon: 2000, now: 0, links: [], pins: [] },
  resources: [
    { id: 'large', capacity: [[0, 9]], changeover: 15 },
    { id: 'small', capacity: [[0, 4]], changeover: 5 },
  ],
  tasks,
  outputs: tasks.map(({ id }) => {
    return { id, task: id, due: 200, lateCost: 20, freshFor: 0, staleCost: 2 };
  }),
  ...more,
});
const plan = (problem: PlanProblem, from?: Times) => {
  let moves = 0;
  const solution = solveWithAlternatives(problem, (share) => {
    moves = 0;
    return { seed: 1, shouldStop: () => ++moves > 200 * share, ...(from ? { from } : {}) };
  });
  if (solution?.plan.status !== 'feasible') throw new Error('There is a plan.');
  return solution.plan;
};

describe('resources that stand in for one another', () => {
  it('are merged to one of their joint capacity over time; others stay as they are', () => {
    const merged = mergeAlternatives(
      problemOf([bake('a', 3)], {
        resources: [
          { id: 'crew', capacity: [[0, 2]] },
          { id: 'large', capacity: [[0, 9]], changeover: 15 },
          {
            id: 'small',
            capacity: [
              [0, 4],
              [300, 0],
            ],
          },
        ],
      }),
    );
    expect(merged.resources).toEqual([
      { id: 'crew', capacity: [[0, 2]] },
      {
        id: 'large',
        capacity: [
          [0, 13],
          [300, 9],
        ],
      },
    ]);
    expect(hasAlternatives(merged)).toBe(false);
  });

  it('are chosen where they are free: the one that a task has, then the smallest, then the one free soonest', () => {
    const at: Times = { a: [0, 60], b: [0, 60], c: [0, 60], d: [0, 60] };
    const chosen = chooseAlternatives(
      problemOf([bake('a', 4), bake('b', 4), bake('c', 3), bake('d', 4)]),
      at,
    );
    const ovens = chosen.tasks.map(({ uses }) => uses[0]?.resource);
    // Two fill the large one but for a tray; the third goes into the small one, and the fourth waits for either.
    expect(ovens).toEqual(['large', 'large', 'small', 'large']);
  });

  it('are left to what is pinned, or has no choice', () => {
    const at: Times = { a: [0, 60], b: [0, 60] };
    const problem = problemOf([bake('a', 9), bake('b', 4)], { pins: [{ task: 'b', start: 0 }] });
    expect(chooseAlternatives(problem, at).tasks).toEqual(problem.tasks);
  });

  it('make a plan that is late with one of them good, each held no more than it takes', () => {
    // Three doughs for one hour in an oven of 9: two at once, the third an hour late without the small oven.
    const tasks = [bake('a', 4), bake('b', 4), bake('c', 4)];
    const problem = problemOf(tasks);
    const { times, chosen = {}, cost } = plan(problem);
    expect(cost).toBe(0);
    expect(clashes(onResources(problem, chosen), times)).toEqual([]);
    expect(new Set(Object.values(chosen).flat())).toEqual(new Set(OVENS));
    const alone = problemOf(tasks.map((task) => ({ ...task, uses: [{ resource: 'large', amount: 4 }] })));
    expect(plan(alone).cost).toBeGreaterThan(0);
  });

  it('take over what one that is out cannot do, and nothing else', () => {
    const times: Times = { a: [140, 200], b: [140, 200] };
    const out = problemOf(
      [bake('a', 4), bake('b', 4, { uses: [{ resource: 'small', amount: 4, among: OVENS }] })],
      {
        resources: [
          {
            id: 'large',
            capacity: [
              [0, 0],
              [400, 9],
            ],
          },
          { id: 'small', capacity: [[0, 4]] },
        ],
      },
    );
    const { chosen = {} } = plan(out, times);
    expect(Object.values(chosen)).toEqual([['small'], ['small']]);
    const calm = plan(problemOf([bake('a', 4), bake('b', 4)]), times);
    expect(calm.times).toEqual(times);
    expect(calm.chosen).toEqual({ a: ['large'], b: ['large'] });
  });

  it('always make a sound plan', () => {
    const task = fc.record({ amount: fc.integer({ min: 1, max: 9 }), setting: fc.constantFrom(180, 190) });
    fc.assert(
      fc.property(fc.array(task, { minLength: 1, maxLength: 7 }), (all) => {
        const problem = problemOf(
          all.map(({ amount, setting }, i) => {
            const one = bake(`t${i}`, amount);
            return { ...one, uses: one.uses.map((use) => ({ ...use, setting })) };
          }),
        );
        const { times, chosen = {} } = plan(problem);
        expect(clashes(onResources(problem, chosen), times)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
});
