import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { planErrors } from '../../../test-data/plan/check.mjs';
import { clashes, clashKey } from './clashes';
import { planCost } from './cost';
import type { FeasiblePlan, PlanProblem, Times } from './problem';
import { solve } from './solve';
import { withEndWishes } from './end-wishes';
import { WhatIf } from './what-if';

/** Stops after a number of looks at the clock, so that a slow machine finds the same plan. */
const looks = (most: number) => {
  let asked = 0;
  return () => ++asked > most;
};

const handsOf = ({ tasks }: PlanProblem) =>
  tasks.filter(({ uses }) => uses.some(({ resource }) => resource === 'crew')).map(({ id }) => id);

function plan(problem: PlanProblem, from?: Times): FeasiblePlan | null {
  const options = { seed: 1, shouldStop: looks(40), ...(from ? { from } : {}) };
  const solution = solve(problem, options);
  return solution?.plan.status === 'feasible' ? solution.plan : null;
}

const asPlan = (problem: PlanProblem, times: Times): FeasiblePlan => {
  return {
    ...{ format: 'hefeteig-plan/1', problem: problem.name, status: 'feasible' },
    ...{ cost: planCost(problem, times), times },
  };
};

describe('the clashes of a plan', () => {
  it('are none exactly where the checker finds no fault, wherever steps are shoved', () => {
    fc.assert(
      fc.property(
        anyProblem,
        fc.array(fc.tuple(fc.nat(), fc.integer({ min: -90, max: 90 }), fc.integer({ min: -20, max: 20 })), {
          maxLength: 3,
        }),
        (problem, shoves) => {
          const found = plan(problem);
          fc.pre(Boolean(found));
          if (!found) return;
          const times = { ...found.times };
          for (const [nth, by, longer] of shoves) {
            const id = problem.tasks[nth % problem.tasks.length]?.id ?? '';
            const [start, end] = times[id] as [number, number];
            const at = Math.max(0, start + by);
            times[id] = [at, Math.max(at, end + by + longer)];
          }
          const faults = planErrors(problem, asPlan(problem, times));
          expect(clashes(problem, times).length === 0, faults.join('; ')).toBe(faults.length === 0);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('say when, how much and who', () => {
    const crew = { resource: 'crew', amount: 1 };
    const fixed = { min: 20, target: 20, max: 20 };
    const task = (id: string, setting: number) => {
      return {
        id,
        dough: id,
        kind: 'bake',
        ...fixed,
        uses: [crew, { resource: 'oven', amount: 2, setting }],
      };
    };
    const problem: PlanProblem = {
      ...{ format: 'hefeteig-plan-problem/1', name: 'two', horizon: 200, now: 0 },
      resources: [
        {
          id: 'crew',
          capacity: [
            [0, 0],
            [10, 1],
          ],
        },
        { id: 'oven', capacity: [[0, 4]], changeover: 15 },
      ],
      tasks: [task('a', 185), task('b', 210)],
      ...{ links: [], outputs: [], pins: [] },
    };
    expect(clashes(problem, { a: [5, 25], b: [20, 40] })).toEqual([
      { rule: 'too-much', resource: 'crew', from: 5, to: 10, over: 1, tasks: ['a'] },
      { rule: 'too-much', resource: 'crew', from: 20, to: 25, over: 1, tasks: ['a', 'b'] },
      { rule: 'setting', resource: 'oven', from: 20, to: 25, tasks: ['a', 'b'] },
    ]);
    expect(clashes(problem, { a: [10, 30], b: [45, 66] }).map(clashKey)).toEqual(['length:b']);
  });
});

describe('a dragged step', () => {
  it('takes its dough along, leaves all others, and every rule that breaks is named', () => {
    fc.assert(
      fc.property(anyProblem, fc.nat(), fc.integer({ min: -120, max: 120 }), (problem, nth, by) => {
        const found = plan(problem);
        fc.pre(Boolean(found));
        if (!found) return;
        const hands = handsOf(problem);
        const id = hands[nth % hands.length] ?? '';
        const [start] = found.times[id] as [number, number];
        const supposed = new WhatIf(problem, found.times, hands, 1).move(id, start + by);
        fc.pre(Boolean(supposed));
        if (!supposed) return;
        const after = { ...found.times, ...supposed.moved };
        const dough = problem.tasks.find((task) => task.id === id)?.dough;
        const moved = problem.tasks.filter((task) => task.id in supposed.moved);
        expect(moved.every((task) => task.dough === dough)).toBe(true);
        expect(after[id]?.[0]).toBe(supposed.start);
        expect(supposed.cost).toBe(planCost(problem, after));
        expect(planErrors(problem, asPlan(problem, after)).length > 0).toBe(supposed.breaks.length > 0);
        expect(supposed.breaks.every(({ rule }) => rule === 'too-much' || rule === 'setting')).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('moves nothing when it is put back where it is', () => {
    fc.assert(
      fc.property(anyProblem, fc.nat(), (problem, nth) => {
        const found = plan(problem);
        fc.pre(Boolean(found));
        if (!found) return;
        const hands = handsOf(problem);
        const id = hands[nth % hands.length] ?? '';
        // A wish to stay stronger than all costs leaves even a wait that could be better as it is.
        const whatIf = new WhatIf(
          problem,
          found.times,
          problem.tasks.map((task) => task.id),
          1000,
        );
        whatIf.move(id, (found.times[id]?.[0] ?? 0) + 35);
        expect(whatIf.move(id, found.times[id]?.[0] ?? 0)?.moved).toEqual({});
      }),
      { numRuns: 40 },
    );
  });
});

describe('a plan taken up again', () => {
  it('stays as it is when nothing has happened and staying counts for much', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const found = plan(problem);
        fc.pre(Boolean(found));
        if (!found) return;
        const every = problem.tasks.map(({ id }) => id);
        expect(plan(withEndWishes(problem, found.times, every, 1000), found.times)?.times).toEqual(
          found.times,
        );
      }),
      { numRuns: 40 },
    );
  });

  it('keeps every rule and pin, whatever staying counts', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const found = plan(problem);
        const first = handsOf(problem)[0] ?? '';
        fc.pre(Boolean(found));
        if (!found) return;
        const pins = [{ task: first, start: (found.times[first]?.[0] ?? 0) + 20 }];
        const late = { ...problem, pins };
        const moved = (weight: number) => {
          const after = plan(withEndWishes(late, found.times, handsOf(problem), weight), found.times);
          return after && planErrors(late, { ...after, cost: planCost(late, after.times) });
        };
        for (const weight of [1, 50]) expect(moved(weight) ?? []).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });
});
