import { lengthCost, readyCost } from './cost';
import type { Model, ModelLink, ModelTask } from './model';
import type { Overload } from './profile';
import { Arrays, lowerBySlidingMinimum, lowest, type TimeFunction } from './timefunction';
import { narrow, type Windows } from './windows';

/** Starts and ends by task index; -1 where a task has no place yet. */
export interface Schedule {
  start: Int32Array;
  end: Int32Array;
}

/** Writes the running sums of a task's overload; see `Profile.fillOverload`. */
export interface OverloadSource {
  fillOverload(task: ModelTask, from: number, to: number, out: Overload): void;
}

/** Where tasks were, and how many minutes from there a new place may be. */
export interface Nearby {
  places: ReadonlyMap<number, { start: number; end: number }>;
  reach: number;
}

/** A task on the way through a tree of links: how it hangs on its parent, and the costs told up to it. */
interface Branch {
  task: ModelTask;
  /** The link to the parent, null at the root. */
  link: ModelLink | null;
  children: Branch[];
  /** Cost of all that hangs on the start (or the end) when it is at that minute. */
  atStart: TimeFunction;
  atEnd: TimeFunction;
  /** Overload sums of this task. */
  overload: Overload;
  /** Least cost of the task and all below it, by the minute of the port that the parent's link holds. */
  told: TimeFunction | null;
}

/**
 * Finds the cheapest places for tasks that are free while all others stay where they are.
 *
 * Links make a tree of a dough's steps, and a tree can be solved exactly: each branch tells its parent what it costs
 * to be held at each minute, and the root picks. Overload of resources by tasks placed already is a price
 * per unit-minute. Free tasks do not see each other's use of resources; whoever commits them one by one does.
 */
export class Placer {
  private readonly arrays: Arrays;
  private readonly queue: Int32Array;
  private readonly windows: Windows;

  /** `base`: windows already narrowed for the whole model. */
  constructor(
    private readonly model: Model,
    private readonly base: Windows,
  ) {
    this.arrays = new Arrays(model.horizon + 1);
    this.queue = new Int32Array(model.horizon + 2);
    this.windows = copyWindows(base);
  }

  /**
   * Proposes times for the `free` tasks, written into `schedule`; tasks with a place (not -1) and not free are fixed.
   * With `near`, only times within its reach of where a task was are looked at. Links that would close a circle among
   * free tasks are not looked at. Returns the cost with priced overload, or Infinity where links and lengths alone
   * leave no place.
   */
  place(
    free: readonly number[],
    schedule: Schedule,
    source: OverloadSource,
    price: number,
    near?: Nearby,
  ): number {
    if (!this.openWindows(free, schedule, near)) return Infinity;
    const trees = spanningTrees(this.model, free);
    let total = 0;
    for (const members of trees.sets) {
      const root = this.grow(members[0] as number, null, trees.links, source);
      total += this.solve(root, schedule, price);
      this.release(root);
      if (total === Infinity) return Infinity;
    }
    return total;
  }

  /** Sets the windows: those of fixed tasks to where they are, those of free ones as narrow as they get. */
  private openWindows(free: readonly number[], schedule: Schedule, near: Nearby | undefined): boolean {
    const { windows, base } = this;
    for (const task of this.model.tasks) {
      const i = task.index;
      const start = schedule.start[i] as number;
      const placed = start >= 0;
      windows.startFrom[i] = placed ? start : (base.startFrom[i] as number);
      windows.startTo[i] = placed ? start : (base.startTo[i] as number);
      windows.endFrom[i] = placed ? (schedule.end[i] as number) : (base.endFrom[i] as number);
      windows.endTo[i] = placed ? (schedule.end[i] as number) : (base.endTo[i] as number);
    }
    for (const i of free) {
      const was = near?.places.get(i);
      const reach = near?.reach ?? 0;
      windows.startFrom[i] = Math.max(base.startFrom[i] as number, was ? was.start - reach : 0);
      windows.startTo[i] = Math.min(base.startTo[i] as number, was ? was.start + reach : Infinity);
      windows.endFrom[i] = Math.max(base.endFrom[i] as number, was ? was.end - reach : 0);
      windows.endTo[i] = Math.min(base.endTo[i] as number, was ? was.end + reach : Infinity);
    }
    return narrow(this.model, windows, free);
  }

