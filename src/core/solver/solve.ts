import { planCost } from './cost';
import { findConflict } from './conflict';
import { search, type SearchOptions } from './engine';
import { compile } from './model';
import type { Plan, PlanProblem, Times } from './problem';

/** A plan, or null when time ran out with neither a plan found nor its absence shown. */
export type Solution = { plan: Plan; proven: boolean } | null;

/**
 * Plans a sound problem: works back from the outputs, keeps every hard rule, then improves until `shouldStop` says
 * so or nothing can be better. The same problem, seed and number of moves give the same plan.
 */
export function solve(problem: PlanProblem, options: SearchOptions): Solution {
  const head = { format: 'hefeteig-plan/1', problem: problem.name } as const;
  const found = search(compile(problem), options);
  if (!found) {
    const conflict = findConflict(problem);
    return conflict && { plan: { ...head, status: 'infeasible', conflict }, proven: true };
  }
  const times: Times = {};
  problem.tasks.forEach((task, i) => {
    times[task.id] = [found.start[i] as number, found.end[i] as number];
  });
  return {
    plan: { ...head, status: 'feasible', cost: planCost(problem, times), times },
    proven: found.proven,
  };
}
