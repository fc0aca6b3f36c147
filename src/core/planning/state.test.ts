import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { planErrors } from '../../../test-data/plan/check.mjs';
import { planCost } from './cost';
import { compile } from './model';
import { Moves } from './moves';
import { networkOf } from './network';
import type { PlanProblem, Times } from './problem';
import { seeded } from './random';
import { Reinsertion } from './reinsertion';
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
  return { state, relaxed, random };
}

const timesOf = (state: State): Times =>
  Object.fromEntries(state.network.model.tasks.map((task) => [task.id, state.span(task.index)]));

describe('a plan in the making', () => {
  it('keeps its cost, and every link, through moves made and taken back', () => {
    fc.assert(
      fc.property(anyProblem, fc.nat(1000), (problem, seed) => {
        const made = begun(problem, seed);
        fc.pre(made !== null);
        if (!made) return;
        const { state, relaxed, random } = made;
        fc.pre(state.network.components.length > 0);
        const moves = new Moves(state, relaxed, random);
        const reinsertion = new Reinsertion(state, moves, relaxed, random);
        for (let n = 0; n < 12; n++) {
          const before = { worth: state.worth(20), times: state.snapshot() };
          const undo = reinsertion.around(moves.any(), { price: 20, limit: before.worth + 200 });
          expect(state.cost).toBe(planCost(problem, timesOf(state)));
          if (n % 2 === 0) {
            undo();
            expect(state.worth(20)).toBe(before.worth);
            expect([...state.times]).toEqual([...before.times]);
          }
        }
        if (state.overload === 0) {
          const head = { format: 'hefeteig-plan/1', problem: problem.name, status: 'feasible' } as const;
          expect(planErrors(problem, { ...head, cost: state.cost, times: timesOf(state) })).toEqual([]);
        } else expect(state.overloaded().length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  }, 60_000);

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
