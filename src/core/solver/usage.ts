import type { SharedHold, SharedWork } from './company';
import type { Model, ModelResource, ModelTask, ModelUse } from './model';
import { Spans } from './spans';

/** A minute where what is pinned, or nobody being there, leaves no room: no plan pays that. */
export const HARD = 1e7;

/** Running prices of a task held over `[s, e)`: `toEnd[e - from] - toStart[s - from]`. */
export interface Sums {
  toStart: Float64Array;
  toEnd: Float64Array;
}

/**
 * What the placed tasks hold, minute by minute.
 *
 * Too much is counted, not forbidden: the search prices it. Two tasks at different settings clash by the minutes
 * that their spans, widened by half a changeover on either side, have in common; that count is the same from both
 * sides, so adding and removing in any order comes out even. All prices are whole numbers, so sums are exact.
 */
export class Usage {
  /** Unit-minutes beyond capacity, and minutes of clashing settings; a plan is sound at 0. */
  overload = 0;
  /** Capacity less what placed tasks hold; below 0 where it is too much. */
  private readonly free: Int32Array[];
  /** Capacity that what is fixed leaves over; below 0 where it is too much by itself. */
  private readonly room: Int32Array[];
  private readonly spans: Spans[];
  private readonly fixedSpans: Spans[];
  private readonly prices: Float64Array;
  private readonly lacks: Float64Array;
  /** What a unit-minute too much counts, and a minute of clashing settings, by resource. */
  private readonly weights: { held: number; clash: number }[];

  constructor(private readonly model: Model) {
    const { horizon, resources } = model;
    this.free = resources.map(({ capacity }) => capacity.slice());
    this.room = resources.map(({ capacity }) => capacity.slice());
    this.spans = resources.map(() => new Spans(horizon));
    this.fixedSpans = resources.map(() => new Spans(horizon));
    this.prices = new Float64Array(2 * horizon + 2);
    this.lacks = new Float64Array(horizon + 2);
    this.weights = resources.map((_, r) => weightsOf(model, r));
  }

  add(task: ModelTask, start: number, end: number): void {
    this.change(task, start, end, 1);
  }

  remove(task: ModelTask, start: number, end: number): void {
    this.change(task, start, end, -1);
  }

  private change(task: ModelTask, start: number, end: number, sign: 1 | -1): void {
    if (end <= start) return;
    for (const use of task.uses) {
      const free = this.free[use.resource] as Int32Array;
      const weight = this.weightOf(use);
      const { amount } = use;
      // Overload is what is too little with the task there: after it is added, or before it is taken away.
      const given = sign * amount;
      const before = sign > 0 ? amount : 0;
      let over = 0;
      for (let m = start; m < end; m++) {
        const left = (free[m] as number) - before;
        if (left < 0) over += Math.min(-left, amount);
        free[m] = (free[m] as number) - given;
      }
      this.overload += sign * over * weight.held;
      if (use.setting === null) continue;
      const [from, to] = this.widened(use, start, end);
      const clashes = (this.spans[use.resource] as Spans).change(use.setting, from, to, sign);
      this.overload += sign * weight.clash * clashes;
    }
  }

  /** Adds a task that stays for good: others find its room gone, whatever they would pay. */
  fix(task: ModelTask, start: number, end: number): void {
    this.add(task, start, end);
    if (end <= start) return;
    for (const use of task.uses) {
      const room = this.room[use.resource] as Int32Array;
      for (let m = start; m < end; m++) room[m] = (room[m] as number) - use.amount;
      if (use.setting === null) continue;
      const [from, to] = this.widened(use, start, end);
      (this.fixedSpans[use.resource] as Spans).change(use.setting, from, to, 1);
    }
  }

  /** Unit-minutes of overload that the task would add there. */
  overloadOf(task: ModelTask, start: number, end: number): number {
    let total = 0;
    if (end <= start) return 0;
    for (const use of task.uses) {
      const free = this.free[use.resource] as Int32Array;
      const weight = this.weightOf(use);
      const { amount } = use;
      let sum = 0;
      for (let m = start; m < end; m++) {
        const over = amount - (free[m] as number);
        if (over > 0) sum += Math.min(over, amount);
      }
      total += sum * weight.held;
      if (use.setting === null) continue;
      const [from, to] = this.widened(use, start, end);
      total += weight.clash * (this.spans[use.resource] as Spans).clashes(use.setting, from, to);
    }
    return total;
  }

