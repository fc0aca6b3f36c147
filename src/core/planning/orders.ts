import { endEvent, startEvent, type Network } from './network';
import type { ModelTask } from './model';
import { shuffled, type Random } from './random';
import { FIRM, Timing } from './timing';

/** Ways to sort out one clash that are priced exactly before one is chosen. */
const PRICED = 3;

/** A task and where its start and end hang. */
export interface Job {
  index: number;
  task: ModelTask;
  startNode: number;
  startShift: number;
  endNode: number;
  endShift: number;
}

/** A job as it holds one resource. */
interface User {
  job: Job;
  amount: number;
  setting: number | null;
}

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

/** Too much is asked of a resource: at a minute, or by two jobs that want it at different settings. */
interface Clash {
  resource: number;
  minute: number;
  pair: [Job, Job] | null;
}

/**
 * A plan as an order of its work. Which job comes before which on a machine, and on which side of an empty shift, is
 * posted as an arc where times without it would clash, and the timing keeps all times the best for what is posted.
 */
export class Orders {
  readonly timing: Timing;
  readonly jobs: Job[] = [];
  posted: Order[] = [];
  /** Start and end of each job in the plan that is kept to where nothing else is said. */
  readonly keptStart: Int32Array;
  readonly keptEnd: Int32Array;
  /** 1 for jobs that may take another place in the order. */
  readonly isFree: Uint8Array;
  private readonly start: Int32Array;
  private readonly end: Int32Array;
  private readonly jobsAt: number[][];
  private readonly users: User[][];
  /** The most there ever is of each resource. */
  private readonly most: number[];
  private readonly free: Int32Array[];
  private readonly dirty: number[] = [];
  private readonly isDirty: Uint8Array;
  private readonly origin: number;
  private patience = 0;
  private readonly won = new Set<number>();

  constructor(
    readonly network: Network,
    private readonly random: Random,
  ) {
    const { model, blocks, blockOf, offsetOf, windows } = network;
    const count = blocks.length;
    this.origin = count;
    const start = windows.from.slice();
    for (const b of network.fixed) start[b] = 0;
    this.timing = new Timing(start);
    const fixed = new Uint8Array(count);
    for (const b of network.fixed) fixed[b] = 1;
    const nodeOf = (b: number) => (fixed[b] === 1 ? count : b);
    const shiftOf = (b: number) => (fixed[b] === 1 ? (windows.from[b] as number) : 0);
    this.jobsAt = Array.from({ length: count + 1 }, () => []);
    this.users = model.resources.map(() => []);
    this.most = model.resources.map(({ capacity }) => capacity.reduce((most, c) => Math.max(most, c), 0));
    this.free = model.resources.map(({ capacity }) => capacity.slice());
    for (const task of model.tasks) {
      if (task.uses.length === 0 || task.max === 0) continue;
      const at = (event: number) => {
        const b = blockOf[event] as number;
        return { node: nodeOf(b), shift: (offsetOf[event] as number) + shiftOf(b) };
      };
      const [begin, end] = [at(startEvent(task.index)), at(endEvent(task.index))];
      const job: Job = {
        ...{ index: this.jobs.length, task },
        ...{ startNode: begin.node, startShift: begin.shift, endNode: end.node, endShift: end.shift },
      };
      this.jobs.push(job);
      for (const node of new Set([begin.node, end.node])) this.jobsAt[node]?.push(job.index);
      for (const { resource, amount, setting } of task.uses)
        this.users[resource]?.push({ job, amount, setting });
    }
    const size = this.jobs.length;
    this.start = new Int32Array(size);
    this.end = new Int32Array(size);
    this.keptStart = new Int32Array(size);
    this.keptEnd = new Int32Array(size);
    this.isFree = new Uint8Array(size);
    this.isDirty = new Uint8Array(size);
    this.addRules(nodeOf, shiftOf);
    for (const job of this.jobs) this.place(job);
  }