  private grow(
    i: number,
    link: ModelLink | null,
    tree: ReadonlySet<ModelLink>,
    source: OverloadSource,
  ): Branch {
    const task = this.task(i);
    const { startFrom, startTo, endFrom, endTo } = this.windows;
    const branch: Branch = {
      ...{ task, link, children: [], told: null },
      atStart: { from: startFrom[i] as number, to: startTo[i] as number, at: this.arrays.take() },
      atEnd: { from: endFrom[i] as number, to: endTo[i] as number, at: this.arrays.take() },
      overload: { toStart: this.arrays.take(), toEnd: this.arrays.take() },
    };
    source.fillOverload(task, branch.atStart.from, branch.atEnd.to, branch.overload);
    for (const after of task.after) {
      if (after !== link && tree.has(after)) branch.children.push(this.grow(after.to, after, tree, source));
    }
    for (const before of task.before) {
      if (before !== link && tree.has(before))
        branch.children.push(this.grow(before.from, before, tree, source));
    }
    return branch;
  }

  private release(branch: Branch): void {
    this.arrays.give(branch.atStart.at, branch.atEnd.at, branch.overload.toStart, branch.overload.toEnd);
    if (branch.told) this.arrays.give(branch.told.at);
    for (const child of branch.children) this.release(child);
  }

  private solve(root: Branch, schedule: Schedule, price: number): number {
    this.listen(root, price);
    const told = this.tellAtStart(root, price);
    root.told = told;
    const best = lowest(told.from, told.to, (t) => told.at[t] as number);
    if (best.cost < Infinity) this.settle(root, best.at, null, schedule, price);
    return best.cost;
  }

  /** Gathers the costs of the children at both ports of the branch, and its own promises at its end. */
  private listen(branch: Branch, price: number): void {
    const { atStart, atEnd, task } = branch;
    atStart.at.fill(0, atStart.from, atStart.to + 1);
    atEnd.at.fill(0, atEnd.from, atEnd.to + 1);
    for (const output of task.outputs) {
      for (let t = atEnd.from; t <= atEnd.to; t++)
        atEnd.at[t] = (atEnd.at[t] as number) + readyCost(output, t);
    }
    for (const child of branch.children) {
      this.listen(child, price);
      const link = child.link as ModelLink;
      const follows = link.from === task.index;
      child.told = follows ? this.tellAtStart(child, price) : this.tellAtEnd(child, price);
      this.hear(follows ? atEnd : atStart, child.told, lagOf(link, follows, this.model.horizon));
    }
  }

  /** Adds to `port` the least of `told` within the lag. */
  private hear(port: TimeFunction, told: TimeFunction, lag: { low: number; high: number }): void {
    const heard: TimeFunction = { from: port.from, to: port.to, at: this.arrays.take() };
    heard.at.fill(Infinity, heard.from, heard.to + 1);
    lowerBySlidingMinimum(heard, told, lag, this.queue);
    for (let t = port.from; t <= port.to; t++) port.at[t] = (port.at[t] as number) + (heard.at[t] as number);
    this.arrays.give(heard.at);
  }

  /** Cost of the branch by its start: the best end for each start. */
  private tellAtStart({ task, atStart, atEnd, overload }: Branch, price: number): TimeFunction {
    const told: TimeFunction = { from: atStart.from, to: atStart.to, at: this.arrays.take() };
    told.at.fill(Infinity, told.from, told.to + 1);
    const source: TimeFunction = { from: atEnd.from, to: atEnd.to, at: this.arrays.take() };
    for (let t = source.from; t <= source.to; t++) {
      source.at[t] = (atEnd.at[t] as number) + price * (overload.toEnd[t] as number);
    }
    const { min, target, max, shortCost, longCost } = task;
    const { queue } = this;
    const short = { low: min, high: target, slope: -shortCost, offset: shortCost * target, gain: shortCost };
    lowerBySlidingMinimum(told, source, short, queue);
    if (max > target) {
      const long = { low: target, high: max, slope: longCost, offset: -longCost * target, gain: -longCost };
      lowerBySlidingMinimum(told, source, long, queue);
    }
    this.arrays.give(source.at);
    for (let t = told.from; t <= told.to; t++) {
      let cost = (told.at[t] as number) - price * (overload.toStart[t] as number);
      if (min === 0 && t >= atEnd.from && t <= atEnd.to) {
        cost = Math.min(cost, (atEnd.at[t] as number) + lengthCost(task, 0));
      }
      told.at[t] = cost + (atStart.at[t] as number);
    }
    return told;
  }

