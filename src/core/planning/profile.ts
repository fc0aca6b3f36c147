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

  constructor(private readonly model: Model) {
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
        for (let m = from; m < to; m++) total += this.clashes(use, m);
      }
    }
    return total;
  }

  /**
   * Running sums of the overload of a task, all its uses together, for starts and ends in `[from, to]`.
   * The arrays are indexed by minute and written for that range only.
   */
  fillOverload(task: ModelTask, from: number, to: number, out: Overload): void {
    out.toStart.fill(0, from, to + 1);
    out.toEnd.fill(0, from, to + 1);
    for (const use of task.uses) {
      const used = this.used[use.resource] as Int32Array;
      const { capacity } = this.resource(use);
      let sum = 0;
      for (let m = from; m < to; m++) {
        sum += addedOverload(used, capacity, m, use.amount);
        out.toStart[m + 1] = (out.toStart[m + 1] as number) + sum;
        out.toEnd[m + 1] = (out.toEnd[m + 1] as number) + sum;
      }
      if (use.setting !== null) this.fillClashes(use, from, to, out);
    }
  }

  private fillClashes(use: ModelUse, from: number, to: number, out: Overload): void {
    const [before, after] = halves(this.resource(use).changeover);
    let sum = 0;
    let m = from - before;
    for (let t = from; t <= to; t++) {
      for (; m < t - before; m++) sum += this.clashes(use, m);
      out.toStart[t] = (out.toStart[t] as number) + sum;
    }
    sum = 0;
    m = from - before;
    for (let t = from; t <= to; t++) {
      for (; m < t + after; m++) sum += this.clashes(use, m);
      out.toEnd[t] = (out.toEnd[t] as number) + sum;
    }
  }

  private clashes(use: ModelUse, minute: number): number {
    if (minute < 0 || minute >= this.model.horizon) return 0;
    const all = (this.spans[use.resource] as Int32Array)[minute] as number;
    const same = this.spansBySetting[use.resource]?.get(use.setting ?? -1)?.[minute] ?? 0;
    return all - same;
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

const halves = (changeover: number): [number, number] => [Math.floor(changeover / 2), Math.ceil(changeover / 2)];

function addedOverload(used: Int32Array, capacity: Int32Array, minute: number, amount: number): number {
  const free = (capacity[minute] as number) - (used[minute] as number);
  return free >= amount ? 0 : amount - Math.max(0, free);
}

function addOver(array: Int32Array, from: number, to: number, amount: number): void {
  for (let m = from; m < to; m++) array[m] = (array[m] as number) + amount;
}
