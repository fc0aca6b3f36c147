import { clashes } from './clashes';
import type { PlanProblem, Times } from './problem';

/** The problem with `amount` more of a resource from one minute to another. */
export function withMore(
  problem: PlanProblem,
  resource: string,
  spans: readonly { from: number; to: number }[],
  amount: number,
): PlanProblem {
  const resources = problem.resources.map((one) => {
    if (one.id !== resource) return one;
    const edges = new Set([
      ...one.capacity.map(([at]) => at),
      ...spans.flatMap(({ from, to }) => [from, to]),
    ]);
    const capacity = [...edges]
      .filter((at) => at < problem.horizon)
      .sort((a, b) => a - b)
      .map((at): [number, number] => {
        const own = one.capacity.findLast(([from]) => from <= at)?.[1] ?? 0;
        return [at, own + (spans.some(({ from, to }) => from <= at && at < to) ? amount : 0)];
      });
    return { ...one, capacity };
  });
  return { ...problem, resources };
}

/** When a plan holds more of a resource than the problem itself has: what a supposed extra was really used for. */
export function usedBeyond(
  problem: PlanProblem,
  times: Times,
  resource: string,
): { from: number; to: number }[] {
  return clashes(problem, times).flatMap((clash) =>
    clash.rule === 'too-much' && clash.resource === resource ? [{ from: clash.from, to: clash.to }] : [],
  );
}

/** The problem with a step free that a planner has fixed; what is under way stays where it is. */
export function withoutPin(problem: PlanProblem, task: string): PlanProblem {
  const pins = problem.pins.filter((pin) => pin.task !== task || pin.start < problem.now);
  return pins.length === problem.pins.length ? problem : { ...problem, pins };
}
