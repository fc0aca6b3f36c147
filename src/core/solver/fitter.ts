import { companyOf, type Company } from './company';
import { lengthCost, readyCost } from './cost';
import { FitWindows, type Limits } from './fit-windows';
import type { Block, Network, Times, View, Wait } from './network';
import type { Random } from './random';
import { SlidingMinimum } from './sliding-minimum';
import { HARD, type Sums, type Usage } from './usage';

/** The cost of a minute that is none: whole, so that it can be added and taken away again. */
const NONE = 1e12;

/**
 * Finds the cheapest times for blocks that are free while all others stay where they are.
 *
 * Ties make a tree of a project's blocks, and a tree can be solved exactly: each branch tells its parent what it costs
 * for each minute of the parent's time, and the root picks. Overload of resources by what is placed already is a
 * price per unit-minute. Free blocks do not see each other's use of resources; whoever commits them one by one does.
 */
export class Fitter {
  /** The times found, by block; only those of the last call's free blocks mean anything. */
  readonly found: Int32Array;
  /** The free blocks of the last call, each after its parent. */
  order: number[] = [];
  readonly parentOf: Int32Array;
  /** How many branches hang on each of them. */
  readonly branches: Int32Array;
  /** How the tie to its parent looks from there, for each free block that has one. */
  private readonly above: View[] = [];
  /** What branches of a block ask for together, by block and by the views of those that are free at once. */
  private readonly companies = new Map<string, Company | null>();
  private readonly windows: FitWindows;
  /** Cost of a block and its branch at each minute of its window, from `base` on. */
  private values = new Float64Array(1 << 16);
  private readonly base: Int32Array;
  /** 1 for the free blocks of this call that are in the tree. */
  private readonly reached: Uint8Array;
  private cutoff = HARD;
  /** The free blocks of the last call have ties that close a circle. */
  private circular = false;
  private readonly sums: Sums;
  private readonly source: Float64Array;
  private readonly heard: Float64Array;
  private readonly slider: SlidingMinimum;

  constructor(
    private readonly network: Network,
    private readonly usage: Usage,
    private readonly random: Random,
  ) {
    const count = network.blocks.length;
    const { horizon } = network.model;
    this.found = new Int32Array(count);
    this.parentOf = new Int32Array(count);
    this.branches = new Int32Array(count);
    this.base = new Int32Array(count);
    this.reached = new Uint8Array(count);
    this.windows = new FitWindows(network);
    this.sums = { toStart: new Float64Array(horizon + 2), toEnd: new Float64Array(horizon + 2) };
    this.source = new Float64Array(horizon + 2);
    this.heard = new Float64Array(horizon + 2);
    this.slider = new SlidingMinimum(horizon + 2);
  }

  /**
   * Proposes times for the `free` blocks, written to {@link found}; blocks with a time (not -1) that are not free are
   * fixed. With `near`, only times within its reach of where a block was are looked at. Circles are cut at the ties
   * marked as chords, which only narrow the windows. Returns the cost with priced overload, or Infinity where there
   * is no place.
   */
  fit(
    free: readonly number[],
    times: Int32Array,
    price: number,
    cutoff: number,
    limits: Limits = {},
  ): number {
    this.cutoff = Math.min(cutoff, HARD);
    if (!this.windows.open(free, times, this.cutoff, limits)) return Infinity;
    this.reached.fill(0);
    this.order = [];
    this.circular = false;
    let total = 0;
    let top = 0;
    // Promises lie at the ends of branches, so the earliest block as root lets costs pile up, and windows shrink, on the way.
    const { from } = this.windows;
    const roots =
      free.length > 1 ? [...free].sort((a, b) => (from[a] as number) - (from[b] as number)) : free;
    for (const root of roots) {
      if (this.reached[root] === 1) continue;
      const first = this.order.length;
      top = this.growTree(root, top);
      for (let i = this.order.length - 1; i >= first; i--)
        if (!this.gather(this.order[i] as number, times, price)) return Infinity;
      const best = this.pickRoot(root);
      total += best;
      for (let i = first + 1; i < this.order.length; i++) this.settle(this.order[i] as number, price);
    }
    return total;
  }

