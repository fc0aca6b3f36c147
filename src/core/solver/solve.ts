import { chooseAlternatives, hasAlternatives, mergeAlternatives } from './alternatives';
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

/** How a search is to be told when it is over that may take so much of the whole time, 0 to 1. */
export type SearchShare = (share: number) => SearchOptions;

/** Shares of the time: for a plan that stands, on its own resources; of the rest, for the merged problem. */
const SHARES = { held: 0.35, merged: 0.4 };

/**
 * Plans a problem in which some uses may be of another resource. It is planned with alternatives merged to one resource; at
 * the times of that plan each task is given a resource of its own, and planned again with it. A plan that stands is also
 * improved with the resources that it has, and kept where the other one is no cheaper.
 */
export function solveWithAlternatives(problem: PlanProblem, share: SearchShare): Solution {
  if (!hasAlternatives(problem)) return solve(problem, share(1));
  const stands = share(0).from !== undefined;
  const held = stands ? withChosen(problem, solve(problem, share(SHARES.held))) : null;
  const rest = stands ? 1 - SHARES.held : 1;
  const merged = solve(mergeAlternatives(problem), share(rest * SHARES.merged));
  if (merged?.plan.status === 'infeasible') return merged;
  const { times } = merged?.plan ?? {};
  const again = times ? chooseAlternatives(problem, times) : problem;
  const last = share(rest * (1 - SHARES.merged));
  return cheaper(held, withChosen(again, solve(again, times ? { ...last, from: times } : last)));
}

const cheaper = (a: Solution, b: Solution): Solution => {
  if (a?.plan.status !== 'feasible') return b ?? a;
  return b?.plan.status === 'feasible' && b.plan.cost < a.plan.cost ? b : a;
};

/** Says in a plan which resources its tasks hold, where they had a choice. It is proven for these resources alone. */
function withChosen({ tasks }: PlanProblem, solution: Solution): Solution {
  if (solution?.plan.status !== 'feasible') return solution;
  const chosen = tasks
    .filter(({ uses }) => uses.some(({ among }) => among))
    .map(({ id, uses }) => [id, uses.map(({ resource }) => resource)] as const);
  return { plan: { ...solution.plan, chosen: Object.fromEntries(chosen) }, proven: false };
}
