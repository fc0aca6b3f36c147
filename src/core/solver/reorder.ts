import type { Moves } from './moves';
import type { Times } from './network';
import { Orders, type Order } from './orders';
import { shuffled, type Random } from './random';
import type { Relaxed } from './relaxed';
import type { State } from './state';

/** How much a plan may worsen on the way to a better one, as a share of its cost, on average. */
const DIP = 0.005;
/** How much it may worsen, as a share of its cost, when projects are put elsewhere for a while. */
const LEAP = 0.15;
/** Changes that then have to make up for it. */
const LEAP_STEPS = 20;
/** Orders that are taken away to make room for others, before a change is given up. */
const PATIENCE = 50;
/** The same, when a whole plan is taken up. */
const MOST_PATIENCE = 500;
/** Unit-minutes of overlap that a project may be put into beyond what its present place costs. */
const GIVE = 60;
/** Prices of overlap at which projects are put where they would like to be. */
const PRICES = [0, 1, 2, 4, 8, 16];

/**
 * Makes a sound plan better by giving some of its work another place in the order, while everything else keeps its
 * order but not its times: those are always the best that the order allows.
 *
 * Either some jobs forget their orders, or projects are placed anew where they would like to be, whoever is there, and
 * only what then overlaps forgets its orders. What clashes is sorted out again, and kept unless it costs more.
 */
export class Reorder {
  private readonly orders: Orders;
  /** Cost of what is fixed for good, which no order changes. */
  private readonly fixedCost: number;
  private readonly jobsOf: number[][];
  private readonly beside: number[][];
  /** Changes are kept as far as they go, but can still be taken back. */
  private isLeaping = false;

  /** `state` is empty but for what is fixed; it holds the plan adopted, as it is now, whenever {@link step} returns. */
  constructor(
    private readonly state: State,
    private readonly relaxed: Relaxed,
    private readonly moves: Moves,
    private readonly random: Random,
  ) {
    const { network } = state;
    const orders = new Orders(network, random);
    this.orders = orders;
    const { jobs } = orders;
    this.jobsOf = network.components.map(() => []);
    const at: number[][] = network.blocks.map(() => []);
    for (const { index, startNode, endNode } of jobs) {
      for (const node of new Set([startNode, endNode])) at[node]?.push(index);
      const component = Math.max(state.componentOf[startNode] ?? -1, state.componentOf[endNode] ?? -1);
      this.jobsOf[component]?.push(index);
    }
    this.beside = jobs.map(({ index, startNode, endNode }) => {
      const near = new Set([...(at[startNode] ?? []), ...(at[endNode] ?? [])]);
      near.delete(index);
      return [...near];
    });
    this.fixedCost = state.cost - state.costOf.reduce((sum, cost) => sum + cost, 0);
  }

  /**
   * Takes up the state's plan. Where work overlaps, places in the order are found for it; false, with the state as it
   * was, where none are.
   */
  adopt(limit = Infinity, patience = MOST_PATIENCE): boolean {
    const { orders, state } = this;
    this.freeClashing();
    orders.drop(() => true);
    orders.follow(state.times);
    orders.doubt();
    const sound = orders.sortOut(limit - this.fixedCost, patience);
    if (sound) this.settle();
    return sound;
  }

  private freeClashing(): void {
    const { orders, state } = this;
    const over = new Set(state.overloaded());
    for (const { index, startNode, endNode } of orders.jobs)
      orders.isFree[index] = over.has(startNode) || over.has(endNode) ? 1 : 0;
  }

  get cost(): number {
    return this.orders.timing.cost + this.fixedCost;
  }

  /** Puts projects elsewhere although that costs more at first, improves what comes of it, and goes back if it is no better. */
  leap(): void {
    const { state, orders } = this;
    const { timing, posted } = orders;
    const before = this.cost;
    const flowCost = timing.cost;
    const places = state.snapshot();
    this.isLeaping = true;
    this.favour(LEAP);
    if (this.cost !== before) {
      for (let step = 0; step < LEAP_STEPS && this.cost >= before; step++) this.step();
      if (this.cost > before * (1 + DIP)) {
        orders.restore(0, flowCost, posted);
        state.reset(places);
      }
    }
    this.isLeaping = false;
    orders.keep();
  }

  /** Tries one change. */
  step(): void {
    const draw = this.random.unit();
    if (draw < 0.4) this.favour();
    else if (draw < 0.98) this.forget(this.draw((draw - 0.4) / 0.58));
    else this.attempt(() => true);
  }