  /** What does not depend on the order: windows, lengths, links, promises. */
  private addRules(nodeOf: (b: number) => number, shiftOf: (b: number) => number): void {
    const { timing, origin } = this;
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
  keep(): void {
    this.sync();
    this.keptStart.set(this.start);
    this.keptEnd.set(this.end);
    this.timing.commit();
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

  /** Looks at every job again. */
  doubt(): void {
    for (const { index } of this.jobs) this.markDirty(index);
  }

  /** Takes back all that was done since the mark; the plan then was sound. */
  restore(mark: number, cost: number, posted: Order[]): void {
    this.timing.rollback(mark, cost);
    this.posted = posted;
    this.sync();
    for (const j of this.dirty) this.isDirty[j] = 0;
    this.dirty.length = 0;
  }

  /** Posts orders until nothing clashes. False, with work half done, where that costs more than `limit`, or is not to be
   * had by taking away `patience` other orders that bar the way. */
  sortOut(limit: number, patience: number): boolean {
    this.patience = patience;
    this.won.clear();
    for (;;) {
      if (this.timing.cost > limit) return false;
      this.sync();
      const clash = this.nextClash();
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
      if (arc >= 0) {
        priced++;
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
        this.markDirty(j);
      }
    }
    return false;
  }

  private choices(clash: Clash): Choice[] {
    const { model } = this.network;
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
    for (const user of this.users[clash.resource] as User[]) {
      const { index } = user.job;
      if ((this.start[index] as number) <= minute && (this.end[index] as number) > minute) there.push(user);
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
      if (enough > (this.most[clash.resource] as number)) continue;
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
    const short = this.timing.shortfall(u.endNode, v.startNode, apart);
    choices.push({ from: u.endNode, to: v.startNode, lag: apart, before: u.index, after: v.index, short });
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

  /** The clash of the earliest job that has one. */
  private nextClash(): Clash | null {
    const { dirty, isDirty } = this;
    while (dirty.length > 0) {
      const first = this.random.below(dirty.length);
      const j = dirty[first] as number;
      const clash = this.clashOf(this.jobs[j] as Job);
      if (clash) return clash;
      isDirty[j] = 0;
      dirty[first] = dirty[dirty.length - 1] as number;
      dirty.pop();
    }
    return null;
  }

  private clashOf(job: Job): Clash | null {
    const [start, end] = [this.start[job.index] as number, this.end[job.index] as number];
    if (end <= start) return null;
    for (const { resource, setting } of job.task.uses) {
      const free = this.free[resource] as Int32Array;
      for (let m = start; m < end; m++)
        if ((free[m] as number) < 0) return { resource, minute: m, pair: null };
      if (setting === null) continue;
      const changeover = this.network.model.resources[resource]?.changeover as number;
      for (const other of this.users[resource] ?? []) {
        if (other.setting === null || other.setting === setting) continue;
        const { index } = other.job;
        const [from, to] = [this.start[index] as number, this.end[index] as number];
        if (to > from && from < end + changeover && to > start - changeover)
          return { resource, minute: start, pair: [job, other.job] };
      }
    }
    return null;
  }

  /** Brings what the jobs hold up to their times. */
  private sync(): void {
    const { timing } = this;
    for (const node of timing.touched)
      for (const j of this.jobsAt[node] as number[]) this.place(this.jobs[j] as Job);
    timing.forgetTouched();
  }

  private place(job: Job): void {
    const { times } = this.timing;
    const j = job.index;
    const start = (times[job.startNode] as number) + job.startShift;
    const end = (times[job.endNode] as number) + job.endShift;
    const [was, until] = [this.start[j] as number, this.end[j] as number];
    if (start === was && end === until) return;
    for (const { resource, amount } of job.task.uses) {
      const free = this.free[resource] as Int32Array;
      if (end <= was || until <= start) {
        for (let m = was; m < until; m++) free[m] = (free[m] as number) + amount;
        for (let m = start; m < end; m++) free[m] = (free[m] as number) - amount;
        continue;
      }
      for (let m = was; m < start; m++) free[m] = (free[m] as number) + amount;
      for (let m = start; m < was; m++) free[m] = (free[m] as number) - amount;
      for (let m = end; m < until; m++) free[m] = (free[m] as number) + amount;
      for (let m = until; m < end; m++) free[m] = (free[m] as number) - amount;
    }
    this.start[j] = start;
    this.end[j] = end;
    this.markDirty(j);
  }

  private markDirty(j: number): void {
    if (this.isDirty[j] === 1) return;
    this.isDirty[j] = 1;
    this.dirty.push(j);
  }
}
