import type { PlanProblem, EndWish, Times } from './problem';

/**
 * Adds the wish that tasks end when they do now: a minute by which one of `tasks` ends earlier or later than in `present`
 * costs `weight`. A plan of it is a plan of the problem; its cost alone is another one.
 *
 * This is what makes a plan like the one before: with a lateness of 20 a minute and a weight of 1, an output is saved a
 * minute's lateness when that moves no more than 20 task-minutes.
 */
export function withEndWishes(
  problem: PlanProblem,
  present: Times,
  tasks: Iterable<string>,
  weight: number,
): PlanProblem {
  if (weight === 0) return problem;
  const known = new Set(problem.tasks.map(({ id }) => id));
  const endWishes = [...tasks].flatMap((task): EndWish[] => {
    const end = present[task]?.[1];
    const kept = end !== undefined && end >= 0 && end <= problem.horizon && known.has(task);
    return kept ? [{ task, end, cost: weight }] : [];
  });
  return { ...problem, endWishes: [...(problem.endWishes ?? []), ...endWishes] };
}
