import { describe, expect, it } from 'vitest';
import type { PlanProblem, Task } from '../solver/problem';
import { leaveSmallMoves } from './small-moves';

const task = (id: string, dough: string, resource: string): Task => {
  const uses = [{ resource, amount: 1 }];
  return { id, dough, kind: 'work', min: 10, target: 10, max: 10, uses };
};
const problem = (due: number): PlanProblem => ({
  ...{ format: 'hefeteig-plan-problem/1', name: 'two doughs', horizon: 500, now: 0 },
  resources: ['mixer', 'oven'].map((id) => ({ id, capacity: [[0, 1]] })),
  tasks: [task('a', '1', 'mixer'), task('b', '2', 'oven')],
  links: [],
  outputs: [{ id: 'b', task: 'b', due, lateCost: 20, freshFor: 100, staleCost: 2 }],
  pins: [],
});
const before = { a: [100, 110], b: [200, 210] } satisfies Record<string, [number, number]>;

describe('what a repair would move by little', () => {
  it('stays where it is, while what moves by more moves', () => {
    const after = { a: [103, 113], b: [230, 240] } satisfies Record<string, [number, number]>;
    expect(leaveSmallMoves(problem(300), before, after, 5)).toEqual({ a: [100, 110], b: [230, 240] });
  });

  it('moves all the same where it would be late otherwise', () => {
    const after = { a: [100, 110], b: [197, 207] } satisfies Record<string, [number, number]>;
    expect(leaveSmallMoves(problem(208), before, after, 5)).toEqual(after);
    expect(leaveSmallMoves(problem(300), before, after, 5)).toEqual(before);
  });

  it('moves all the same where it would be in the way of what moves', () => {
    const both = problem(300);
    const shared = { ...both, tasks: [task('a', '1', 'oven'), task('b', '2', 'oven')] };
    const after = { a: [104, 114], b: [94, 104] } satisfies Record<string, [number, number]>;
    expect(leaveSmallMoves(shared, before, after, 5)).toEqual(after);
  });
});
