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
import { Relaxed } from './relaxed';
import { Reorder } from './reorder';
import { State } from './state';

/** Doughs placed where they would like to be, whoever is there; null where some have no place at all. */
function wished(problem: PlanProblem, seed: number) {
  const network = networkOf(compile(problem));
  const random = seeded(seed);
  const state = network && new State(network, random);
  const relaxed = state && Relaxed.of(state);
  if (!state || !relaxed) return null;
  const reorder = new Reorder(state, relaxed, new Moves(state, relaxed, random), random);
  if (!network.components.every((members) => state.insert(members, 1))) return null;
  return { state, reorder };
}

const timesOf = (state: State): Times =>
  Object.fromEntries(state.network.model.tasks.map((task) => [task.id, state.span(task.index)]));

describe('work put into an order', () => {
  it('makes a sound plan of what overlaps, and keeps it sound, at the cost it says, through every change', () => {
    let sound = 0;
    fc.assert(
      fc.property(anyProblem, fc.nat(1000), (problem, seed) => {
        const made = wished(problem, seed);
        fc.pre(made !== null && made.state.network.components.length > 0);
        if (!made) return;
        const { state, reorder } = made;
        if (!reorder.adopt()) return;
        sound++;
        const head = { format: 'hefeteig-plan/1', problem: problem.name, status: 'feasible' } as const;
        for (let n = 0; n < 10; n++) {
          const times = timesOf(state);
          expect(reorder.cost).toBe(planCost(problem, times));
          expect(planErrors(problem, { ...head, cost: reorder.cost, times })).toEqual([]);
          if (n % 3 === 2) reorder.leap();
          else reorder.step();
        }
      }),
      { numRuns: 60 },
    );
    expect(sound, 'most of these bakeries have a plan').toBeGreaterThan(30);
  });

  it('takes up a sound plan at no more than it costs', () => {
    fc.assert(
      fc.property(anyProblem, fc.nat(1000), (problem, seed) => {
        const made = wished(problem, seed);
        fc.pre(made !== null && made.state.network.components.length > 0);
        if (!made) return;
        const { state, reorder } = made;
        if (!reorder.adopt()) return;
        const { cost } = reorder;
        expect(reorder.adopt()).toBe(true);
        expect(reorder.cost).toBeLessThanOrEqual(cost);
        expect(state.overload).toBe(0);
      }),
      { numRuns: 60 },
    );
  });
});