  /** Cost of the branch by its end: the best start for each end. */
  private tellAtEnd({ task, atStart, atEnd, overload }: Branch, price: number): TimeFunction {
    const told: TimeFunction = { from: atEnd.from, to: atEnd.to, at: this.arrays.take() };
    told.at.fill(Infinity, told.from, told.to + 1);
    const source: TimeFunction = { from: atStart.from, to: atStart.to, at: this.arrays.take() };
    for (let t = source.from; t <= source.to; t++) {
      source.at[t] = (atStart.at[t] as number) - price * (overload.toStart[t] as number);
    }
    const { min, target, max, shortCost, longCost } = task;
    const { queue } = this;
    const short = {
      low: -target,
      high: -min,
      slope: shortCost,
      offset: shortCost * target,
      gain: -shortCost,
    };
    lowerBySlidingMinimum(told, source, short, queue);
    if (max > target) {
      const long = { low: -max, high: -target, slope: -longCost, offset: -longCost * target, gain: longCost };
      lowerBySlidingMinimum(told, source, long, queue);
    }
    this.arrays.give(source.at);
    for (let t = told.from; t <= told.to; t++) {
      let cost = (told.at[t] as number) + price * (overload.toEnd[t] as number);
      if (min === 0 && t >= atStart.from && t <= atStart.to) {
        cost = Math.min(cost, (atStart.at[t] as number) + lengthCost(task, 0));
      }
      told.at[t] = cost + (atEnd.at[t] as number);
    }
    return told;
  }

  /** Walks back down: with one port of the task known, picks the other, then a minute for each child. */
  private settle(
    branch: Branch,
    known: number | null,
    knownEnd: number | null,
    schedule: Schedule,
    price: number,
  ): void {
    const { task, atStart, atEnd, overload } = branch;
    const { min, max } = task;
    const whole = (s: number, e: number) => {
      const over = e > s ? price * ((overload.toEnd[e] as number) - (overload.toStart[s] as number)) : 0;
      return (atStart.at[s] as number) + (atEnd.at[e] as number) + lengthCost(task, e - s) + over;
    };
    let start: number;
    let end: number;
    if (known !== null) {
      start = known;
      const [from, to] = [Math.max(atEnd.from, start + min), Math.min(atEnd.to, start + max)];
      end = lowest(from, to, (e) => whole(start, e)).at;
    } else {
      end = knownEnd as number;
      const [from, to] = [Math.max(atStart.from, end - max), Math.min(atStart.to, end - min)];
      start = lowest(from, to, (s) => whole(s, end)).at;
    }
    schedule.start[task.index] = start;
    schedule.end[task.index] = end;
    for (const child of branch.children) {
      const link = child.link as ModelLink;
      const follows = link.from === task.index;
      const told = child.told as TimeFunction;
      const lag = lagOf(link, follows, this.model.horizon);
      const port = follows ? end : start;
      const [from, to] = [Math.max(told.from, port + lag.low), Math.min(told.to, port + lag.high)];
      const at = lowest(from, to, (t) => told.at[t] as number).at;
      if (follows) this.settle(child, at, null, schedule, price);
      else this.settle(child, null, at, schedule, price);
    }
  }

  private task(i: number): ModelTask {
    return this.model.tasks[i] as ModelTask;
  }
}

/** Links that span the tasks without a circle, the tightest ones first, and the sets that they connect. */
function spanningTrees(model: Model, tasks: readonly number[]): { links: Set<ModelLink>; sets: number[][] } {
  const setOf = new Map(tasks.map((i) => [i, [i]]));
  const inside = tasks.flatMap((i) => model.tasks[i]?.after ?? []).filter((link) => setOf.has(link.to));
  const links = new Set<ModelLink>();
  const slack = (link: ModelLink) => Math.min(link.max, model.horizon) - link.min;
  for (const link of inside.sort((a, b) => slack(a) - slack(b))) {
    const [a, b] = [setOf.get(link.from) ?? [], setOf.get(link.to) ?? []];
    if (a === b) continue;
    links.add(link);
    a.push(...b);
    for (const i of b) setOf.set(i, a);
  }
  return { links, sets: [...new Set(setOf.values())] };
}

/** The child's port relative to the parent's: after its end (`follows`) or before its start. */
function lagOf(link: ModelLink, follows: boolean, horizon: number): { low: number; high: number } {
  const max = Math.min(link.max, horizon);
  return follows ? { low: link.min, high: max } : { low: -max, high: -link.min };
}

export function copyWindows(windows: Windows): Windows {
  return {
    startFrom: windows.startFrom.slice(),
    startTo: windows.startTo.slice(),
    endFrom: windows.endFrom.slice(),
    endTo: windows.endTo.slice(),
  };
}