  /**
   * The least that a set of tied blocks costs when nothing else but what is fixed held a resource, and for each of
   * the `allowances` the minutes between which each block lies in any plan of the set that costs no more beyond that.
   * Null where there is none.
   */
  relax(
    members: readonly number[],
    times: Int32Array,
    allowances: readonly number[],
    out: readonly Times[],
  ): number | null {
    // A low ceiling makes short work of a long horizon; most projects cost little when they are alone.
    let least = Infinity;
    for (let ceiling = 250; least === Infinity && ceiling < HARD; ceiling *= 8)
      least = this.fit(members, times, 0, ceiling);
    least = this.fit(members, times, 0, Math.min(least, HARD) + (allowances.at(-1) ?? 0) + 1);
    if (least === Infinity) return null;
    // What each block was told by its branches is completed by what it hears from above.
    for (const child of this.order) {
      const parent = this.parentOf[child] as number;
      if (parent < 0) continue;
      const view = this.above[child] as View;
      const back = (this.network.blocks[child] as Block).views.find(({ tie }) => tie === view.tie) as View;
      const size = (this.windows.to[parent] as number) - (this.windows.from[parent] as number) + 1;
      this.listen(view, 0);
      this.addHeard(parent, size, -1);
      const told = this.heard.slice(0, size);
      this.hear(back, 0);
      this.heard.set(told);
      this.addHeard(parent, size, 1);
    }
    for (const b of this.order) {
      const from = this.windows.from[b] as number;
      const to = this.windows.to[b] as number;
      const base = this.base[b] as number;
      allowances.forEach((allowance, k) => {
        const within = out[k] as Times;
        let [first, last] = [0, to - from];
        while (first < last && (this.values[base + first] as number) > least + allowance) first++;
        while (last > first && (this.values[base + last] as number) > least + allowance) last--;
        within.from[b] = from + first;
        within.to[b] = from + last;
      });
    }
    return least;
  }

  /**
   * Takes the found time of a block for settled and narrows the windows of the other free blocks by it. False, with
   * nothing changed, where blocks settled before have made that time impossible: only where ties make a circle.
   */
  settleFor(b: number): boolean {
    if (!this.circular) return true;
    const at = this.found[b] as number;
    const { from, to } = this.windows;
    if (at < (from[b] as number) || at > (to[b] as number)) return false;
    from[b] = to[b] = at;
    const neighbours = (this.network.blocks[b] as Block).views.map(({ child }) => child);
    // Windows are tight, so whatever lies in one can be kept by all others.
    return this.windows.narrow(neighbours.filter((o) => this.windows.isFree(o)));
  }

