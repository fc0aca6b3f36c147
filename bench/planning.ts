import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { samplePlan } from '@/core/solver/sampling';
import type { PlanProblem } from '@/core/solver/problem';
import { solve } from '@/core/solver/solve';
import { WhatIf } from '@/core/solver/what-if';
import type { Measured } from './lamination';

const FILE = join(process.cwd(), 'test-data', 'plan', 'problems', 'week-40-doughs.json');
const RUNS = 1000;

/** What a planner waits for while dragging, and for the plays of a plan, with forty doughs. */
export function planningWork(): Measured[] {
  const problem = JSON.parse(readFileSync(FILE, 'utf8')) as PlanProblem;
  const deadline = Date.now() + 8000;
  const solution = solve(problem, { seed: 1, shouldStop: () => Date.now() > deadline });
  if (solution?.plan.status !== 'feasible') throw new Error('No plan of forty doughs was found to drag in.');
  const { times } = solution.plan;
  const hands = problem.tasks.filter(({ uses }) => uses.some(({ resource }) => resource === 'crew'));
  const whatIf = new WhatIf(
    problem,
    times,
    hands.map(({ id }) => id),
    3,
  );
  let nth = 0;
  return [
    {
      what: 'what-if while dragging one step, 40 doughs (in a worker)',
      wanted: '50 ms',
      work: () => {
        const { id } = hands[(nth++ * 37) % hands.length] ?? { id: '' };
        return whatIf.move(id, (times[id]?.[0] ?? 0) + ((nth % 7) - 3) * 10);
      },
    },
    {
      what: `${RUNS} plays of a plan, 40 doughs (in a worker)`,
      wanted: '2000 ms',
      work: () => samplePlan(problem, times, { runs: RUNS, seed: 1 }),
    },
  ];
}
