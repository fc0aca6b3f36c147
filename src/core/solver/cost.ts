import type { PlanProblem, Times } from './problem';

/** The cost of a task that is `length` minutes long: its distance from the target, weighed by side. */
export function lengthCost(
  task: { target: number; shortCost?: number; longCost?: number },
  length: number,
): number {
  const over = length - task.target;
  return over < 0 ? -over * (task.shortCost ?? 0) : over * (task.longCost ?? 0);
}

/** The cost of an output whose task ends at `ready`: minutes late, or minutes earlier than it keeps. */
export function readyCost(
  output: { due: number; lateCost: number; freshFor: number; staleCost: number },
  ready: number,
): number {
  const late = Math.max(0, ready - output.due) * output.lateCost;
  return late + Math.max(0, output.due - output.freshFor - ready) * output.staleCost;
}

/** The cost of a whole plan; lower is better, 0 when every task has its target length and every output is in time and not early. */
export function planCost(problem: PlanProblem, times: Times): number {
  const span = (id: string): [number, number] => {
    const found = times[id];
    if (!found) throw new Error(`The plan has no times for task ${id}.`);
    return found;
  };
  let cost = 0;
  for (const task of problem.tasks) {
    const [start, end] = span(task.id);
    cost += lengthCost(task, end - start);
  }
  for (const output of problem.outputs) cost += readyCost(output, span(output.task)[1]);
  for (const { task, end, cost: weight } of problem.endWishes ?? [])
    cost += Math.abs(span(task)[1] - end) * weight;
  return cost;
}
