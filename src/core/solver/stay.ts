import type { Output, PlanProblem, Times } from './problem';

const STAY = 'stay ';

/** Tells a wish to stay from a promise. */
export const isStay = (outputId: string): boolean => outputId.startsWith(STAY);

/**
 * The problem with a wish that steps stay where they are: a minute by which one of `steps` ends earlier or later than in
 * `present` costs `weight`. It is written in the file's own terms, as a promise that is late and stale at once, so a
 * plan of it is a plan of the problem; its cost alone is another one.
 *
 * This is what makes a mended plan like the one before: with a lateness of 20 a minute and a weight of 1, a promise is
 * saved a minute's lateness when that moves no more than 20 step-minutes.
 */
export function withStay(
  problem: PlanProblem,
  present: Times,
  steps: Iterable<string>,
  weight: number,
): PlanProblem {
  if (weight === 0) return problem;
  const ids = new Set(problem.tasks.map(({ id }) => id));
  const wishes = [...steps].flatMap((id): Output[] => {
    const due = present[id]?.[1];
    if (due === undefined || due < 0 || due > problem.horizon || !ids.has(id)) return [];
    return [{ id: `${STAY}${id}`, task: id, due, lateCost: weight, freshFor: 0, staleCost: weight }];
  });
  return { ...problem, outputs: [...problem.outputs, ...wishes] };
}
