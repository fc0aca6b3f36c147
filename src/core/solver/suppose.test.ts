import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compile } from './model';
import type { PlanProblem } from './problem';
import { usedBeyond, withMore, withoutPin } from './suppose';

const crew = (capacity: [number, number][]): PlanProblem => {
  const task = (id: string) => ({ id, dough: id, kind: 'work', min: 20, target: 20, max: 20 });
  const uses = [{ resource: 'crew', amount: 1 }];
  return {
    ...{ format: 'hefeteig-plan-problem/1', name: 'crew', horizon: 300, now: 50, links: [], outputs: [] },
    resources: [{ id: 'crew', capacity }],
    tasks: ['a', 'b', 'c'].map((id) => ({ ...task(id), uses })),
    pins: [
      { task: 'a', start: 40 },
      { task: 'b', start: 90 },
    ],
  };
};
const hours = (problem: PlanProblem) => [...(compile(problem).resources[0]?.capacity ?? [])];

describe('more of a resource', () => {
  it('is there exactly in its spans, on top of what there was', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 350 }), fc.integer({ min: 1, max: 80 }))
      .map(([from, length]) => ({ from, to: from + length }));
    const steps = fc
      .uniqueArray(fc.integer({ min: 1, max: 299 }), { maxLength: 4 })
      .map((edges) => [0, ...edges.sort((a, b) => a - b)].map((at, i): [number, number] => [at, i % 3]));
    fc.assert(
      fc.property(steps, fc.array(span, { maxLength: 3 }), (capacity, spans) => {
        const problem = crew(capacity);
        const before = hours(problem);
        hours(withMore(problem, 'crew', spans, 2)).forEach((there, minute) => {
          const more = spans.some(({ from, to }) => from <= minute && minute < to) ? 2 : 0;
          expect(there).toBe((before[minute] ?? 0) + more);
        });
      }),
    );
  });

  it('leaves all others as they are', () => {
    const problem = crew([[0, 1]]);
    expect(withMore(problem, 'oven', [{ from: 0, to: 10 }], 5)).toEqual(problem);
  });

  it('that a plan really used is told from the problem as it was', () => {
    const problem = crew([[0, 1]]);
    const times = { a: [40, 60], b: [90, 110], c: [100, 120] } as const;
    const used = usedBeyond(problem, { a: [...times.a], b: [...times.b], c: [...times.c] }, 'crew');
    expect(used).toEqual([{ from: 100, to: 110 }]);
  });
});

describe('a step that a planner has fixed', () => {
  it('is free to be moved again, and no other with it; what is under way is not', () => {
    const problem = crew([[0, 1]]);
    expect(withoutPin(problem, 'b').pins.map(({ task }) => task)).toEqual(['a']);
    expect(withoutPin(problem, 'a')).toBe(problem);
    expect(withoutPin(problem, 'c')).toBe(problem);
  });
});
