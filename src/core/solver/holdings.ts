import type { ModelTask } from './model';
import { endEvent, startEvent, type Network } from './network';
import type { Random } from './random';
import type { Timing } from './timing';

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
export interface User {
  job: Job;
  amount: number;
  setting: number | null;
}

/** Too much is asked of a resource: at a minute, or by two jobs that want it at different settings. */
export interface Clash {
  resource: number;
  minute: number;
  pair: [Job, Job] | null;
}

/** Where the blocks of a network hang in its timing: the fixed ones on the origin, by a shift. */
export interface Hooks {
  origin: number;
  nodeOf: (block: number) => number;
  shiftOf: (block: number) => number;
}

export function hooksOf({ blocks, fixed, windows }: Network): Hooks {
  const origin = blocks.length;
  const isFixed = new Uint8Array(origin);
  for (const b of fixed) isFixed[b] = 1;
  return {
    origin,
    nodeOf: (b) => (isFixed[b] === 1 ? origin : b),
    shiftOf: (b) => (isFixed[b] === 1 ? (windows.from[b] as number) : 0),
  };
}

/** What every job holds, minute by minute, at the timing's present times; and where too much is asked. */
export class Holdings {
  readonly jobs: Job[] = [];
  /** Start and end of each job. */
  readonly start: Int32Array;
  readonly end: Int32Array;
  readonly users: User[][];
  /** The most there ever is of each resource. */
  readonly most: number[];
  private readonly jobsAt: number[][];
  private readonly free: Int32Array[];
  private readonly dirty: number[] = [];
  private readonly isDirty: Uint8Array;

  constructor(
    private readonly network: Network,
    private readonly timing: Timing,
    { origin, nodeOf, shiftOf }: Hooks,
    private readonly random: Random,
  ) {
    const { model, blockOf, offsetOf } = network;
    this.jobsAt = Array.from({ length: origin + 1 }, () => []);
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
    this.start = new Int32Array(this.jobs.length);
    this.end = new Int32Array(this.jobs.length);
    this.isDirty = new Uint8Array(this.jobs.length);
    for (const job of this.jobs) this.place(job);
  }

  /** Looks at every job again. */
  doubt(): void {
    for (const { index } of this.jobs) this.doubtJob(index);
  }

  /** Takes the present plan for sound. */
  trust(): void {
    for (const j of this.dirty) this.isDirty[j] = 0;
    this.dirty.length = 0;
  }

  /** A clash of some job that may have one, or null where nothing clashes. */
  nextClash(): Clash | null {
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
  sync(): void {
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
    this.doubtJob(j);
  }

  doubtJob(j: number): void {
    if (this.isDirty[j] === 1) return;
    this.isDirty[j] = 1;
    this.dirty.push(j);
  }
}
