import { describe, expect, it } from 'vitest';
import type { PlanProblem } from './problem';
import { startWindows } from './slack';

const step = (id: string, min: number, max: number) => ({
  id,
  dough: 'd',
  kind: id,
  min,
  target: min,
  max,
  uses: [],
});
const problem = (due: number, pins: PlanProblem['pins'] = []): PlanProblem => ({
  ...{ format: 'hefeteig-plan-problem/1', name: 'p', horizon: 1000, now: 0, resources: [], pins },
  tasks: [step('mix', 20, 20), step('rest', 60, 100), step('bake', 30, 30)],
  links: [
    { from: 'mix', to: 'rest', min: 0, max: 0 },
    { from: 'rest', to: 'bake', min: 0, max: 0 },
  ],
  outputs: [{ id: 'o', task: 'bake', due, lateCost: 1, freshFor: 0, staleCost: 0 }],
});

describe('between what times a step may start', () => {
  it('counts back from the promise with the shortest waits, and on from now', () => {
    expect(startWindows(problem(200))?.get('mix')).toEqual({ from: 0, to: 90 });
    expect(startWindows(problem(200))?.get('bake')).toEqual({ from: 80, to: 170 });
  });

  it('gives no more room than the longest wait after a step that has begun', () => {
    expect(startWindows(problem(500, [{ task: 'mix', start: 10, end: 30 }]))?.get('bake')).toEqual({
      from: 90,
      to: 130,
    });
  });

  it('says when a promise is out of reach', () => {
    expect(startWindows(problem(109))).toBeNull();
    expect(startWindows(problem(110))).not.toBeNull();
  });
});
