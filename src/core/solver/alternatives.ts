import type { FeasiblePlan, PlanProblem, Resource, Task, Times, Use } from './problem';

/** A resource held for some time. */
interface Hold {
  start: number;
  end: number;
  amount: number;
  setting: number | undefined;
}

/** Tells whether a plan of this problem has to choose between resources. */
export const hasAlternatives = ({ tasks }: PlanProblem): boolean =>
  tasks.some(({ uses }) => uses.some(isChoice));

const isChoice = ({ among }: Use): boolean => among !== undefined && among.length > 1;

/**
 * Merges resources that stand in for one another to one of their joint capacity. A setting of a merged resource is not
 * kept, because each member has its own. Every plan of the problem is a plan of the merged one, which is smaller to search.
 */
export function mergeAlternatives(problem: PlanProblem): PlanProblem {
  const poolOf = pools(problem);
  const members = new Map<string, Resource[]>();
  for (const resource of problem.resources) {
    const pool = poolOf.get(resource.id) ?? resource.id;
    members.set(pool, [...(members.get(pool) ?? []), resource]);
  }
  const resources = [...members].map(([id, own]): Resource => {
    const [only] = own;
    return only && own.length === 1 ? only : { id, capacity: jointCapacity(own) };
  });
  const tasks = problem.tasks.map((task): Task => {
    const uses = task.uses.map((use): Use => {
      const pool = poolOf.get(use.resource);
      return pool === undefined ? use : { resource: pool, amount: use.amount };
    });
    return { ...task, uses };
  });
  return { ...problem, resources, tasks };
}

/** Names a pool for each resource that stands in for another: that of its first member. */
function pools({ tasks, resources }: PlanProblem): Map<string, string> {
  const linked = new Map<string, Set<string>>();
  for (const { uses } of tasks)
    for (const { resource, among = [] } of uses.filter(isChoice))
      for (const id of [resource, ...among]) {
        const all = new Set([...(linked.get(resource) ?? []), ...(linked.get(id) ?? []), resource, id]);
        for (const one of all) linked.set(one, all);
      }
  return new Map(
    [...linked].map(([id, all]) => [id, resources.find((resource) => all.has(resource.id))?.id ?? id]),
  );
}

function jointCapacity(members: readonly Resource[]): [number, number][] {
  const edges = [...new Set(members.flatMap(({ capacity }) => capacity.map(([from]) => from)))];
  return edges
    .sort((a, b) => a - b)
    .map((at) => [at, members.reduce((sum, { capacity }) => sum + capacityAt(capacity, at), 0)]);
}

const capacityAt = (capacity: Resource['capacity'], at: number): number =>
  capacity.findLast(([from]) => from <= at)?.[1] ?? 0;

/**
 * Chooses a resource for each use that has a choice, so that tasks that run at these times get in each other's way as little
 * as they can. In order of their starts: the resource that a task has already where that is free, then the smallest that is
 * free, then the one that is free soonest. Pinned tasks keep what they have.
 *
 * @param times - when the tasks run, in a plan of the merged problem for instance
 * @returns the problem with the chosen resources as those of its tasks
 */
export function chooseAlternatives(problem: PlanProblem, times: Times): PlanProblem {
  const ledgers = new Map(problem.resources.map((resource) => [resource.id, new Ledger(resource)]));
  const pinned = new Set(problem.pins.map(({ task }) => task));
  const isOpen = ({ id, uses }: Task) => !pinned.has(id) && uses.some(isChoice);
  for (const task of problem.tasks.filter((one) => !isOpen(one)))
    for (const use of task.uses) ledgers.get(use.resource)?.book(holdOf(use, times[task.id]));
  const chosen = new Map<string, Use[]>();
  const open = problem.tasks.filter(isOpen);
  for (const { id, uses } of open.sort((a, b) => (times[a.id]?.[0] ?? 0) - (times[b.id]?.[0] ?? 0)))
    chosen.set(
      id,
      uses.map((use) => choose(use, times[id], ledgers)),
    );
  return {
    ...problem,
    tasks: problem.tasks.map((task) => ({ ...task, uses: chosen.get(task.id) ?? task.uses })),
  };
}

const holdOf = ({ amount, setting }: Use, [start, end] = [0, 0]): Hold => ({ start, end, amount, setting });

function choose(use: Use, time: [number, number] | undefined, ledgers: ReadonlyMap<string, Ledger>): Use {
  const hold = holdOf(use, time);
  const options = [use.resource, ...(use.among ?? []).filter((id) => id !== use.resource)].flatMap((id) => {
    const ledger = ledgers.get(id);
    return ledger ? { id, ledger, from: ledger.freeFrom(hold), own: id === use.resource } : [];
  });
  const free = options.filter(({ from }) => from === hold.start);
  const best =
    free.find(({ own }) => own) ??
    free.sort((a, b) => a.ledger.size - b.ledger.size)[0] ??
    options.sort((a, b) => a.from - b.from)[0];
  if (!best) return use;
  best.ledger.book({ ...hold, start: best.from, end: best.from + hold.end - hold.start });
  return { ...use, resource: best.id };
}

/** The problem with its tasks on the resources that a plan chose for them. */
export function onResources(problem: PlanProblem, chosen: NonNullable<FeasiblePlan['chosen']>): PlanProblem {
  const tasks = problem.tasks.map((task): Task => {
    const own = chosen[task.id];
    if (!own) return task;
    return { ...task, uses: task.uses.map((use, i) => ({ ...use, resource: own[i] ?? use.resource })) };
  });
  return { ...problem, tasks };
}

/** What is held of one resource. */
class Ledger {
  readonly size: number;
  private readonly held: Hold[] = [];

  constructor(private readonly resource: Resource) {
    this.size = Math.max(...resource.capacity.map(([, amount]) => amount));
  }

  book(hold: Hold): void {
    if (hold.end > hold.start) this.held.push(hold);
  }

  /** When a task of this length may hold it, at its start or later; `Infinity` where it is never large enough. */
  freeFrom(hold: Hold): number {
    const { changeover = 0, capacity } = this.resource;
    const later = [
      ...this.held.flatMap(({ end }) => [end, end + changeover]),
      ...capacity.map(([from]) => from),
    ].filter((at) => at > hold.start);
    const length = hold.end - hold.start;
    const starts = [hold.start, ...later.sort((a, b) => a - b)];
    return starts.find((start) => this.isFree({ ...hold, start, end: start + length })) ?? Infinity;
  }

  private isFree({ start, end, amount, setting }: Hold): boolean {
    const { changeover = 0, capacity } = this.resource;
    const during = this.held.filter((one) => one.start < end && one.end > start);
    const clashing = this.held.some(
      (one) =>
        setting !== undefined &&
        one.setting !== undefined &&
        one.setting !== setting &&
        one.start < end + changeover &&
        one.end + changeover > start,
    );
    if (clashing) return false;
    const edges = [start, ...during.map((one) => one.start), ...capacity.map(([from]) => from)];
    return edges
      .filter((at) => at >= start && (at < end || at === start))
      .every((at) => {
        const taken = during.reduce(
          (sum, one) => sum + (one.start <= at && at < one.end ? one.amount : 0),
          0,
        );
        return taken + amount <= capacityAt(capacity, at);
      });
  }
}