  /** Tells whether what the task holds there, itself counted, is more than there is, or clashes with another setting. */
  isOver(task: ModelTask, start: number, end: number): boolean {
    if (end <= start) return false;
    for (const use of task.uses) {
      const free = this.free[use.resource] as Int32Array;
      for (let m = start; m < end; m++) if ((free[m] as number) < 0) return true;
      if (use.setting === null) continue;
      const [from, to] = this.widened(use, start, end);
      const { all } = this.spans[use.resource] as Spans;
      const same = (this.spans[use.resource] as Spans).at(use.setting);
      for (let m = from; m < to; m++) if (all[m] !== same[m]) return true;
    }
    return false;
  }

  /** Adds to `out[t - from]`, for starts `t` in `[from, to]`, what a task of this length would pay there. */
  addPrices(
    task: ModelTask,
    length: number,
    from: number,
    to: number,
    price: number,
    out: Float64Array,
    at: number,
  ) {
    if (length <= 0) return;
    for (const use of task.uses) {
      if (this.fillHeld(use, from, to + length, price)) this.slide(length, to - from, out, at);
      if (use.setting === null) continue;
      const [before, after] = halves(this.resource(use).changeover);
      if (this.fillClashes(use, from - before, to + length + after, price))
        this.slide(length + before + after, to - from, out, at);
    }
  }

  /**
   * Adds to `out[at + t - from]`, for times `t` in `[from, to]` of a fork, what its branches pay for holding something
   * at once beyond what each pays alone.
   */
  addHeldTogether(
    hold: SharedHold,
    from: number,
    to: number,
    price: number,
    out: Float64Array,
    at: number,
  ): void {
    const { amounts, length } = hold;
    const first = from + hold.from;
    const last = Math.min(this.model.horizon, to + hold.from + length);
    const free = this.free[hold.resource] as Int32Array;
    const all = amounts.reduce((sum, amount) => sum + amount, 0);
    if (!this.isShort(free, first, last, all)) return;
    const dear = price * this.weightAt(hold.resource).held;
    const { prices } = this;
    prices.fill(0, 0, to - from + length + 1);
    for (let m = first; m < last; m++) {
      const left = free[m] as number;
      let sum = lackOf(all, left);
      for (const amount of amounts) sum -= lackOf(amount, left);
      prices[m - first] = sum * dear;
    }
    this.slide(length, to - from, out, at);
  }

  /** The same for work that has to find room within a span: what there is too little of it for all, beyond for each. */
  addWorkTogether(
    work: SharedWork,
    from: number,
    to: number,
    price: number,
    out: Float64Array,
    at: number,
  ): void {
    const all = work.works.reduce((sum, { amount }) => sum + amount, 0);
    const free = this.free[work.resource] as Int32Array;
    if (!this.isShort(free, from + work.from, Math.min(this.model.horizon, to + work.from + work.span), all))
      return;
    const dear = price * this.weightAt(work.resource).held;
    const size = to - from + 1;
    const lack = this.lacks;
    lack.fill(0, 0, size);
    const load = work.works.reduce((sum, { amount, length }) => sum + amount * length, 0);
    this.addLack(free, { amount: all, load, from: work.from, span: work.span }, from, size, 1);
    for (const { amount, length, ...where } of work.works)
      this.addLack(free, { amount, load: amount * length, ...where }, from, size, -1);
    for (let i = 0; i < size; i++) {
      if ((lack[i] as number) > 0) out[at + i] = (out[at + i] as number) + (lack[i] as number) * dear;
    }
  }

  /** Adds to `lacks` by how much `load` exceeds what is free, up to `amount` at a time, in the span after each minute. */
  private addLack(
    free: Int32Array,
    { amount, load, from, span }: { amount: number; load: number; from: number; span: number },
    first: number,
    size: number,
    sign: 1 | -1,
  ): void {
    const { horizon } = this.model;
    const room = (m: number) => (m < horizon ? Math.max(0, Math.min(amount, free[m] as number)) : 0);
    let there = 0;
    for (let m = first + from; m < first + from + span; m++) there += room(m);
    for (let i = 0; i < size; i++) {
      if (load > there) this.lacks[i] = (this.lacks[i] as number) + sign * (load - there);
      there += room(first + i + from + span) - room(first + i + from);
    }
  }

  private isShort(free: Int32Array, from: number, to: number, amount: number): boolean {
    for (let m = from; m < to; m++) if ((free[m] as number) < amount) return true;
    return false;
  }

