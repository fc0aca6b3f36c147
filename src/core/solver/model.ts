import type { Output, PlanProblem } from './problem';

/** A use with its resource as an index into {@link Model.resources}. */
export interface ModelUse {
  resource: number;
  amount: number;
  setting: number | null;
}

export interface ModelTask {
  index: number;
  id: string;
  min: number;
  target: number;
  max: number;
  shortCost: number;
  longCost: number;
  uses: ModelUse[];
  outputs: Output[];
  /** Ends at which it would stay. */
  endWishes: { end: number; cost: number }[];
  /** Links into and out of this task. */
  before: ModelLink[];
  after: ModelLink[];
  /** Bounds from horizon, now, release, deadline and pin alone. */
  startFrom: number;
  startTo: number;
  endFrom: number;
  endTo: number;
}

export interface ModelLink {
  from: number;
  to: number;
  min: number;
  /** Infinity where the link has no upper bound. */
  max: number;
}

export interface ModelResource {
  id: string;
  /** Capacity of each minute of the horizon. */
  capacity: Int32Array;
  changeover: number;
}

/** A problem with indices for names and bounds for rules: what the engine works on. */
export interface Model {
  horizon: number;
  resources: ModelResource[];
  tasks: ModelTask[];
}

function minuteCapacity(steps: readonly [number, number][], horizon: number): Int32Array {
  const capacity = new Int32Array(horizon);
  steps.forEach(([from, amount], i) => {
    const to = Math.min(horizon, steps[i + 1]?.[0] ?? horizon);
    if (from < to) capacity.fill(amount, from, to);
  });
  return capacity;
}

/** Compiles a sound problem. With `only`, cut down to these tasks and the links among them. */
export function compile(problem: PlanProblem, only?: ReadonlySet<string>): Model {
  const chosen = only ? problem.tasks.filter((task) => only.has(task.id)) : problem.tasks;
  const resourceIndex = new Map(problem.resources.map((resource, i) => [resource.id, i]));
  const taskIndex = new Map(chosen.map((task, i) => [task.id, i]));
  const pins = new Map(problem.pins.map((pin) => [pin.task, pin]));
  const { horizon, now } = problem;

  const tasks = chosen.map((task, index): ModelTask => {
    const pin = pins.get(task.id);
    const release = task.release ?? 0;
    const deadline = Math.min(task.deadline ?? horizon, horizon);
    const { id, min, target, max, shortCost = 0, longCost = 0 } = task;
    return {
      ...{ index, id, min, target, max, shortCost, longCost },
      uses: task.uses.map((use) => ({
        resource: resourceIndex.get(use.resource) ?? -1,
        amount: use.amount,
        setting: use.setting ?? null,
      })),
      outputs: [],
      endWishes: [],
      before: [],
      after: [],
      startFrom: Math.max(release, pin ? pin.start : now),
      startTo: pin ? pin.start : horizon,
      endFrom: pin ? (pin.end ?? now) : 0,
      endTo: Math.min(deadline, pin?.end ?? horizon),
    };
  });
  const taskOf = (id: string) => tasks[taskIndex.get(id) ?? -1];
  for (const output of problem.outputs) taskOf(output.task)?.outputs.push(output);
  for (const { task, end, cost } of problem.endWishes ?? []) taskOf(task)?.endWishes.push({ end, cost });
  for (const { from, to, min, max = Infinity } of problem.links) {
    const a = taskOf(from);
    const b = taskOf(to);
    if (!a || !b) continue;
    const link = { from: a.index, to: b.index, min, max };
    a.after.push(link);
    b.before.push(link);
  }
  const resources = problem.resources.map(({ id, capacity, changeover = 0 }) => {
    return { id, capacity: minuteCapacity(capacity, horizon), changeover };
  });
  return { horizon, resources, tasks };
}
