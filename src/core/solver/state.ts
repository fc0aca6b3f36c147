import { lengthCost, readyCost } from './cost';
import type { Limits } from './fit-windows';
import { Fitter } from './fitter';
import { endEvent, startEvent, type Block, type Network, type Tie, type Times } from './network';
import type { ModelTask } from './model';
import type { Random } from './random';
import { Usage } from './usage';

/** Where some blocks stood. */
export type Places = Map<number, number>;

/** A plan in the making: every block's time, what its tasks hold and what it costs, kept up to date move by move. */
export class State {
  /** Time of each block; -1 where it has none. */
  readonly times: Int32Array;
  /** The plan's own cost, of what is placed now. */
  cost = 0;
  readonly usage: Usage;
  /** The same cost by component; what is fixed for good counts nowhere. */
  readonly costOf: Float64Array;
  /** The component of each block, -1 where it is fixed. */
  readonly componentOf: Int32Array;
  private readonly fitter: Fitter;

  constructor(
    readonly network: Network,
    random: Random,
  ) {
    this.times = new Int32Array(network.blocks.length).fill(-1);
    this.usage = new Usage(network.model);
    this.costOf = new Float64Array(network.components.length);
    this.componentOf = new Int32Array(network.blocks.length).fill(-1);
    network.components.forEach((members, c) => members.forEach((b) => (this.componentOf[b] = c)));
    this.fitter = new Fitter(network, this.usage, random);
    for (const b of network.fixed) {
      this.times[b] = network.windows.from[b] as number;
      this.cost += this.ownCost(b);
      this.forEachHeld(b, (task, start, end) => this.usage.fix(task, start, end));
    }
  }

  /** Unit-minutes by which placed tasks overload resources; a plan is sound at 0. */
  get overload(): number {
    return this.usage.overload;
  }

  /** Cost with the overload priced: what the search makes smaller. */
  worth(price: number): number {
    return this.cost + price * this.overload;
  }

  /** Takes blocks, and the waits that hang on them, out of the plan and says where they stood. */
  lift(blocks: Iterable<number>): Places {
    const places: Places = new Map();
    for (const b of blocks) {
      places.set(b, this.times[b] as number);
      this.take(b);
    }
    return places;
  }

  /** Where every block stands now. */
  snapshot(): Int32Array {
    return this.times.slice();
  }

  /** Puts every block back to where it stood. */
  reset(times: Int32Array): void {
    const moved: number[] = [];
    for (let b = 0; b < times.length; b++) if (times[b] !== this.times[b]) moved.push(b);
    this.lift(moved.filter((b) => (this.times[b] as number) >= 0));
    for (const b of moved) this.put(b, times[b] as number);
  }

  /** Puts lifted blocks back where they stood. */
  restore(places: Places): void {
    for (const [b, at] of places) this.put(b, at);
  }

  /**
   * Finds times for lifted blocks, the cheapest given all others, and puts them there. Blocks of the set that get in
   * each other's way are placed one after the other: those put first are obstacles to the rest. Returns false, with
   * all of them lifted again, where there is no place below the limit, or where ties in a circle got in the way.
   */
  insert(blocks: readonly number[], price: number, limit = Infinity, limits: Limits = {}): boolean {
    const { fitter } = this;
    let open = blocks;
    const done: number[] = [];
    while (open.length > 0) {
      if (fitter.fit(open, this.times, price, limit - this.worth(price), limits) === Infinity) {
        this.lift(done);
        return false;
      }
      const seen = fitter.order.map((b) => this.foundOverload(b));
      const deferred = new Set<number>();
      const put = new Set<number>();
      fitter.order.forEach((b, i) => {
        const clash = i > 0 && this.foundOverload(b) > (seen[i] as number);
        if (!deferred.has(fitter.parentOf[b] as number) && !clash && fitter.settleFor(b)) {
          this.put(b, fitter.found[b] as number);
          put.add(b);
          return;
        }
        deferred.add(b);
        if (!clash) return;
        // The stretch that leads here from the last fork goes with it: it has to start at another time.
        const root = fitter.order[0];
        for (let a = fitter.parentOf[b] as number; put.has(a) && a !== root && fitter.branches[a] === 1;) {
          this.take(a);
          put.delete(a);
          deferred.add(a);
          a = fitter.parentOf[a] as number;
        }
      });
      if (put.size === 0) {
        this.lift(done);
        return false;
      }
      done.push(...put);
      open = [...deferred];
    }
    return true;
  }

  /** See {@link Fitter.relax}. */
  relax(blocks: readonly number[], allowances: readonly number[], out: readonly Times[]): number | null {
    return this.fitter.relax(blocks, this.times, allowances, out);
  }

  /** Free blocks with a task, or a wait, that overloads a resource. */
  overloaded(): number[] {
    return this.network.components.flat().filter((b) => this.isOverloaded(b));
  }

