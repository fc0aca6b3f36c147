import { lengthCost, readyCost } from './cost';
import { FitWindows, viewFrom, type Limits, type View } from './fit-windows';
import type { Block, Network, Tie, Times } from './network';
import type { Random } from './random';
import { SlidingMinimum } from './sliding-minimum';
import { HARD, type Sums, type Usage } from './usage';

/** The cost of a minute that is none: whole, so that it can be added and taken away again. */
const NONE = 1e12;

/**
 * Finds the cheapest times for blocks that are free while all others stay where they are.
 *
 * Ties make a tree of a dough's blocks, and a tree can be solved exactly: each branch tells its parent what it costs
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
   * The least that a set of tied blocks costs when nothing else but what is fixed were in the bakery, and for each of
   * the `allowances` the minutes between which each block lies in any plan of the set that costs no more beyond that.
   * Null where there is none.
   */
  relax(
    members: readonly number[],
    times: Int32Array,
    allowances: readonly number[],
    out: readonly Times[],
  ): number | null {
    // A low ceiling makes short work of a long horizon; most doughs cost little when they are alone.
    let least = Infinity;
    for (let ceiling = 250; least === Infinity && ceiling < HARD; ceiling *= 8)
      least = this.fit(members, times, 0, ceiling);
    least = this.fit(members, times, 0, Math.min(least, HARD) + (allowances.at(-1) ?? 0) + 1);
    if (least === Infinity) return null;
    // What each block was told by its branches is completed by what it hears from above.
    for (const child of this.order) {
      const parent = this.parentOf[child] as number;
      if (parent < 0) continue;
      const tie = this.tieToParent(child);
      const size = (this.windows.to[parent] as number) - (this.windows.from[parent] as number) + 1;
      this.listen(viewFrom(tie, parent), 0);
      this.addHeard(parent, size, -1);
      const told = this.heard.slice(0, size);
      this.hear(viewFrom(tie, child), 0);
      this.heard.set(told);
      this.addHeard(parent, size, 1);
    }
    for (const b of this.order) {
      const [from, to, base] = [this.windows.from[b], this.windows.to[b], this.base[b]] as [
        number,
        number,
        number,
      ];
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

  private tieToParent(child: number): Tie {
    const parent = this.parentOf[child] as number;
    const joins = ({ a, b, chord }: Tie) => !chord && (a === parent || b === parent);
    return (this.network.blocks[child] as Block).ties.find(joins) as Tie;
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
    const neighbours = (this.network.blocks[b] as Block).ties.map((tie) => (tie.a === b ? tie.b : tie.a));
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
      for (const tie of (this.network.blocks[at] as Block).ties) {
        const next = tie.a === at ? tie.b : tie.a;
        if (tie.chord && this.windows.isFree(next)) this.circular = true;
        if (tie.chord || this.reached[next] === 1 || !this.windows.isFree(next)) continue;
        this.reached[next] = 1;
        this.parentOf[next] = at;
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
    const block = this.network.blocks[b] as Block;
    for (const tie of block.ties) {
      const other = tie.a === b ? tie.b : tie.a;
      if (this.reached[other] === 1 && this.parentOf[other] === b && !tie.chord)
        this.windows.narrowBy(viewFrom(tie, b));
    }
    const [from, to] = [this.windows.from[b] as number, this.windows.to[b] as number];
    if (from > to) return false;
    const base = this.base[b] as number;
    const { values, usage } = this;
    values.fill(0, base, base + to - from + 1);
    for (const { output, offset } of block.promises) {
      for (let t = from; t <= to; t++)
        values[base + t - from] = (values[base + t - from] as number) + readyCost(output, t + offset);
    }
    for (const { task, offset, length } of block.tasks)
      usage.addPrices(task, length, from + offset, to + offset, price, values, base);
    for (const tie of block.ties) {
      const other = tie.a === b ? tie.b : tie.a;
      if (this.reached[other] === 1) {
        if (this.parentOf[other] === b && !tie.chord) this.hear(viewFrom(tie, b), price);
      } else if (tie.wait && (times[other] as number) >= 0) {
        this.hearFixed(viewFrom(tie, b), times[other] as number, price);
      }
    }
    return this.trim(b);
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
  private hearFixed({ tie, parent }: View, fixed: number, price: number): void {
    const { task, startOffset, endOffset } = tie.wait as NonNullable<Tie['wait']>;
    const { values, sums } = this;
    const [from, to] = [this.windows.from[parent] as number, this.windows.to[parent] as number];
    const base = this.base[parent] as number;
    const isStart = tie.a === parent;
    const low = isStart ? from + startOffset : fixed + startOffset;
    const high = isStart ? fixed + endOffset : to + endOffset;
    this.usage.fillSums(task, low, high, price, sums);
    for (let t = from; t <= to; t++) {
      const start = isStart ? t + startOffset : fixed + startOffset;
      const end = isStart ? fixed + endOffset : t + endOffset;
      const held =
        end > start ? (sums.toEnd[end - low] as number) - (sums.toStart[start - low] as number) : 0;
      values[base + t - from] = (values[base + t - from] as number) + lengthCost(task, end - start) + held;
    }
  }

  /** Adds to a block, for each of its minutes, the least that the branch behind a tie costs. */
  private hear(view: View, price: number): void {
    this.listen(view, price);
    const [from, to] = [this.windows.from[view.parent] as number, this.windows.to[view.parent] as number];
    this.addHeard(view.parent, to - from + 1, 1);
  }

  private addHeard(b: number, size: number, sign: 1 | -1): void {
    const { values, heard } = this;
    const base = this.base[b] as number;
    for (let i = 0; i < size; i++)
      values[base + i] = (values[base + i] as number) + sign * (heard[i] as number);
  }

  /** Writes to `heard`, for each minute of the parent, the least that the branch behind a tie costs. */
  private listen(view: View, price: number): void {
    const { parent, child, tie, low, high } = view;
    const { values, slider, source, heard, sums } = this;
    const [from, to] = [this.windows.from[parent] as number, this.windows.to[parent] as number];
    const [childFrom, childTo] = [this.windows.from[child] as number, this.windows.to[child] as number];
    const childBase = this.base[child] as number;
    const size = to - from + 1;
    const childSize = childTo - childFrom + 1;
    const shift = from - childFrom;
    const window = { size, sourceSize: childSize, ceiling: this.cutoff };
    heard.fill(NONE, 0, size);
    if (!tie.wait) {
      slider.lower(heard, values, childBase, window, shift + low, shift + high, 0, 0);
      return;
    }
    const { task, startOffset, endOffset } = tie.wait;
    const isStart = tie.a === parent;
    const [portOffset, childOffset] = isStart ? [startOffset, endOffset] : [endOffset, startOffset];
    const first = Math.min(from + portOffset, childFrom + childOffset);
    const last = Math.max(to + portOffset, childTo + childOffset);
    const busy = task.uses.length > 0 && this.usage.fillSums(task, first, last, price, sums);
    if (busy) {
      const port = childFrom + childOffset - first;
      const [held, sign] = isStart ? [sums.toEnd, 1] : [sums.toStart, -1];
      for (let i = 0; i < childSize; i++)
        source[i] = (values[childBase + i] as number) + sign * (held[port + i] as number);
      window.ceiling = Infinity;
    }
    const [row, at] = busy ? [source, 0] : [values, childBase];
    const { min, target, max, shortCost, longCost } = task;
    const sign = isStart ? 1 : -1;
    // Seen from the parent's index, the child's for a wait of no length, of the target, the least and the most.
    const none = shift + sign * (startOffset - endOffset);
    const best = none + sign * target;
    const shortest = none + sign * min;
    const longest = none + sign * max;
    for (const [end, slope] of [
      [shortest, -sign * shortCost],
      [longest, sign * longCost],
    ] as const) {
      // Where the target is the least or the most there is one side only.
      if (end === best && min !== max) continue;
      slider.lower(heard, row, at, window, Math.min(end, best), Math.max(end, best), slope, best);
    }
    if (busy) {
      const port = from + portOffset - first;
      const held = isStart ? sums.toStart : sums.toEnd;
      for (let i = 0; i < size; i++) heard[i] = (heard[i] as number) - sign * (held[port + i] as number);
      // A wait of no length holds nothing.
      if (min === 0) {
        for (let i = 0; i < size; i++) {
          const c = i + none;
          if (c < 0 || c >= childSize) continue;
          heard[i] = Math.min(heard[i] as number, (values[childBase + c] as number) + lengthCost(task, 0));
        }
      }
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
    const parent = this.parentOf[child] as number;
    const tie = this.tieToParent(child);
    const { low, high } = viewFrom(tie, parent);
    const at = this.found[parent] as number;
    const childFrom = this.windows.from[child] as number;
    const from = Math.max(childFrom, at + low);
    const to = Math.min(this.windows.to[child] as number, at + high);
    const base = this.base[child] as number;
    const { sums, values } = this;
    const isStart = tie.a === parent;
    const wait = tie.wait;
    let first = 0;
    if (wait && wait.task.uses.length > 0) {
      first = (isStart ? at : from) + wait.startOffset;
      this.usage.fillSums(wait.task, first, (isStart ? to : at) + wait.endOffset, price, sums);
    }
    let best = Infinity;
    for (let t = from; t <= to; t++) {
      let value = values[base + t - childFrom] as number;
      if (wait) {
        const start = (isStart ? at : t) + wait.startOffset;
        const end = (isStart ? t : at) + wait.endOffset;
        value += lengthCost(wait.task, end - start);
        if (wait.task.uses.length > 0 && end > start)
          value += (sums.toEnd[end - first] as number) - (sums.toStart[start - first] as number);
      }
      if (value < best) {
        best = value;
        this.found[child] = t;
      }
    }
  }
}
