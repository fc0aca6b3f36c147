import { compile } from './model';
import type { PlanProblem } from './problem';
import { networkOf, startEvent } from './network';

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
  const network = networkOf(model);
  if (!network) return null;
  const { blockOf, offsetOf, windows } = network;
  return new Map(
    model.tasks.map(({ id, index }) => {
      const event = startEvent(index);
      const [block, offset] = [blockOf[event] as number, offsetOf[event] as number];
      return [
        id,
        { from: (windows.from[block] as number) + offset, to: (windows.to[block] as number) + offset },
      ];
    }),
  );
}