  /**
   * Puts the free blocks that tree ties join to `root` in order, branch after branch in random order, and gives each its
   * stretch of `values`.
   */
  private growTree(root: number, top: number): number {
    const { from, to } = this.windows;
    const stack = [root];
    this.parentOf[root] = -1;
    this.reached[root] = 1;
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      this.order.push(at);
      this.base[at] = top;
      top += (to[at] as number) - (from[at] as number) + 1;
      const first = stack.length;
      for (const view of (this.network.blocks[at] as Block).views) {
        const { tie, child: next } = view;
        if (tie.chord && this.windows.isFree(next)) this.circular = true;
        if (tie.chord || this.reached[next] === 1 || !this.windows.isFree(next)) continue;
        this.reached[next] = 1;
        this.parentOf[next] = at;
        this.above[next] = view;
        const other = first + this.random.below(stack.length - first + 1);
        stack.push(next);
        [stack[other], stack[stack.length - 1]] = [next, stack[other] as number];
      }
      this.branches[at] = stack.length - first;
    }
    if (top > this.values.length) {
      const wider = new Float64Array(2 * top);
      wider.set(this.values);
      this.values = wider;
    }
    return top;
  }

  /** Own cost of a block at each minute, and what its fixed neighbours and its branches ask. */
  private gather(b: number, times: Int32Array, price: number): boolean {
    const { promises, tasks, views } = this.network.blocks[b] as Block;
    for (const view of views) if (this.isBranch(view)) this.windows.narrowBy(view);
    const from = this.windows.from[b] as number;
    const to = this.windows.to[b] as number;
    if (from > to) return false;
    const base = this.base[b] as number;
    const { values, usage } = this;
    values.fill(0, base, base + to - from + 1);
    for (const { output, offset } of promises) {
      for (let t = from; t <= to; t++)
        values[base + t - from] = (values[base + t - from] as number) + readyCost(output, t + offset);
    }
    for (const { task, offset, length } of tasks)
      usage.addPrices(task, length, from + offset, to + offset, price, values, base);
    if ((this.branches[b] as number) > 1) this.addTogether(b, price);
    for (const view of views) {
      if (this.isBranch(view)) this.hear(view, price);
      else if (view.tie.wait && this.reached[view.child] === 0 && (times[view.child] as number) >= 0)
        this.hearFixed(view, view.tie.wait, times[view.child] as number, price);
    }
    return this.trim(b);
  }

  /** Adds what the branches of a block contend for among each other, which none of them sees alone. */
  private addTogether(b: number, price: number): void {
    const { blocks } = this.network;
    const children = (blocks[b] as Block).views.filter((view) => this.isBranch(view));
    const key = children.reduce((name, { child }) => `${name} ${child}`, `${b}`);
    let company = this.companies.get(key);
    if (company === undefined) this.companies.set(key, (company = companyOf(blocks, children)));
    if (!company) return;
    const from = this.windows.from[b] as number;
    const to = this.windows.to[b] as number;
    const base = this.base[b] as number;
    if (true)
      for (const hold of company.holds) this.usage.addHeldTogether(hold, from, to, price, this.values, base);
    if (true)
      for (const work of company.works) this.usage.addWorkTogether(work, from, to, price, this.values, base);
  }

  private isBranch({ tie, parent, child }: View): boolean {
    return !tie.chord && this.reached[child] === 1 && this.parentOf[child] === parent;
  }

  /** Narrows a block's window to the minutes that cost less than the cutoff; false if there is none. */
  private trim(b: number): boolean {
    const { values, cutoff } = this;
    const { from, to } = this.windows;
    let base = this.base[b] as number;
    let last = base + (to[b] as number) - (from[b] as number);
    const first = base;
    while (base <= last && (values[base] as number) >= cutoff) base++;
    if (base > last) return false;
    while ((values[last] as number) >= cutoff) last--;
    to[b] = (from[b] as number) + last - first;
    from[b] = (from[b] as number) + base - first;
    this.base[b] = base;
    return true;
  }

  /** Adds what the wait to a fixed neighbour costs. */
  private hearFixed({ parent, starts }: View, wait: Wait, fixed: number, price: number): void {
    const { task, startOffset, endOffset } = wait;
    const { values, sums } = this;
    const from = this.windows.from[parent] as number;
    const to = this.windows.to[parent] as number;
    const base = this.base[parent] as number;
    const low = (starts ? from : fixed) + startOffset;
    const high = (starts ? fixed : to) + endOffset;
    const busy = task.uses.length > 0 && this.usage.fillSums(task, low, high, price, sums);
    for (let t = from; t <= to; t++) {
      const start = (starts ? t : fixed) + startOffset;
      const end = (starts ? fixed : t) + endOffset;
      let sum = (values[base + t - from] as number) + lengthCost(task, end - start);
      if (busy && end > start)
        sum += (sums.toEnd[end - low] as number) - (sums.toStart[start - low] as number);
      values[base + t - from] = sum;
    }
  }

  /** Adds to a block, for each of its minutes, the least that the branch behind a tie costs. */
  private hear(view: View, price: number): void {
    this.listen(view, price);
    const from = this.windows.from[view.parent] as number;
    this.addHeard(view.parent, (this.windows.to[view.parent] as number) - from + 1, 1);
  }

  private addHeard(b: number, size: number, sign: 1 | -1): void {
    const { values, heard } = this;
    const base = this.base[b] as number;
    for (let i = 0; i < size; i++)
      values[base + i] = (values[base + i] as number) + sign * (heard[i] as number);
  }

  /** Writes to `heard`, for each minute of the parent, the least that the branch behind a tie costs. */
  private listen({ parent, child, tie, low, high, starts }: View, price: number): void {
    const { values, slider, source, heard, sums, windows } = this;
    const from = windows.from[parent] as number;
    const to = windows.to[parent] as number;
    const childFrom = windows.from[child] as number;
    const childTo = windows.to[child] as number;
    const childBase = this.base[child] as number;
    const size = to - from + 1;
    const childSize = childTo - childFrom + 1;
    const shift = from - childFrom;
    heard.fill(NONE, 0, size);
    if (!tie.wait) {
      slider.open(heard, size, values, childBase, childSize, this.cutoff);
      slider.lower(shift + low, shift + high, 0, 0);
      return;
    }
    const { task, startOffset, endOffset } = tie.wait;
    const portOffset = starts ? startOffset : endOffset;
    const childOffset = starts ? endOffset : startOffset;
    const first = Math.min(from + portOffset, childFrom + childOffset);
    const last = Math.max(to + portOffset, childTo + childOffset);
    const busy = task.uses.length > 0 && this.usage.fillSums(task, first, last, price, sums);
    const sign = starts ? 1 : -1;
    if (busy) {
      const port = childFrom + childOffset - first;
      const held = starts ? sums.toEnd : sums.toStart;
      for (let i = 0; i < childSize; i++)
        source[i] = (values[childBase + i] as number) + sign * (held[port + i] as number);
      slider.open(heard, size, source, 0, childSize, Infinity);
    } else slider.open(heard, size, values, childBase, childSize, this.cutoff);
    const { min, target, max, shortCost, longCost } = task;
    // Seen from the parent's index, the child's for a wait of no length, of the target, the least and the most.
    const none = shift + sign * (startOffset - endOffset);
    const best = none + sign * target;
    const shortest = none + sign * min;
    const longest = none + sign * max;
    // Where the target is the least or the most there is one side only.
    if (min < target || min === max)
      slider.lower(Math.min(shortest, best), Math.max(shortest, best), -sign * shortCost, best);
    if (target < max) slider.lower(Math.min(longest, best), Math.max(longest, best), sign * longCost, best);
    if (!busy) return;
    const port = from + portOffset - first;
    const held = starts ? sums.toStart : sums.toEnd;
    for (let i = 0; i < size; i++) heard[i] = (heard[i] as number) - sign * (held[port + i] as number);
    if (min > 0) return;
    // A wait of no length holds nothing.
    for (let i = 0; i < size; i++) {
      const c = i + none;
      if (c < 0 || c >= childSize) continue;
      heard[i] = Math.min(heard[i] as number, (values[childBase + c] as number) + lengthCost(task, 0));
    }
  }

  /** Picks the root's best minute, one of them at random; returns its cost. */
  private pickRoot(root: number): number {
    const from = this.windows.from[root] as number;
    const size = (this.windows.to[root] as number) - from + 1;
    const base = this.base[root] as number;
    let best = Infinity;
    let ties = 0;
    for (let i = 0; i < size; i++) {
      const value = this.values[base + i] as number;
      if (value < best) {
        best = value;
        ties = 1;
        this.found[root] = from + i;
      } else if (value === best && this.random.below(++ties) === 0) this.found[root] = from + i;
    }
    return best;
  }

  /** With the parent's minute found, picks the child's. */
  private settle(child: number, price: number): void {
    const { parent, tie, low, high, starts } = this.above[child] as View;
    const at = this.found[parent] as number;
    const childFrom = this.windows.from[child] as number;
    const from = Math.max(childFrom, at + low);
    const to = Math.min(this.windows.to[child] as number, at + high);
    const base = (this.base[child] as number) - childFrom;
    const { sums, values } = this;
    const wait = tie.wait;
    const first = wait ? (starts ? at : from) + wait.startOffset : 0;
    const busy =
      wait !== null &&
      wait.task.uses.length > 0 &&
      this.usage.fillSums(wait.task, first, (starts ? to : at) + wait.endOffset, price, sums);
    let best = Infinity;
    for (let t = from; t <= to; t++) {
      let value = values[base + t] as number;
      if (value >= best) continue;
      if (wait) {
        const start = (starts ? at : t) + wait.startOffset;
        const end = (starts ? t : at) + wait.endOffset;
        value += lengthCost(wait.task, end - start);
        if (busy && end > start)
          value += (sums.toEnd[end - first] as number) - (sums.toStart[start - first] as number);
      }
      if (value < best) {
        best = value;
        this.found[child] = t;
      }
    }
  }
}
