import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import type { PlanProblem, Task, Times } from './problem';
import { samplePlan } from './sampling';
import { solve } from './solve';

const work = (id: string, minutes: number): Task => ({
  ...{ id, dough: id[0] ?? '', kind: 'work', min: minutes, target: minutes, max: minutes },
  uses: [{ resource: 'sheeter', amount: 1 }],
});

const problem = (tasks: Task[], due: number): PlanProblem => ({
  ...{ format: 'hefeteig-plan-problem/1', name: 'played', horizon: 2000, now: 0, tasks, pins: [] },
  resources: [{ id: 'sheeter', capacity: [[0, 1]] }],
  links: tasks.slice(1).map((task, i) => ({ from: tasks[i]?.id ?? '', to: task.id, min: 0 })),
  outputs: [{ id: 'ready', task: tasks.at(-1)?.id ?? '', due, lateCost: 20, freshFor: 60, staleCost: 1 }],
});
const OPTIONS = { runs: 400, seed: 3 };

describe('a plan that is played through', () => {
  it('keeps its times exactly when nothing varies', () => {
    fc.assert(
      fc.property(anyProblem, (generated) => {
        let asked = 0;
        const solution = solve(generated, { seed: 1, shouldStop: () => ++asked > 30 });
        fc.pre(solution?.plan.status === 'feasible');
        if (solution?.plan.status !== 'feasible') return;
        const { times } = solution.plan;
        const { outputs } = samplePlan(generated, times, { runs: 2, seed: 1, spread: { work: 0, wait: 0 } });
        for (const { task, p90 } of outputs) expect(p90).toBe(times[task]?.[1]);
      }),
      { numRuns: 40 },
    );
  });

  it('is the same for the same seed', () => {
    const played = problem([work('a', 60), work('b', 60)], 130);
    const times: Times = { a: [0, 60], b: [60, 120] };
    expect(samplePlan(played, times, OPTIONS)).toEqual(samplePlan(played, times, OPTIONS));
  });

  it('is the less sure, the closer the promise', () => {
    const times: Times = { a: [0, 60], b: [60, 120] };
    const sure = (due: number) =>
      samplePlan(problem([work('a', 60), work('b', 60)], due), times, OPTIONS).outputs[0]?.onTime ?? 0;
    expect(sure(300)).toBe(1);
    expect(sure(119)).toBeLessThan(0.6);
    expect(sure(125)).toBeGreaterThan(sure(121));
    expect(sure(40)).toBe(0);
  });

  it('lets a late dough delay the next at the machine they share', () => {
    const alone = { ...problem([work('b', 60)], 122), links: [] };
    const both = { ...problem([work('a', 60), work('b', 60)], 122), links: [] };
    const times: Times = { a: [0, 60], b: [60, 120] };
    const sure = (of: PlanProblem) => samplePlan(of, times, OPTIONS).outputs[0]?.onTime ?? 0;
    expect(sure(both)).toBeLessThan(sure(alone));
  });

  it('names the step whose length decides', () => {
    const wait: Task = { ...work('w', 300), kind: 'wait', max: 700, uses: [] };
    const played = problem([work('a', 10), wait, work('b', 10)], 321);
    const { watch } = samplePlan(played, { a: [0, 10], w: [10, 310], b: [310, 320] }, OPTIONS);
    expect(watch[0]?.task).toBe('w');
    expect(watch.every(({ weight }) => weight > 0 && weight <= 1)).toBe(true);
  });

  it('lets a wait with give take up what came late before it', () => {
    const wait: Task = { ...work('w', 100), kind: 'wait', target: 300, max: 700, uses: [] };
    const played = problem([work('a', 60), wait, work('b', 10)], 371);
    const { outputs } = samplePlan(
      played,
      { a: [0, 60], w: [60, 360], b: [360, 370] },
      { ...OPTIONS, spread: { work: 0.15, wait: 0 } },
    );
    expect(outputs[0]?.onTime).toBeGreaterThan(0.5);
    expect(outputs[0]?.p90).toBeLessThan(376);
  });
});
