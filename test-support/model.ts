import { compile, type Model, type ModelTask } from '@/core/solver/model';
import type { PlanProblem, Task } from '@/core/solver/problem';

/** A problem with the usual heads filled in. */
export function problemOf(part: Partial<PlanProblem>): PlanProblem {
  return {
    ...{ format: 'hefeteig-plan-problem/1', name: 'test', horizon: 200, now: 0 },
    ...{ resources: [], tasks: [], links: [], outputs: [], pins: [] },
    ...part,
  };
}

/** A task of a fixed length, or of a window around its target. */
export function taskOf(
  id: string,
  [min, target, max]: [number, number, number],
  uses: Task['uses'] = [],
  costs: Partial<Task> = {},
): Task {
  return { id, dough: 'd', kind: 'work', min, target, max, uses, ...costs };
}

/** The compiled problem and a look-up of its tasks by id. */
export function modelOf(problem: PlanProblem): { model: Model; task: (id: string) => ModelTask } {
  const model = compile(problem);
  const task = (id: string) => {
    const found = model.tasks.find((t) => t.id === id);
    if (!found) throw new Error(`No task ${id}.`);
    return found;
  };
  return { model, task };
}