  /** Jobs that are to find another place. */
  private draw(draw: number): ReadonlySet<number> {
    const { random } = this;
    const { jobs, keptStart, keptEnd } = this.orders;
    const seed = this.paying();
    const at = keptStart[seed] as number;
    if (draw < 0.2) {
      const reach = 20 * 2 ** random.below(5);
      const meets = ({ index }: { index: number }) =>
        (keptStart[index] as number) < at + reach && (keptEnd[index] as number) > at - reach;
      return new Set(jobs.filter(meets).map(({ index }) => index));
    }
    const set = new Set<number>();
    if (draw < 0.4) {
      const { componentOf } = this.state;
      const { startNode, endNode } = jobs[seed] as (typeof jobs)[number];
      const component = Math.max(componentOf[startNode] ?? -1, componentOf[endNode] ?? -1);
      return new Set(this.jobsOf[component]);
    }
    if (draw < 0.7) this.stretch(set, seed, 2 + random.below(12));
    else {
      this.stretch(set, seed, 1 + random.below(8));
      const near = jobs.filter(({ index }) => Math.abs((keptStart[index] as number) - at) < 60);
      for (let more = random.below(4); more >= 0; more--)
        this.stretch(
          set,
          (near[random.below(near.length)] as (typeof near)[number]).index,
          1 + random.below(6),
        );
    }
    return set;
  }

  /** A job, oftener one whose order costs something. */
  private paying(): number {
    const { random, orders } = this;
    const paid = orders.posted.filter(({ arc }) => (orders.timing.flow[arc] as number) > 0);
    if (paid.length === 0 || random.unit() >= 0.7) return random.below(orders.jobs.length);
    const { before, after } = paid[random.below(paid.length)] as Order;
    return after >= 0 && random.unit() < 0.5 ? after : before;
  }

  /** Adds up to `size` jobs around `seed`, along the project. */
  private stretch(set: Set<number>, seed: number, size: number): void {
    const row = [seed];
    const seen = new Set(row);
    for (const at of row) {
      for (const next of shuffled(this.beside[at] as number[], this.random)) {
        if (row.length >= size) break;
        if (seen.has(next)) continue;
        seen.add(next);
        row.push(next);
      }
    }
    for (const job of row) set.add(job);
  }

  private forget(jobs: ReadonlySet<number>): void {
    const { isFree } = this.orders;
    for (const job of jobs) isFree[job] = 1;
    this.attempt(({ before, after }) => isFree[before] === 1 || (after >= 0 && isFree[after] === 1));
  }

  /** Puts one to three projects where they would like to be. */
  private favour(dip = DIP): void {
    const { state, moves, random, relaxed, orders } = this;
    const seed = random.unit() < 0.7 ? moves.needy() : moves.costly();
    const projects = new Set([moves.project(seed)]);
    const near = moves.around(seed, 60);
    for (let more = random.below(3); more > 0 && near.length > 0; more--)
      projects.add(moves.project(moves.oneOf(near)));
    const before = state.snapshot();
    const spare = (state.cost - relaxed.bound) / 2 ** (1 + random.below(4));
    const price = PRICES[random.below(PRICES.length)] as number;
    const limit = state.cost * (1 + dip) + 1 + price * GIVE;
    for (const members of projects) state.lift(members);
    for (const members of shuffled([...projects], random)) {
      const windows = relaxed.within(spare);
      const forced = random.unit() < 0.5 ? this.elsewhere(members, windows) : undefined;
      if (state.insert(members, price, limit, { windows, ...(forced && { forced }) })) continue;
      state.reset(before);
      return;
    }
    this.freeClashing();
    const { jobs, isFree } = orders;
    const moved = isFree.slice();
    for (const { index, startNode, endNode } of jobs) {
      for (const node of [startNode, endNode]) if (before[node] !== state.times[node]) moved[index] = 1;
    }
    orders.follow(state.times);
    this.attempt((order) => moved[order.before] === 1 || (order.after >= 0 && moved[order.after] === 1), dip);
  }

  /** A block of a project, and a time at which it might be. */
  private elsewhere(members: readonly number[], { from, to }: Times) {
    const block = this.moves.oneOf(members);
    const low = from[block] as number;
    const at = low + this.random.below((to[block] as number) - low + 1);
    return { block, from: at - 60, to: at + 60 };
  }

  /** Drops orders, sorts out what clashes then, and keeps it or goes back. */
  private attempt(gone: (order: Order) => boolean, dip = DIP): void {
    const { orders, random } = this;
    const { timing } = orders;
    const mark = timing.mark();
    const before = timing.cost;
    const { posted } = orders;
    const limit = before - dip * Math.max(this.cost, 200) * Math.log(1 - random.unit());
    orders.drop(gone);
    if (!orders.sortOut(limit, PATIENCE)) orders.restore(mark, before, posted);
    orders.isFree.fill(0);
    this.settle();
  }

  private settle(): void {
    const { orders, state } = this;
    if (this.isLeaping) orders.retain();
    else orders.keep();
    const times = state.snapshot();
    for (const members of state.network.components)
      for (const b of members) times[b] = orders.timing.times[b] as number;
    state.reset(times);
  }
}
