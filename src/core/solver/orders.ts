import { Holdings, hooksOf, type Clash, type Hooks, type Job, type User } from './holdings';
import type { Network } from './network';
import { shuffled, type Random } from './random';
import { FIRM, Timing } from './timing';

/** Ways to sort out one clash that are priced exactly before one is chosen. */
const PRICED = 3;

/** That one job comes after another, or (-1) on one side of a time when too little is there. */
export interface Order {
  arc: number;
  before: number;
  after: number;
}

interface Choice {
  from: number;
  to: number;
  lag: number;
  before: number;
  after: number;
  short: number;
}

/**
 * A plan as an order of its work. Which job comes before which on a machine, and on which side of an empty shift, is
 * posted as an arc where times without it would clash, and the timing keeps all times the best for what is posted.
 */
export class Orders {
  readonly timing: Timing;
  posted: Order[] = [];
  /** Start and end of each job in the plan that is kept to where nothing else is said. */
  readonly keptStart: Int32Array;
  readonly keptEnd: Int32Array;
  /** 1 for jobs that may take another place in the order. */
  readonly isFree: Uint8Array;
  private readonly holdings: Holdings;
  private readonly origin: number;
  private patience = 0;
  private readonly won = new Set<number>();

  constructor(
    readonly network: Network,
    private readonly random: Random,
  ) {
    const hooks = hooksOf(network);
    this.origin = hooks.origin;
    const start = network.windows.from.slice();
    for (const b of network.fixed) start[b] = 0;
    this.timing = new Timing(start);
    this.addRules(hooks);
    this.holdings = new Holdings(network, this.timing, hooks, random);
    const size = this.jobs.length;
    this.keptStart = new Int32Array(size);
    this.keptEnd = new Int32Array(size);
    this.isFree = new Uint8Array(size);
  }

  get jobs(): readonly Job[] {
    return this.holdings.jobs;
  }

  /** What does not depend on the order: windows, lengths, links, outputs. */
  private addRules({ origin, nodeOf, shiftOf }: Hooks): void {
    const { timing } = this;
    const { blocks, ties, windows } = this.network;
    const rule = (a: number, b: number, lag: number, price: number) => {
      const [from, to] = [nodeOf(a), nodeOf(b)];
      if (from === to || price === 0) return;
      timing.add(from, to, lag + shiftOf(a) - shiftOf(b), price);
    };
    const [low, high] = [windows.from, windows.to];
    for (const { index: b } of blocks) {
      if (nodeOf(b) === origin) continue;
      timing.add(origin, b, low[b] as number, FIRM);
      timing.add(b, origin, -(high[b] as number), FIRM);
    }
    for (const tie of ties) {
      if (tie.low > (low[tie.b] as number) - (high[tie.a] as number)) rule(tie.a, tie.b, tie.low, FIRM);
      if (tie.high < (high[tie.b] as number) - (low[tie.a] as number)) rule(tie.b, tie.a, -tie.high, FIRM);
    }
    for (const { a, b, wait } of ties) {
      if (!wait) continue;
      const best = wait.task.target + wait.startOffset - wait.endOffset;
      rule(a, b, best, wait.task.shortCost);
      rule(b, a, -best, wait.task.longCost);
    }
    for (const { index: b, promises } of blocks) {
      if (nodeOf(b) === origin) continue;
      for (const { output, offset } of promises) {
        if (output.lateCost > 0) timing.add(b, origin, offset - output.due, output.lateCost);
        if (output.staleCost > 0)
          timing.add(origin, b, output.due - output.freshFor - offset, output.staleCost);
      }
    }
    timing.commit();
  }

  /** Takes the present times for the plan to be kept to. */
  retain(): void {
    const { holdings } = this;
    holdings.sync();
    this.keptStart.set(holdings.start);
    this.keptEnd.set(holdings.end);
  }

  /** The same for good: there is no way back. */
  keep(): void {
    this.retain();
    this.timing.commit();
  }

  /** Looks at every job again. */
  doubt(): void {
    this.holdings.doubt();
  }

  /** Keeps to a plan's times, by block; the orders that its times need are posted when {@link sortOut} finds a clash. */
  follow(times: Int32Array): void {
    const at = (node: number) => (node === this.origin ? 0 : (times[node] as number));
    for (const job of this.jobs) {
      this.keptStart[job.index] = at(job.startNode) + job.startShift;
      this.keptEnd[job.index] = at(job.endNode) + job.endShift;
    }
  }

  /** Takes away the orders of which `gone` says so. */
  drop(gone: (order: Order) => boolean): void {
    const left: Order[] = [];
    for (const order of this.posted) {
      if (gone(order)) this.timing.remove(order.arc);
      else left.push(order);
    }
    this.posted = left;
  }

  /** Takes back all that was done since the mark; the plan then was sound. */
  restore(mark: number, cost: number, posted: Order[]): void {
    this.timing.rollback(mark, cost);
    this.posted = posted;
    this.holdings.sync();
    this.holdings.trust();
  }

  /** Posts orders until nothing clashes. False, with work half done, where that costs more than `limit`, or is not to be
   * had by taking away `patience` other orders that bar the way. */
  sortOut(limit: number, patience: number): boolean {
    this.patience = patience;
    this.won.clear();
    for (;;) {
      if (this.timing.cost > limit) return false;
      this.holdings.sync();
      const clash = this.holdings.nextClash();
      if (!clash) return true;
      if (!this.settle(clash, limit)) return false;
    }
  }

