import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { planCost as checkersCost } from '../../../test-data/plan/check.mjs';
import { findConflict } from './conflict';
import { planCost } from './cost';
import { compile } from './model';
import { seeded, shuffled } from './random';

const straight = (...ids: string[]) =>
  ids.slice(1).map((to, i) => ({ from: ids[i] ?? '', to, min: 0, max: 0 }));

describe('a compiled problem', () => {
  it('bounds each task by now, release, deadline and pin', () => {
    const { task } = modelOf(
      problemOf({
        now: 10,
        tasks: [
          taskOf('free', [5, 5, 5]),
          taskOf('bound', [5, 5, 5], [], { release: 30, deadline: 60 }),
          taskOf('running', [5, 5, 50]),
          taskOf('done', [5, 5, 5]),
        ],
        pins: [
          { task: 'running', start: 4 },
          { task: 'done', start: 2, end: 7 },
        ],
      }),
    );
    expect(task('free')).toMatchObject({ startFrom: 10, endTo: 200 });
    expect(task('bound')).toMatchObject({ startFrom: 30, endTo: 60 });
    expect(task('running')).toMatchObject({ startFrom: 4, startTo: 4, endFrom: 10 });
    expect(task('done')).toMatchObject({ startFrom: 2, endFrom: 7, endTo: 7 });
  });

  it('spreads capacity over the minutes of its steps', () => {
    const { model } = modelOf(
      problemOf({
        horizon: 6,
        resources: [
          {
            id: 'crew',
            capacity: [
              [0, 1],
              [2, 3],
              [5, 0],
            ],
          },
        ],
      }),
    );
    expect([...(model.resources[0]?.capacity ?? [])]).toEqual([1, 1, 3, 3, 3, 0]);
  });

  it('keeps only the chosen tasks, and the links among them, when cut down', () => {
    const problem = problemOf({
      tasks: ['a', 'b', 'c'].map((id) => taskOf(id, [1, 1, 1])),
      links: straight('a', 'b', 'c'),
    });
    const { tasks } = compile(problem, new Set(['b', 'c']));
    expect(tasks.map(({ id }) => id)).toEqual(['b', 'c']);
    expect(tasks[0]?.before).toEqual([]);
    expect(tasks[0]?.after).toHaveLength(1);
  });
});

describe('a conflict', () => {
  const crew = [{ resource: 'crew', amount: 1 }];
  const resources = [{ id: 'crew', capacity: [[0, 1]] as [number, number][] }];

  it('names pinned tasks that hold more than there is', () => {
    const tasks = ['a', 'b', 'c'].map((id) => taskOf(id, [10, 10, 10], crew));
    const pins = [
      { task: 'a', start: 0, end: 10 },
      { task: 'c', start: 5, end: 15 },
    ];
    expect(findConflict(problemOf({ resources, tasks, pins }))).toEqual(['a', 'c']);
  });

  it('names a task that is too long for the only hour in which somebody is there', () => {
    const asleep = [
      {
        id: 'crew',
        capacity: [
          [0, 0],
          [50, 1],
          [60, 0],
        ] as [number, number][],
      },
    ];
    expect(
      findConflict(
        problemOf({
          resources: asleep,
          tasks: [taskOf('a', [11, 11, 11], crew), taskOf('b', [10, 10, 10], crew)],
        }),
      ),
    ).toEqual(['a']);
  });

  it('is not claimed where there is a plan', () => {
    expect(findConflict(problemOf({ resources, tasks: [taskOf('a', [10, 10, 10], crew)] }))).toBeNull();
  });
});

describe('the cost of a plan', () => {
  it('is what the checker says', () => {
    fc.assert(
      fc.property(
        anyProblem,
        fc.array(fc.nat({ max: 300 }), { minLength: 60, maxLength: 60 }),
        (problem, draws) => {
          const times = Object.fromEntries(
            problem.tasks.map(({ id }, i) => [
              id,
              [draws[i % 60] ?? 0, (draws[i % 60] ?? 0) + (draws[(i * 7) % 60] ?? 0)] as [number, number],
            ]),
          );
          expect(planCost(problem, times)).toBe(checkersCost(problem, times));
        },
      ),
    );
  });

  it('cannot be said of a plan that leaves a task out', () => {
    expect(() => planCost(problemOf({ tasks: [taskOf('a', [1, 1, 1])] }), {})).toThrow(/no times for task a/);
  });
});

describe('drawing by a seed', () => {
  it('gives the same row for the same seed, each draw within its bounds', () => {
    const row = (seed: number) =>
      Array.from({ length: 50 }, () => 0).map(
        (
          (random) => () =>
            random.below(10)
        )(seeded(seed)),
      );
    expect(row(3)).toEqual(row(3));
    expect(row(3)).not.toEqual(row(4));
    expect(row(5).every((n) => n >= 0 && n < 10)).toBe(true);
  });

  it('shuffles without losing anything', () => {
    const items = Array.from({ length: 30 }, (_, i) => i);
    expect(shuffled(items, seeded(1)).sort((a, b) => a - b)).toEqual(items);
  });
});
