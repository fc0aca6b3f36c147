import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { planErrors } from '../../../test-data/plan/check.mjs';
import { findConflict } from './conflict';
import { parseProblem } from './parse';
import type { PlanProblem } from './problem';
import { solve } from './solve';

const FOLDER = process.env.HEFETEIG_PROBLEMS ?? join(process.cwd(), 'test-data', 'plan', 'problems');
const NO_PLAN = ['infeasible-late-pin', 'infeasible-deadline'];

function load(file: string): PlanProblem {
  const { problem, faults } = parseProblem(JSON.parse(readFileSync(join(FOLDER, file), 'utf8')));
  if (!problem) throw new Error(faults.join('\n'));
  return problem;
}

const problems = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.json'))
  .map(load);

/** What the engine's plans cost when it was last judged, with this seed and so many moves; of the repository's own problems. */
const RECORDED = JSON.parse(readFileSync(join('test-data', 'plan', 'costs.json'), 'utf8')) as {
  seed: number;
  moves: number;
  costs: Record<string, number>;
};
/** By how much a plan may cost more than that: a change of the engine may lose a little here and win elsewhere. */
const SLACK = 1.02;

/** Stops after a number of looks at the clock, so that a slow machine finds the same plan. */
const moves = (most: number) => {
  let asked = 0;
  return () => ++asked > most;
};

describe('the engine', () => {
  const solvable = problems.filter(({ name, tasks }) => !NO_PLAN.includes(name) && tasks.length <= 400);

  it.each(solvable.map((problem) => [problem.name, problem] as const))(
    'finds a plan for %s that keeps every hard rule, and costs no more than its last',
    (name, problem) => {
      const solution = solve(problem, { seed: RECORDED.seed, shouldStop: moves(RECORDED.moves) });
      if (solution?.plan.status !== 'feasible') throw new Error('There is a plan.');
      expect(planErrors(problem, solution.plan)).toEqual([]);
      const recorded = RECORDED.costs[name];
      if (recorded !== undefined) expect(solution.plan.cost).toBeLessThanOrEqual(recorded * SLACK);
    },
    120_000,
  );

  it('is judged by every problem of the repository that a test has time for', () => {
    const own = process.env.HEFETEIG_PROBLEMS === undefined;
    const judged = solvable.filter(({ name }) => name in RECORDED.costs);
    expect(judged).toHaveLength(own ? Object.keys(RECORDED.costs).length : judged.length);
    if (own) expect(judged).toHaveLength(solvable.length);
  });

  it.each(NO_PLAN.map((name) => [name]))(
    'says that %s has no plan, and names tasks that have none by themselves either',
    (name) => {
      const problem = problems.find((p) => p.name === name) as PlanProblem;
      const solution = solve(problem, { seed: 1, shouldStop: moves(10) });
      expect(solution?.plan.status).toBe('infeasible');
      if (solution?.plan.status !== 'infeasible') return;
      expect(planErrors(problem, solution.plan)).toEqual([]);
      const { conflict } = solution.plan;
      for (const left of conflict) {
        const rest = new Set(conflict.filter((id) => id !== left));
        const links = problem.links.filter((link) => rest.has(link.from) && rest.has(link.to));
        const cut = {
          ...problem,
          links,
          tasks: problem.tasks.filter(({ id }) => rest.has(id)),
          outputs: [],
          pins: problem.pins.filter((pin) => rest.has(pin.task)),
        };
        expect(findConflict(cut), `without ${left}`).toBeNull();
      }
    },
    120_000,
  );

  it('never breaks a hard rule, whatever the bakery', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const solution = solve(problem, { seed: 1, shouldStop: moves(60) });
        if (solution) expect(planErrors(problem, solution.plan)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('finds the same plan for the same seed and number of moves', () => {
    const problem = problems.find(({ name }) => name === 'three-doughs-two-days') as PlanProblem;
    const once = solve(problem, { seed: 7, shouldStop: moves(80) });
    const again = solve(problem, { seed: 7, shouldStop: moves(80) });
    expect(again).toEqual(once);
  });

  it('knows when nothing can be better', () => {
    const problem = problems.find(({ name }) => name === 'one-dough') as PlanProblem;
    expect(solve(problem, { seed: 1, shouldStop: () => false })).toMatchObject({
      proven: true,
      plan: { cost: 0 },
    });
  });

  it('keeps what is pinned, even where that is dear', () => {
    const problem: PlanProblem = {
      ...{
        format: 'hefeteig-plan-problem/1',
        name: 'pinned',
        horizon: 600,
        now: 100,
        resources: [{ id: 'crew', capacity: [[0, 1]] }],
      },
      tasks: ['a', 'b'].map((id) => ({
        id,
        dough: 'd',
        kind: 'work',
        min: 20,
        target: 20,
        max: 20,
        uses: [{ resource: 'crew', amount: 1 }],
      })),
      ...{ links: [], pins: [{ task: 'a', start: 150 }] },
      outputs: [{ id: 'b', task: 'b', due: 170, lateCost: 1, freshFor: 0, staleCost: 0 }],
    };
    const solution = solve(problem, { seed: 1, shouldStop: moves(20) });
    expect(solution?.plan).toMatchObject({ status: 'feasible', times: { a: [150, 170] } });
  });
});
