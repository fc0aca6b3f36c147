import type { Output, Pin, PlanProblem, Resource, Task } from '../solver/problem';
import { CREW, type ExpandedDough } from '../process/expand';
import { taskId } from '../process/step-ref';

/** A machine of the house, or several alike pooled: `capacity` in its own unit (bowls, tables, shelves, trays). */
export interface MachinePool {
  id: string;
  capacity: number;
  changeover: number;
  /** What is left of it over time, where some of it is out: `[from, amount]` in minutes of the horizon. */
  steps?: [from: number, amount: number][];
}

/** A dough to be planned: its steps, and its promises in minutes from the start of the horizon. */
export interface DoughToPlan {
  id: number;
  expanded: Pick<ExpandedDough, 'steps' | 'links' | 'ready'>;
  /** `lateness`: what a minute late costs, against what is usual. `keep`: a plan that is late is no plan. */
  promises: { outputId: number; due: number; freshFor: number; lateness?: number; keep?: boolean }[];
}

/** A step of another dough that keeps its place: `[start, end]` minutes, and what it holds meanwhile. */
export interface Standing {
  id: string;
  dough: string;
  start: number;
  end: number;
  uses: Task['uses'];
}

export interface PlanningFrame {
  name: string;
  horizon: number;
  now: number;
  crew: [from: number, amount: number][];
  machines: readonly MachinePool[];
}

/** Usual cost of a minute of lateness and of a minute of staleness of one output. */
const LATE_COST = 20;
const STALE_COST = 2;

/**
 * Writes the plan problem of `doughs` amid what stands already. Where what stands holds more than there is, because a machine
 * or a person is out, nothing is left for the doughs, but they can still be planned beside it.
 */
export function planProblem(
  frame: PlanningFrame,
  doughs: readonly DoughToPlan[],
  standing: readonly Standing[],
): PlanProblem {
  const { name, horizon, now } = frame;
  const resources: Resource[] = [
    { id: CREW, capacity: atLeastHeld(CREW, frame.crew, standing) },
    ...frame.machines.map(({ id, capacity, changeover, steps = [[0, capacity]] }): Resource => {
      return { id, capacity: atLeastHeld(id, steps, standing), ...(changeover > 0 ? { changeover } : {}) };
    }),
  ];
  const fixed = standing.map(({ id, dough, start, end, uses }): Task => {
    return { id, dough, kind: 'standing', min: end - start, target: end - start, max: end - start, uses };
  });
  const open = doughs.flatMap(({ id, expanded, promises }) => {
    const deadlines = new Map(
      expanded.ready.map(({ outputId, key }) => [
        key,
        promises.find((p) => p.keep && p.outputId === outputId)?.due,
      ]),
    );
    return expanded.steps.map((step): Task => {
      const deadline = deadlines.get(step.key);
      return { ...taskOf(id, step), ...(deadline === undefined ? {} : { deadline }) };
    });
  });
  const outputs: Output[] = doughs.flatMap(({ id, expanded, promises }) =>
    expanded.ready.flatMap(({ outputId, key }) => {
      const promise = promises.find((p) => p.outputId === outputId);
      if (!promise) return [];
      const { due, freshFor, lateness = 1 } = promise;
      return {
        id: taskId(id, key),
        task: taskId(id, key),
        due,
        lateCost: Math.max(1, Math.round(LATE_COST * lateness)),
        freshFor,
        staleCost: STALE_COST,
      };
    }),
  );
  const links = doughs.flatMap(({ id, expanded }) =>
    expanded.links.map((link) => ({ ...link, from: taskId(id, link.from), to: taskId(id, link.to) })),
  );
  const pins: Pin[] = standing.map(({ id, start, end }) => ({ task: id, start, end }));
  const format = 'hefeteig-plan-problem/1';
  return { format, name, horizon, now, resources, tasks: [...fixed, ...open], links, outputs, pins };
}

/** A capacity over time that is nowhere less than what standing steps hold. */
function atLeastHeld(
  id: string,
  capacity: readonly [from: number, amount: number][],
  standing: readonly Standing[],
): [from: number, amount: number][] {
  const held = standing.flatMap(({ start, end, uses }) => {
    const amount = uses.find(({ resource }) => resource === id)?.amount ?? 0;
    return amount > 0 ? [{ start, end, amount }] : [];
  });
  const edges = new Set([
    ...capacity.map(([from]) => from),
    ...held.flatMap(({ start, end }) => [start, end]),
  ]);
  const steps = [...edges]
    .sort((a, b) => a - b)
    .map((at): [number, number] => {
      const own = capacity.findLast(([from]) => from <= at)?.[1] ?? 0;
      const taken = held.reduce((sum, one) => sum + (one.start <= at && at < one.end ? one.amount : 0), 0);
      return [at, Math.max(own, taken)];
    });
  return steps.filter(([, amount], i) => amount !== steps[i - 1]?.[1]);
}

function taskOf(
  doughId: number,
  { key, step, min, target, max, shortCost, longCost, uses }: ExpandedDough['steps'][number],
): Task {
  return {
    ...{ id: taskId(doughId, key), dough: String(doughId), kind: step.kind, min, target, max, uses },
    ...(shortCost > 0 ? { shortCost } : {}),
    ...(longCost > 0 ? { longCost } : {}),
  };
}
