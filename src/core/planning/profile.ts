import type { Model, ModelTask, ModelUse } from './model';

/** How much one use held over `[s, e)` would overload its resource: `toEnd[e] - toStart[s]`, in unit-minutes. */
export interface Overload {
  toStart: Float64Array;
  toEnd: Float64Array;
}

/**
 * What the placed tasks hold, minute by minute.
 *
 * Too much is counted, not forbidden: the search prices it. Two tasks at different settings clash by the minutes
 * that their spans, widened by half a changeover on either side, have in common; that count is the same from both
 * sides, so adding and removing in any order comes out even.
 */
export class Profile {
  private readonly used: Int32Array[];
  /** Per resource: how many widened spans cover each minute, in all and by setting. */
  private readonly spans: Int32Array[];
  private readonly spansBySetting: Map<number, Int32Array>[];

  /** Per resource: by how much each minute is to be avoided, in overload per unit held, for having been contested. */
  private readonly grudges: Float64Array[];

  constructor(private readonly model: Model) {
    this.grudges = model.resources.map(() => new Float64Array(model.horizon));
    this.used = model.resources.map(() => new Int32Array(model.horizon));
    this.spans = model.resources.map(() => new Int32Array(model.horizon));
    this.spansBySetting = model.resources.map(() => new Map<number, Int32Array>());
  }

  add(task: ModelTask, start: number, end: number): void {
    this.change(task, start, end, 1);
  }

  remove(task: ModelTask, start: number, end: number): void {
    this.change(task, start, end, -1);
  }

  /** Unit-minutes of overload that the task would add there, by the tasks placed now. */
  overloadOf(task: ModelTask, start: number, end: number): number {
    let total = 0;
    if (end <= start) return 0;
    for (const use of task.uses) {
      const used = this.used[use.resource] as Int32Array;
      const { capacity } = this.resource(use);
      for (let m = start; m < end; m++) total += addedOverload(used, capacity, m, use.amount);
      if (use.setting !== null) {
        const [from, to] = this.widened(use, start, end);
        const all = this.spans[use.resource] as Int32Array;
        const same = this.spansOf(use.resource, use.setting);
        for (let m = from; m < to; m++) total += (all[m] as number) - (same[m] as number);
      }
    }
    return total;
  }

  /** Makes the resources of a task a little less attractive for the minutes of its place. */
  resent(task: ModelTask, start: number, end: number, amount: number): void {
    for (const use of task.uses) {
      const grudges = this.grudges[use.resource] as Float64Array;
      for (let m = start; m < end; m++) grudges[m] = (grudges[m] as number) + amount;
    }
  }

  forgive(): void {
    for (const grudges of this.grudges) grudges.fill(0);
  }

  /**
   * Running sums of the overload of a task, all its uses together, for starts and ends in `[from, to]`.
   * The arrays are indexed by minute and written for that range only.
   */
  fillOverload(task: ModelTask, from: number, to: number, out: Overload): void {
    out.toStart.fill(0, from, to + 1);
    out.toEnd.fill(0, from, to + 1);
    this.addOverload(task, from, to, out, 1);
  }

  /** Adds the running sums of this profile, `weight` times, to those in `out`. */
  addOverload(task: ModelTask, from: number, to: number, out: Overload, weight: number): void {
    for (const use of task.uses) {
      const used = this.used[use.resource] as Int32Array;
      const { capacity } = this.resource(use);
      const grudges = this.grudges[use.resource] as Float64Array;
      let sum = 0;
      for (let m = from; m < to; m++) {
        sum += weight * (addedOverload(used, capacity, m, use.amount) + use.amount * (grudges[m] as number));
        out.toStart[m + 1] = (out.toStart[m + 1] as number) + sum;
        out.toEnd[m + 1] = (out.toEnd[m + 1] as number) + sum;
      }
      if (use.setting !== null) this.addClashes(use, from, to, out, weight);
    }
  }

  private addClashes(use: ModelUse, from: number, to: number, out: Overload, weight: number): void {
    const [before, after] = halves(this.resource(use).changeover);
    const all = this.spans[use.resource] as Int32Array;
    const same = this.spansOf(use.resource, use.setting ?? 0);
    const { horizon } = this.model;
    // A start at t has the clashes of the minutes up to t - before behind it, an end at t those up to t + after.
    let sum = 0;
    for (let m = from - before; m < to + after; m++) {
      if (m + before <= to) out.toStart[m + before] = (out.toStart[m + before] as number) + sum;
      if (m - after >= from) out.toEnd[m - after] = (out.toEnd[m - after] as number) + sum;
      if (m >= 0 && m < horizon) sum += weight * ((all[m] as number) - (same[m] as number));
    }
    out.toEnd[to] = (out.toEnd[to] as number) + sum;
  }

  private change(task: ModelTask, start: number, end: number, sign: 1 | -1): void {
    if (end <= start) return;
    for (const use of task.uses) {
      addOver(this.used[use.resource] as Int32Array, start, end, sign * use.amount);
      if (use.setting === null) continue;
      const [from, to] = this.widened(use, start, end);
      addOver(this.spans[use.resource] as Int32Array, from, to, sign);
      addOver(this.spansOf(use.resource, use.setting), from, to, sign);
    }
  }

  private spansOf(resource: number, setting: number): Int32Array {
    const settings = this.spansBySetting[resource] as Map<number, Int32Array>;
    let spans = settings.get(setting);
    if (!spans) settings.set(setting, (spans = new Int32Array(this.model.horizon)));
    return spans;
  }

  private widened(use: ModelUse, start: number, end: number): [number, number] {
    const [before, after] = halves(this.resource(use).changeover);
    return [Math.max(0, start - before), Math.min(this.model.horizon, end + after)];
  }

  private resource(use: ModelUse) {
    return this.model.resources[use.resource] as Model['resources'][number];
  }
}

const halves = (changeover: number): [number, number] => [
  Math.floor(changeover / 2),
  Math.ceil(changeover / 2),
];

function addedOverload(used: Int32Array, capacity: Int32Array, minute: number, amount: number): number {
  const free = (capacity[minute] as number) - (used[minute] as number);
  return free >= amount ? 0 : amount - Math.max(0, free);
}

function addOver(array: Int32Array, from: number, to: number, amount: number): void {
  for (let m = from; m < to; m++) array[m] = (array[m] as number) + amount;
}