  private isOverloaded(b: number): boolean {
    const { times, usage } = this;
    const at = times[b] as number;
    const { tasks, ties } = this.block(b);
    for (const { task, offset, length } of tasks) {
      const start = at + offset;
      if (usage.isOver(task, start, start + length)) return true;
    }
    for (const { wait, a, b: last } of ties) {
      if (!wait || (times[a] as number) < 0 || (times[last] as number) < 0) continue;
      const [start, end] = [
        (times[a] as number) + wait.startOffset,
        (times[last] as number) + wait.endOffset,
      ];
      if (usage.isOver(wait.task, start, end)) return true;
    }
    return false;
  }

  /** From when to when these blocks hold something. */
  reach(blocks: Iterable<number>): { from: number; to: number } {
    const reach = { from: Infinity, to: -Infinity };
    for (const b of blocks)
      this.forEachHeld(b, (_, start, end) => {
        reach.from = Math.min(reach.from, start);
        reach.to = Math.max(reach.to, end);
      });
    return reach;
  }

  /** What the block costs where it is, the waits at its ties included. */
  ownCost(b: number): number {
    const block = this.block(b);
    let sum = this.promiseCost(block);
    for (const tie of block.ties) if (tie.wait) sum += this.waitCost(tie);
    return sum;
  }

  /** Start and end of a task. */
  span(task: number): [start: number, end: number] {
    const { blockOf, offsetOf } = this.network;
    const at = (event: number) =>
      (this.times[blockOf[event] as number] as number) + (offsetOf[event] as number);
    return [at(startEvent(task)), at(endEvent(task))];
  }

  /** Calls back for each task that the block holds time for: its own, and the waits to placed neighbours. */
  forEachHeld(b: number, held: (task: ModelTask, start: number, end: number) => void): void {
    const at = this.times[b] as number;
    const block = this.block(b);
    for (const { task, offset, length } of block.tasks) held(task, at + offset, at + offset + length);
    for (const { wait, a, b: end } of block.ties) {
      if (!wait || (this.times[a] as number) < 0 || (this.times[end] as number) < 0) continue;
      held(
        wait.task,
        (this.times[a] as number) + wait.startOffset,
        (this.times[end] as number) + wait.endOffset,
      );
    }
  }

  /** Overload that a block would add at the time found for it, with the wait from its parent. */
  private foundOverload(b: number): number {
    const { found, parentOf } = this.fitter;
    const { times, usage } = this;
    const parent = parentOf[b] as number;
    const at = found[b] as number;
    const block = this.block(b);
    let total = 0;
    for (const { task, offset, length } of block.tasks)
      total += usage.overloadOf(task, at + offset, at + offset + length);
    for (const { wait, a, b: end } of block.ties) {
      if (!wait) continue;
      const other = a === b ? end : a;
      const there =
        other === parent && (times[other] as number) < 0
          ? (found[other] as number)
          : (times[other] as number);
      if (there < 0) continue;
      const [from, to] = a === b ? [at, there] : [there, at];
      total += usage.overloadOf(wait.task, from + wait.startOffset, to + wait.endOffset);
    }
    return total;
  }

  private put(b: number, at: number): void {
    const { times, usage } = this;
    times[b] = at;
    const { tasks, ties } = this.block(b);
    for (const { task, offset, length } of tasks) usage.add(task, at + offset, at + offset + length);
    for (const { wait, a, b: end } of ties) {
      if (!wait || (times[a] as number) < 0 || (times[end] as number) < 0) continue;
      usage.add(wait.task, (times[a] as number) + wait.startOffset, (times[end] as number) + wait.endOffset);
    }
    this.charge(b, 1);
  }

  private charge(b: number, sign: 1 | -1): void {
    const cost = sign * this.ownCost(b);
    this.cost += cost;
    const component = this.componentOf[b] as number;
    this.costOf[component] = (this.costOf[component] as number) + cost;
  }

  private take(b: number): void {
    const { times, usage } = this;
    const at = times[b] as number;
    const { tasks, ties } = this.block(b);
    for (const { task, offset, length } of tasks) usage.remove(task, at + offset, at + offset + length);
    for (const { wait, a, b: end } of ties) {
      if (!wait || (times[a] as number) < 0 || (times[end] as number) < 0) continue;
      usage.remove(
        wait.task,
        (times[a] as number) + wait.startOffset,
        (times[end] as number) + wait.endOffset,
      );
    }
    this.charge(b, -1);
    times[b] = -1;
  }

  private promiseCost(block: Block): number {
    const at = this.times[block.index] as number;
    let sum = 0;
    for (const { output, offset } of block.promises) sum += readyCost(output, at + offset);
    return sum;
  }

  private waitCost({ wait, a, b }: Tie): number {
    if (!wait || (this.times[a] as number) < 0 || (this.times[b] as number) < 0) return 0;
    const start = (this.times[a] as number) + wait.startOffset;
    return lengthCost(wait.task, (this.times[b] as number) + wait.endOffset - start);
  }

  private block(b: number): Block {
    return this.network.blocks[b] as Block;
  }
}
