import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { planErrors } from '../../../test-data/plan/check.mjs';
import { planCost } from './cost';
import { compile } from './model';
import { networkOf } from './network';
import type { PlanProblem, Times } from './problem';
import { seeded } from './random';
import { Relaxed } from './relaxed';
import { State } from './state';

/** A plan in the making with every dough placed at a price, or null where none has a place. */
function begun(problem: PlanProblem, seed: number) {
  const network = networkOf(compile(problem));
  const random = seeded(seed);
  const state = network && new State(network, random);
  const relaxed = state && Relaxed.of(state);
  if (!state || !relaxed) return null;
  if (!state.network.components.every((members) => state.insert(members, 20))) return null;
  return { state, relaxed };
}

const timesOf = (state: State): Times =>
  Object.fromEntries(state.network.model.tasks.map((task) => [task.id, state.span(task.index)]));

describe('a plan in the making', () => {
  it('keeps its cost through doughs lifted and placed anew, and says where it is overloaded', () => {
    fc.assert(
      fc.property(anyProblem, fc.nat(1000), (problem, seed) => {
        const made = begun(problem, seed);
        fc.pre(made !== null);
        if (!made) return;
        const { state } = made;
        for (const [n, members] of state.network.components.entries()) {
          state.lift(members);
          if (!state.insert(members, n % 2 === 0 ? 1 : 50)) return;
          expect(state.cost).toBe(planCost(problem, timesOf(state)));
        }
        if (state.overload === 0) {
          const head = { format: 'hefeteig-plan/1', problem: problem.name, status: 'feasible' } as const;
          expect(planErrors(problem, { ...head, cost: state.cost, times: timesOf(state) })).toEqual([]);
        } else expect(state.overloaded().length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });

  it('never costs less than its doughs do alone', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const made = begun(problem, 1);
        fc.pre(made !== null);
        if (!made) return;
        const { state, relaxed } = made;
        expect(state.cost).toBeGreaterThanOrEqual(relaxed.bound);
        const all = state.network.components.flat();
        expect(relaxed.excess(state, all)).toBe(state.cost - relaxed.bound);
      }),
    );
  });

  it('goes back to where it stood', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const made = begun(problem, 2);
        fc.pre(made !== null);
        if (!made) return;
        const { state } = made;
        const [cost, overload, times] = [state.cost, state.overload, state.snapshot()];
        for (const members of state.network.components) {
          state.lift(members);
          if (!state.insert(members, 0)) break;
        }
        state.reset(times);
        expect([state.cost, state.overload]).toEqual([cost, overload]);
      }),
      { numRuns: 40 },
    );
  });
});