  private settle(clash: Clash, limit: number): boolean {
    const { timing } = this;
    const choices = this.choices(clash).sort((a, b) => a.short - b.short);
    let best: Choice | null = null;
    let least = Infinity;
    const before = timing.cost;
    for (let k = 0, priced = 0; k < choices.length && priced < PRICED; k++) {
      const choice = choices[k] as Choice;
      const mark = timing.mark();
      const arc = timing.add(choice.from, choice.to, choice.lag, FIRM, Math.min(limit, before + 1.5 * least));
      if (arc >= 0 || best) priced++;
      if (arc >= 0) {
        const worse = timing.cost - before;
        const worth = worse * (0.7 + 0.6 * this.random.unit()) + choice.short * 0.01;
        if (worth < least) [best, least] = [choice, worth];
        if (worse === 0) {
          this.posted.push({ arc, before: choice.before, after: choice.after });
          return true;
        }
      }
      timing.rollback(mark, before);
    }
    if (!best) return this.eject(choices, limit);
    const arc = timing.add(best.from, best.to, best.lag, FIRM, limit);
    this.posted.push({ arc, before: best.before, after: best.after });
    return true;
  }

  /** Where every way out is barred, takes away orders that bar one of them, a few times at the most. */
  private eject(choices: readonly Choice[], limit: number): boolean {
    for (const choice of shuffled(choices, this.random)) {
      const result = this.ejectFor(choice, limit);
      if (result !== null) return result;
    }
    return false;
  }

  private ejectFor(choice: Choice, limit: number): boolean | null {
    const { timing, random } = this;
    while (this.patience-- > 0) {
      const mark = timing.mark();
      const before = timing.cost;
      const arc = timing.add(choice.from, choice.to, choice.lag, FIRM, limit);
      if (arc >= 0) {
        this.won.add(arc);
        this.posted.push({ arc, before: choice.before, after: choice.after });
        return true;
      }
      const { stuck } = timing;
      const bars = new Set(timing.path.map((step) => step >> 1));
      timing.rollback(mark, before);
      if (!stuck) return null;
      const all = this.posted.filter((order) => bars.has(order.arc));
      const fresh = all.filter(({ arc }) => !this.won.has(arc));
      const barring = fresh.length === 0 ? all : fresh;
      if (barring.length === 0) return null;
      const gone = barring[random.below(barring.length)] as Order;
      timing.remove(gone.arc);
      this.posted.splice(this.posted.indexOf(gone), 1);
      for (const j of [gone.before, gone.after]) {
        if (j < 0) continue;
        this.isFree[j] = 1;
        this.holdings.doubtJob(j);
      }
    }
    return false;
  }

  private choices(clash: Clash): Choice[] {
    const { network, holdings } = this;
    const { model } = network;
    const choices: Choice[] = [];
    const resource = model.resources[clash.resource] as (typeof model.resources)[number];
    if (clash.pair) {
      const [u, v] = clash.pair;
      this.offer(choices, u, v, resource.changeover);
      this.offer(choices, v, u, resource.changeover);
      return choices;
    }
    const { minute } = clash;
    const there: User[] = [];
    for (const user of holdings.users[clash.resource] as User[]) {
      const { index } = user.job;
      if ((holdings.start[index] as number) <= minute && (holdings.end[index] as number) > minute)
        there.push(user);
    }
    const { capacity } = resource;
    const room = capacity[minute] as number;
    for (const [i, u] of there.entries()) {
      for (const v of there.slice(i + 1)) {
        if (u.amount > room || v.amount > room) continue;
        this.offer(choices, u.job, v.job, 0);
        this.offer(choices, v.job, u.job, 0);
      }
    }
    for (const { job, amount } of there) {
      // To where there is more: for a job that is too large for this hour, to where there is enough.
      const enough = Math.max(room + 1, amount);
      if (enough > (holdings.most[clash.resource] as number)) continue;
      let from = minute;
      while (from > 0 && (capacity[from - 1] as number) < enough) from--;
      let to = minute + 1;
      while (to < capacity.length && (capacity[to] as number) < enough) to++;
      this.offerSide(choices, job, from, to);
    }
    return choices;
  }

  private offer(choices: Choice[], u: Job, v: Job, lag: number): void {
    const bound = this.isFree[u.index] === 0 && this.isFree[v.index] === 0;
    if (bound && (this.keptEnd[u.index] as number) + lag > (this.keptStart[v.index] as number)) return;
    if (u.endNode === v.startNode) return;
    const apart = u.endShift - v.startShift + lag;
    if (this.earliest(u.endNode) + apart > this.latest(v.startNode)) return;
    const short = this.timing.shortfall(u.endNode, v.startNode, apart);
    choices.push({ from: u.endNode, to: v.startNode, lag: apart, before: u.index, after: v.index, short });
  }

  private earliest(node: number): number {
    return node === this.origin ? 0 : (this.network.windows.from[node] as number);
  }

  private latest(node: number): number {
    return node === this.origin ? 0 : (this.network.windows.to[node] as number);
  }

  /** Before or after a stretch of time. */
  private offerSide(choices: Choice[], job: Job, from: number, to: number): void {
    const { origin, timing } = this;
    const bound = this.isFree[job.index] === 0;
    const side = { before: job.index, after: -1 };
    if (job.endNode !== origin && (!bound || (this.keptEnd[job.index] as number) <= from)) {
      const lag = job.endShift - from;
      choices.push({
        from: job.endNode,
        to: origin,
        lag,
        ...side,
        short: timing.shortfall(job.endNode, origin, lag),
      });
    }
    if (job.startNode !== origin && (!bound || (this.keptStart[job.index] as number) >= to)) {
      const lag = to - job.startShift;
      choices.push({
        from: origin,
        to: job.startNode,
        lag,
        ...side,
        short: timing.shortfall(origin, job.startNode, lag),
      });
    }
  }
}