  /**
   * Running prices of a task of any length, for starts and ends in `[from, to]`; false, with nothing written, where
   * holding it costs nothing anywhere.
   */
  fillSums(task: ModelTask, from: number, to: number, price: number, { toStart, toEnd }: Sums): boolean {
    const size = to - from;
    let any = false;
    const begin = () => {
      if (any) return;
      any = true;
      toStart.fill(0, 0, size + 1);
      toEnd.fill(0, 0, size + 1);
    };
    for (const use of task.uses) {
      let sum = 0;
      if (this.fillHeld(use, from, to, price)) {
        begin();
        for (let i = 0; i < size; i++) {
          sum += this.prices[i] as number;
          toStart[i + 1] = (toStart[i + 1] as number) + sum;
          toEnd[i + 1] = (toEnd[i + 1] as number) + sum;
        }
      }
      if (use.setting === null) continue;
      // A start at t has the clashes of the minutes up to t - before behind it, an end at t those up to t + after.
      const [before, after] = halves(this.resource(use).changeover);
      if (!this.fillClashes(use, from - before, to + after, price)) continue;
      begin();
      sum = 0;
      for (let i = 0; i <= size + before + after; i++) {
        if (i <= size) toStart[i] = (toStart[i] as number) + sum;
        if (i >= before + after) toEnd[i - before - after] = (toEnd[i - before - after] as number) + sum;
        sum += this.prices[i] as number;
      }
    }
    return any;
  }

  /** Writes what each minute in `[from, to)` costs; false, with nothing written, where none costs anything. */
  private fillHeld(use: ModelUse, from: number, to: number, price: number): boolean {
    const { prices } = this;
    const { amount } = use;
    const free = this.free[use.resource] as Int32Array;
    let first = from;
    while (first < to && (free[first] as number) >= amount) first++;
    if (first === to) return false;
    const room = this.room[use.resource] as Int32Array;
    const { held } = this.weightOf(use);
    const dear = price * held;
    for (let m = from; m < to; m++) {
      const left = free[m] as number;
      let sum = 0;
      if (left < amount) {
        sum += (left > 0 ? amount - left : amount) * dear;
        const lack = amount - (room[m] as number);
        if (lack > 0) sum += lack * HARD;
      }
      prices[m - from] = sum;
    }
    return true;
  }

  private fillClashes(use: ModelUse, from: number, to: number, price: number): boolean {
    const { prices } = this;
    const { all } = this.spans[use.resource] as Spans;
    const fixed = this.fixedSpans[use.resource] as Spans;
    const setting = use.setting as number;
    const same = (this.spans[use.resource] as Spans).at(setting);
    const fixedSame = fixed.at(setting);
    const dear = price * this.weightOf(use).clash;
    const [first, last] = [Math.max(from, 0), Math.min(to, this.model.horizon)];
    let clash = first;
    while (clash < last && all[clash] === same[clash]) clash++;
    if (clash === last) return false;
    for (let m = from; m < to; m++) {
      const inside = m >= first && m < last;
      prices[m - from] = inside
        ? ((all[m] as number) - (same[m] as number)) * dear +
          ((fixed.all[m] as number) - (fixedSame[m] as number)) * HARD
        : 0;
    }
    prices[to - from] = 0;
    return true;
  }

  /** Adds the sum of each `width` prices in a row to `out`. */
  private slide(width: number, last: number, out: Float64Array, at: number): void {
    const { prices } = this;
    let sum = 0;
    for (let i = 0; i < width; i++) sum += prices[i] as number;
    for (let i = 0; ; i++) {
      out[at + i] = (out[at + i] as number) + sum;
      if (i === last) return;
      sum += (prices[i + width] as number) - (prices[i] as number);
    }
  }

  private widened(use: ModelUse, start: number, end: number): [number, number] {
    const [before, after] = halves(this.resource(use).changeover);
    return [Math.max(0, start - before), Math.min(this.model.horizon, end + after)];
  }

  private weightOf(use: ModelUse): { held: number; clash: number } {
    return this.weightAt(use.resource);
  }

  private weightAt(resource: number): { held: number; clash: number } {
    return this.weights[resource] as { held: number; clash: number };
  }

  private resource(use: ModelUse): ModelResource {
    return this.model.resources[use.resource] as ModelResource;
  }
}

/**
 * One clash between two tasks should count about the same whether they are cuts of 10 minutes or nights in the cold, so
 * a minute counts less on resources that are held long. Powers of two keep the sums exact.
 */
function weightsOf(model: Model, resource: number): { held: number; clash: number } {
  let [tasks, minutes, held] = [0, 0, 0];
  for (const { target, uses } of model.tasks) {
    for (const use of uses) {
      if (use.resource !== resource) continue;
      tasks++;
      minutes += target;
      held += target * use.amount;
    }
  }
  const share = (sum: number) =>
    tasks === 0 ? 1 : 2 ** -Math.max(0, Math.round(Math.log2(sum / tasks / 15) / 4));
  return { held: share(held), clash: share(minutes) };
}

/** Units of `amount` beyond what is left, the units that were too much before not counted. */
const lackOf = (amount: number, left: number): number =>
  left < amount ? (left > 0 ? amount - left : amount) : 0;

const halves = (changeover: number): [number, number] => [
  Math.floor(changeover / 2),
  Math.ceil(changeover / 2),
];
