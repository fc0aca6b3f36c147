import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { lengthCost, readyCost } from './cost';
import { Fitter } from './fitter';
import type { Model } from './model';
import { networkOf, type Network } from './network';
import type { PlanProblem } from './problem';
import { seeded } from './random';
import { Usage } from './usage';

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

/** Somebody else's lock-in, which holds the only hand in the second half of the horizon. */
function addOther(usage: Usage, { tasks }: Model): void {
  for (const task of tasks) if (task.id === 'lock') usage.add(task, 16, 20);
}

/** The least cost over every start and length of every task, overload at `price`; Infinity where nobody is there. */
function tryEverything(problem: PlanProblem, price: number): number {
  const { model } = modelOf(problem);
  const usage = new Usage(model);
  addOther(usage, model);
  const capacity = model.resources[0]?.capacity ?? new Int32Array(0);
  const spans = model.tasks.map((task) => {
    const found: { start: number; end: number; cost: number }[] = [];
    for (let start = 0; start <= HORIZON; start++) {
      for (let end = start + task.min; end <= Math.min(HORIZON, start + task.max); end++) {
        const ready = task.outputs.reduce((sum, output) => sum + readyCost(output, end), 0);
        const asleep = task.uses.length > 0 && capacity.subarray(start, end).includes(0);
        const overload = asleep ? Infinity : price * usage.overloadOf(task, start, end);
        found.push({ start, end, cost: lengthCost(task, end - start) + ready + overload });
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

function networkFor(problem: PlanProblem): Network | null {
  return networkOf(modelOf(problem).model);
}

/** A fitter with an empty bakery, all blocks without a time. */
function fitterFor(network: Network, seed = 1) {
  const usage = new Usage(network.model);
  addOther(usage, network.model);
  const fitter = new Fitter(network, usage, seeded(seed));
  const times = new Int32Array(network.blocks.length).fill(-1);
  return { fitter, usage, times };
}

/** Start and end of each task as the fitter found them. */
function spansOf(network: Network, found: Int32Array) {
  const { blockOf, offsetOf, model } = network;
  const at = (event: number) => (found[blockOf[event] as number] as number) + (offsetOf[event] as number);
  return model.tasks.map((task) => ({ task, start: at(2 * task.index), end: at(2 * task.index + 1) }));
}

describe('placing a tree of tasks', () => {
  it('costs no more and no less than the best of all places there are', () => {
    fc.assert(
      fc.property(anyTree, fc.nat(100), (problem, seed) => {
        const network = networkFor(problem);
        fc.pre(network !== null);
        if (!network) return;
        const { fitter, usage, times } = fitterFor(network, seed);
        const all = network.blocks.map(({ index }) => index);
        const cost = fitter.fit(all, times, 7, Infinity);
        expect(cost).toBe(tryEverything(problem, 7));
        if (cost === Infinity) return;
        const placed = spansOf(network, fitter.found).reduce((sum, { task, start, end }) => {
          const ready = task.outputs.reduce((total, output) => total + readyCost(output, end), 0);
          return sum + lengthCost(task, end - start) + ready + 7 * usage.overloadOf(task, start, end);
        }, 0);
        expect(placed).toBe(cost);
      }),
      { numRuns: 200 },
    );
  });

  it('finds the same with a cutoff just above the least cost, and nothing at it', () => {
    fc.assert(
      fc.property(anyTree, (problem) => {
        const network = networkFor(problem);
        fc.pre(network !== null);
        if (!network) return;
        const { fitter, times } = fitterFor(network);
        const all = network.blocks.map(({ index }) => index);
        const least = fitter.fit(all, times, 7, Infinity);
        fc.pre(least < Infinity);
        expect(fitter.fit(all, times, 7, least + 1)).toBe(least);
        expect(fitter.fit(all, times, 7, least)).toBe(Infinity);
      }),
    );
  });

  it('knows for each block where it can be when the dough may cost so much more', () => {
    fc.assert(
      fc.property(anyTree, fc.constantFrom(0, 3, 9), (problem, allowance) => {
        const network = networkFor(problem);
        fc.pre(network !== null);
        if (!network) return;
        const { fitter, times } = fitterFor(network);
        const all = network.blocks.map(({ index }) => index);
        fc.pre(network.fixed.length === 0 && network.components.length === 1);
        const windows = { from: network.windows.from.slice(), to: network.windows.to.slice() };
        const least = fitter.relax(all, times, [allowance], [windows]);
        fc.pre(least !== null);
        for (const b of all) {
          for (let t = network.windows.from[b] as number; t <= (network.windows.to[b] as number); t++) {
            const forced = { block: b, from: t, to: t };
            const there = fitter.fit(all, times, 0, Infinity, { forced });
            const inside = t >= (windows.from[b] as number) && t <= (windows.to[b] as number);
            if (there <= least + allowance) expect(inside).toBe(true);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('stays within reach of where blocks were, and goes where it is forced, when told', () => {
    const network = networkFor(
      problemOf({
        tasks: [taskOf('a', [5, 5, 5])],
        outputs: [{ id: 'o', task: 'a', due: 100, lateCost: 1, freshFor: 0, staleCost: 1 }],
      }),
    ) as Network;
    const { fitter, times } = fitterFor(network);
    const near = { times: new Map([[0, 20]]), reach: 10 };
    fitter.fit([0], times, 1, Infinity, { near });
    expect(fitter.found[0]).toBe(30);
    fitter.fit([0], times, 1, Infinity, { near, forced: { block: 0, from: 12, to: 15 } });
    expect(fitter.found[0]).toBe(15);
  });
});
