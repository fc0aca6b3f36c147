import { describe, expect, it } from 'vitest';
import type { PlanProblem } from '../solver/problem';
import { solve } from '../solver/solve';
import { overlongWaits, stuckIn, withStretchedWaits } from './stuck';

/** Two doughs for one oven, which is out from minute 60 to 600: the first is proofing, and may for no longer than 120. */
const problem: PlanProblem = {
  ...{ format: 'hefeteig-plan-problem/1', name: 'oven out', horizon: 2000, now: 0 },
  resources: [
    {
      id: 'oven',
      capacity: [
        [0, 1],
        [60, 0],
        [600, 1],
      ],
    },
  ],
  tasks: [
    { id: 'a.proof', dough: 'a', kind: 'proof', min: 60, target: 90, max: 120, uses: [] },
    {
      id: 'a.bake',
      dough: 'a',
      kind: 'bake',
      min: 20,
      target: 20,
      max: 20,
      uses: [{ resource: 'oven', amount: 1 }],
    },
    { id: 'b.proof', dough: 'b', kind: 'proof', min: 60, target: 90, max: 120, uses: [] },
    {
      id: 'b.bake',
      dough: 'b',
      kind: 'bake',
      min: 20,
      target: 20,
      max: 20,
      uses: [{ resource: 'oven', amount: 1 }],
    },
  ],
  links: [
    { from: 'a.proof', to: 'a.bake', min: 0, max: 10 },
    { from: 'b.proof', to: 'b.bake', min: 0, max: 10 },
  ],
  outputs: [
    { id: 'a', task: 'a.bake', due: 130, lateCost: 20, freshFor: 200, staleCost: 1 },
    { id: 'b', task: 'b.bake', due: 130, lateCost: 20, freshFor: 200, staleCost: 1 },
  ],
  pins: [{ task: 'a.proof', start: 0 }],
};
const solved = (asked: PlanProblem) => {
  let moves = 0;
  return solve(asked, { seed: 1, shouldStop: () => ++moves > 200 })?.plan;
};

describe('doughs that wait for longer than they can', () => {
  it('make a plan impossible, and are named by what cannot hold together', () => {
    const plan = solved(problem);
    expect(plan?.status).toBe('infeasible');
    const conflict = plan?.status === 'infeasible' ? plan.conflict : [];
    expect([...stuckIn(problem, conflict)]).toEqual(['a']);
  });

  it('are planned as soon as they can be, and all others as they may be', () => {
    const plan = solved(withStretchedWaits(problem, new Set(['a'])));
    if (plan?.status !== 'feasible') throw new Error('There is a plan.');
    const overlong = overlongWaits(problem, plan.times);
    expect(overlong.map(({ task, longest }) => [task, longest])).toEqual([['a.proof', 120]]);
    expect(overlong[0]?.minutes).toBeGreaterThanOrEqual(590);
    expect(plan.times['a.bake']?.[0]).toBeLessThanOrEqual(640);
    const [start = 0, end = 0] = plan.times['b.proof'] ?? [];
    expect(end - start).toBeLessThanOrEqual(120);
  });

  it('are none where every wait is as long as it may be', () => {
    expect(overlongWaits(problem, { 'a.proof': [0, 120], 'b.proof': [10, 100] })).toEqual([]);
    expect([...stuckIn(problem, ['a.bake', 'nothing'])]).toEqual(['a']);
    expect(withStretchedWaits(problem, new Set()).tasks).toEqual(problem.tasks);
  });
});
