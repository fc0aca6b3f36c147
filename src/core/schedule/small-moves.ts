import { clashes } from '../solver/clashes';
import type { PlanProblem, Task, Times } from '../solver/problem';

/**
 * Leaves doughs where they are that a plan moves by less than a shift need know of: all steps of such a dough keep their
 * present times, unless that breaks a rule that the plan keeps, or makes an output late that is not.
 *
 * @param before - present times of the problem's tasks
 * @param after - times of the plan
 * @param minutes - what moves by less than this is left
 * @returns the plan's times with those doughs put back
 */
export function leaveSmallMoves(problem: PlanProblem, before: Times, after: Times, minutes: number): Times {
  const broken = clashes(problem, after).length;
  const dueOf = new Map(problem.outputs.map(({ task, due }) => [task, due]));
  const byDough = new Map<string, Task[]>();
  for (const task of problem.tasks) byDough.set(task.dough, [...(byDough.get(task.dough) ?? []), task]);
  let kept = after;
  for (const tasks of byDough.values()) {
    const moved = tasks.filter(
      ({ id }) => before[id]?.[0] !== after[id]?.[0] || before[id]?.[1] !== after[id]?.[1],
    );
    const small = moved.every(({ id }) => {
      const [was, is] = [before[id], after[id]];
      return was && is && Math.abs(was[0] - is[0]) < minutes && Math.abs(was[1] - is[1]) < minutes;
    });
    if (moved.length === 0 || !small) continue;
    const mixed: Times = { ...kept };
    for (const { id } of moved) mixed[id] = before[id] as Times[string];
    const late = moved.some(({ id }) => {
      const due = dueOf.get(id);
      const [end, was] = [mixed[id]?.[1] ?? 0, kept[id]?.[1] ?? 0];
      return due !== undefined && end > due && end > was;
    });
    if (!late && clashes(problem, mixed).length <= broken) kept = mixed;
  }
  return kept;
}
