import { compile } from './model';
import type { PlanProblem } from './problem';
import { narrow, ownWindows } from './windows';

/** Earliest and latest start of a task, in minutes of the problem. */
export interface StartWindow {
  from: number;
  to: number;
}

/**
 * Between what times each task may start so that every promise is kept on time, by lengths, links and pins alone
 * (hands and machines are not looked at). Null where some promise is already out of reach.
 */
export function startWindows(problem: PlanProblem): Map<string, StartWindow> | null {
  const due = new Map<string, number>();
  for (const { task, due: at } of problem.outputs) due.set(task, Math.min(at, due.get(task) ?? at));
  const tasks = problem.tasks.map((task) => {
    const promised = due.get(task.id);
    return promised === undefined
      ? task
      : { ...task, deadline: Math.min(promised, task.deadline ?? promised) };
  });
  const model = compile({ ...problem, tasks });
  const windows = ownWindows(model);
  if (!model.components.every((members) => narrow(model, windows, members))) return null;
  return new Map(
    model.tasks.map(({ id, index }) => [
      id,
      { from: windows.startFrom[index] as number, to: windows.startTo[index] as number },
    ]),
  );
}
