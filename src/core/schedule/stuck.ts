import type { PlanProblem, Task, Times } from '../solver/problem';

/** For so long a wait may be stretched where nothing else goes, minutes: longer than any machine is out at a time. */
const STRETCHED = 3 * 24 * 60;
/** What a minute beyond its longest costs: more than a promise that is late, so that nothing waits that need not. */
const BEYOND = 60;

const isWait = ({ min, max }: Task) => max > min;

/**
 * The problem with the waits of some doughs as long as they must be. When a machine is out for longer than a dough can wait, no plan
 * keeps every rule; one that says which doughs are stuck, and is right for all others, is still a plan.
 *
 * @param doughs - as the problem names them
 */
export function withStretchedWaits(problem: PlanProblem, doughs: ReadonlySet<string>): PlanProblem {
  return {
    ...problem,
    tasks: problem.tasks.map((task) =>
      doughs.has(task.dough) && isWait(task)
        ? { ...task, max: task.max + STRETCHED, longCost: Math.max(BEYOND, task.longCost ?? 0) }
        : task,
    ),
  };
}

/** Doughs of a conflict whose waits could be stretched. */
export function stuckIn(problem: PlanProblem, conflict: readonly string[]): Set<string> {
  const named = new Set(conflict);
  const inConflict = new Set(problem.tasks.filter(({ id }) => named.has(id)).map(({ dough }) => dough));
  return new Set(
    problem.tasks.filter((task) => isWait(task) && inConflict.has(task.dough)).map(({ dough }) => dough),
  );
}

/** A wait that a plan makes longer than it may be, minutes. */
export interface Overlong {
  task: string;
  minutes: number;
  longest: number;
}

/** Waits of the problem that these times make too long, the worst first. */
export function overlongWaits({ tasks }: PlanProblem, times: Times): Overlong[] {
  return tasks
    .flatMap((task): Overlong[] => {
      const [start = 0, end = 0] = times[task.id] ?? [];
      const minutes = end - start;
      return isWait(task) && minutes > task.max ? [{ task: task.id, minutes, longest: task.max }] : [];
    })
    .sort((a, b) => b.minutes - b.longest - (a.minutes - a.longest));
}
