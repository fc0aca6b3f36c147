import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { lengthCost, readyCost } from './cost';
import { Placer } from './placement';
import type { PlanProblem } from './problem';
import { Profile } from './profile';
import { narrow, ownWindows } from './windows';

const HORIZON = 26;

/** A trunk of two tasks with a branch before and one after it: small enough to try everything. */
const anyTree: fc.Arbitrary<PlanProblem> = fc
  .record({
    lengths: fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 2 }),
        fc.integer({ min: 0, max: 2 }),
      ),
      { minLength: 4, maxLength: 4 },
    ),
    lags: fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 3 })), {
      minLength: 3,
      maxLength: 3,
    }),
    costs: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 4, maxLength: 4 }),
    dues: fc.array(fc.integer({ min: 0, max: HORIZON }), { minLength: 2, maxLength: 2 }),
    asleep: fc.integer({ min: 0, max: 12 }),
  })
  .map(({ lengths, lags, costs, dues, asleep }) => {
    const ids = ['butter', 'mix', 'lock', 'bake'];
    const links = [
      ['butter', 'lock'],
      ['mix', 'lock'],
      ['lock', 'bake'],
    ] as const;
    return problemOf({
      horizon: HORIZON,
      resources: [
        {
          id: 'crew',
          capacity: [
            [0, 0],
            [asleep + 1, 1],
          ],
        },
      ],
      tasks: ids.map((id, i) => {
        const [min, more, most] = lengths[i] ?? [1, 0, 0];
        const uses = id === 'lock' ? [{ resource: 'crew', amount: 1 }] : [];
        return taskOf(id, [min, min + more, min + more + most], uses, {
          shortCost: costs[i] ?? 0,
          longCost: costs[3 - i] ?? 0,
        });
      }),
      links: links.map(([from, to], i) => ({
        from,
        to,
        min: lags[i]?.[0] ?? 0,
        max: (lags[i]?.[0] ?? 0) + (lags[i]?.[1] ?? 0),
      })),
      outputs: ['bake', 'butter'].map((task, i) => ({
        id: task,
        task,
        due: dues[i] ?? 0,
        lateCost: 3,
        freshFor: 2,
        staleCost: 1,
      })),
    });
  });

/** The least cost over every start and length of every task, overload at `price`. */
function tryEverything(problem: PlanProblem, price: number): number {
  const { model } = modelOf(problem);
  const profile = new Profile(model);
  const spans = model.tasks.map((task) => {
    const found: { start: number; end: number; cost: number }[] = [];
    for (let start = 0; start <= HORIZON; start++) {
      for (let end = start + task.min; end <= Math.min(HORIZON, start + task.max); end++) {
        const ready = task.outputs.reduce((sum, output) => sum + readyCost(output, end), 0);
        found.push({
          start,
          end,
          cost: lengthCost(task, end - start) + ready + price * profile.overloadOf(task, start, end),
        });
      }
    }
    return found;
  });
  const lagFits = (a: { end: number }, b: { start: number }, nth: number) => {
    const { min, max = Infinity } = problem.links[nth] ?? { min: 0 };
    return b.start - a.end >= min && b.start - a.end <= max;
  };
  const [butter = [], mix = [], lock = [], bake = []] = spans;
  const least = (options: { cost: number }[]) => Math.min(Infinity, ...options.map(({ cost }) => cost));
  return least(
    lock.map((l) => ({
      cost:
        l.cost +
        least(butter.filter((b) => lagFits(b, l, 0))) +
        least(mix.filter((m) => lagFits(m, l, 1))) +
        least(bake.filter((b) => lagFits(l, b, 2))),
    })),
  );
}

describe('placing a tree of tasks', () => {
  it('costs no more and no less than the best of all places there are', () => {
    fc.assert(
      fc.property(anyTree, (problem) => {
        const { model } = modelOf(problem);
        const windows = ownWindows(model);
        const everybody = model.tasks.map((task) => task.index);
        fc.pre(narrow(model, windows, everybody));
        const schedule = { start: new Int32Array(4).fill(-1), end: new Int32Array(4).fill(-1) };
        const cost = new Placer(model, windows).place(everybody, schedule, new Profile(model), 7);
        expect(cost).toBe(tryEverything(problem, 7));
        const placed = model.tasks.reduce((sum, task) => {
          const [start, end] = [schedule.start[task.index] as number, schedule.end[task.index] as number];
          const ready = task.outputs.reduce((total, output) => total + readyCost(output, end), 0);
          return (
            sum + lengthCost(task, end - start) + ready + 7 * new Profile(model).overloadOf(task, start, end)
          );
        }, 0);
        expect(placed).toBe(cost);
      }),
      { numRuns: 150 },
    );
  });

  it('stays within reach of where tasks were, when told', () => {
    const problem = problemOf({
      tasks: [taskOf('a', [5, 5, 5])],
      outputs: [{ id: 'o', task: 'a', due: 100, lateCost: 1, freshFor: 0, staleCost: 1 }],
    });
    const { model } = modelOf(problem);
    const schedule = { start: Int32Array.of(-1), end: Int32Array.of(-1) };
    const near = { places: new Map([[0, { start: 20, end: 25 }]]), reach: 10 };
    new Placer(model, ownWindows(model)).place([0], schedule, new Profile(model), 1, near);
    expect([schedule.start[0], schedule.end[0]]).toEqual([30, 35]);
  });
});
