import type { PlanProblem, Task, Times } from './problem';
import { seeded, type Random } from './random';

/** How much lengths vary: standard deviations as shares of the length. */
export interface Spread {
  /** Hands-on work. */
  work: number;
  /** Waits that end when something is ready: rises, temperatures. */
  wait: number;
}

/** The house's spread where its log says nothing: half of all hands-on work takes within a tenth of its time. */
export const USUAL_SPREAD: Spread = { work: 0.15, wait: 0.1 };

/** What many plays of a plan come to. */
export interface PlanSample {
  runs: number;
  /** Of each output: share of plays on time, and the minutes by which nine plays of ten are ready at the latest. */
  outputs: { id: string; task: string; due: number; onTime: number; p90: number }[];
  /** The waits and steps whose length goes most with lateness, strongest first, with the share that they decide. */
  watch: { task: string; weight: number }[];
}

/** However lucky, nothing takes less than this share of its time. */
const LEAST = 0.4;

interface Play {
  task: string;
  index: number;
  planned: number;
  length: number;
  /** Shortest length. */
  min: number;
  /** Waits whose length is free to absorb what comes before; hands-on work is not. */
  isWait: boolean;
  pinned: boolean;
  before: { task: number; min: number }[];
  /** Resources with a fixed number of places, as indices; crews among them. */
  uses: { resource: number; amount: number }[];
}

/**
 * Plays a plan through `runs` times, its lengths varied, its shared people and machines reacting: a step starts when what
 * it follows is done, when it is planned, and when its hands and machine are free, first planned first served. A wait
 * ends as planned if it is ready by then, and later if it is not. The same seed gives the same plays.
 */
export function samplePlan(
  problem: PlanProblem,
  times: Times,
  { runs, seed, spread = USUAL_SPREAD }: { runs: number; seed: number; spread?: Spread },
): PlanSample {
  const random = seeded(seed);
  const plays = playsOf(problem, times);
  const desks = problem.resources.map(({ capacity }) => new Desk(capacity, problem.horizon));
  const ends = new Float64Array(plays.length);
  const outputs = problem.outputs.map((output) => ({
    ...output,
    at: plays.findIndex(({ task }) => task === output.task),
    ready: new Float64Array(runs),
  }));
  const drawn = plays.map(() => new Float32Array(runs));
  const lateness = new Float64Array(runs);
  for (let run = 0; run < runs; run++) {
    for (const desk of desks) desk.clear();
    for (const play of plays) {
      const vary = play.isWait ? spread.wait : spread.work;
      const factor = play.pinned ? 1 : Math.max(LEAST, 1 + normal(random) * vary);
      (drawn[play.index] as Float32Array)[run] = factor;
      ends[play.index] = playOne(play, factor, ends, desks);
    }
    for (const { at, due, lateCost, ready } of outputs) {
      const end = ends[at] ?? 0;
      ready[run] = end;
      lateness[run] = (lateness[run] as number) + Math.max(0, end - due) * lateCost;
    }
  }
  return {
    runs,
    outputs: outputs.map(({ id, task, due, ready }) => {
      const sorted = ready.slice().sort();
      const onTime = ready.reduce((sum, at) => sum + (at <= due ? 1 : 0), 0) / runs;
      return { id, task, due, onTime, p90: Math.round(sorted[Math.floor(0.9 * (runs - 1))] ?? 0) };
    }),
    watch: watched(plays, drawn, lateness),
  };
}

function playsOf(problem: PlanProblem, times: Times): Play[] {
  const pins = new Set(problem.pins.filter(({ end }) => end !== undefined).map(({ task }) => task));
  const resourceOf = new Map(problem.resources.map(({ id }, i) => [id, i]));
  const order = [...problem.tasks].sort(
    (a, b) => start(times, a) - start(times, b) || end(times, a) - end(times, b),
  );
  const at = new Map(order.map(({ id }, i) => [id, i]));
  return order.map((task, index): Play => {
    const [from, to] = times[task.id] ?? [0, 0];
    const isWait = task.min < task.max;
    // One shape for all of them, field by field: a million plays read these.
    return {
      task: task.id,
      index,
      planned: from,
      length: to - from,
      min: task.min,
      isWait,
      pinned: pins.has(task.id),
      before: problem.links
        .filter((link) => link.to === task.id)
        .flatMap(({ from: id, min }) => {
          const before = at.get(id);
          return before === undefined || before >= index ? [] : [{ task: before, min }];
        }),
      // What waits holds its shelf however long; only what people do and what they do it at makes others wait.
      uses: isWait
        ? []
        : task.uses.map(({ resource, amount }) => ({ resource: resourceOf.get(resource) ?? -1, amount })),
    };
  });
}

const start = (times: Times, { id }: Task) => times[id]?.[0] ?? 0;
const end = (times: Times, { id }: Task) => times[id]?.[1] ?? 0;

/** When a step ends in this play. */
function playOne(play: Play, factor: number, ends: Float64Array, desks: readonly Desk[]): number {
  const { min, planned, length, isWait, before, uses } = play;
  let follows = -1;
  for (const link of before) follows = Math.max(follows, (ends[link.task] as number) + link.min);
  if (isWait) {
    // Ready after its shortest time as it turns out today; nobody looks before the plan says so.
    const begins = follows < 0 ? planned : follows;
    return Math.max(planned + length, begins + min * factor);
  }
  const minutes = Math.max(min === 0 ? 0 : 1, Math.round(length * factor));
  const ready = Math.max(planned, Math.ceil(follows));
  // Steps are played in the order of the plan, and none starts before it is planned.
  for (const { resource } of uses) desks[resource]?.forget(planned);
  return placed(ready, minutes, uses, desks) + minutes;
}

/** The first minute from `ready` at which all that is needed is free; holds it. */
function placed(ready: number, minutes: number, uses: Play['uses'], desks: readonly Desk[]): number {
  let at = ready;
  for (let moved = true; moved;) {
    moved = false;
    for (const { resource, amount } of uses) {
      const free = desks[resource]?.freeFrom(at, amount) ?? at;
      if (free > at) {
        at = free;
        moved = true;
      }
    }
  }
  for (const { resource, amount } of uses) desks[resource]?.hold(at + minutes, amount);
  return at;
}

/** Who is busy until when, of a resource whose number changes over the day. */
class Desk {
  private readonly until: number[] = [];
  private readonly amounts: number[] = [];
  private count = 0;
  /** The capacity step that holds at the minute asked for last; nothing is asked of an earlier one. */
  private first = 0;

  constructor(
    private readonly capacity: readonly (readonly [from: number, amount: number])[],
    private readonly horizon: number,
  ) {}

  clear(): void {
    this.count = 0;
    this.first = 0;
  }

  /** The first minute from `at` with so much free. Work that has begun is finished, also after the shift. */
  freeFrom(at: number, amount: number): number {
    const { capacity, until, amounts, count, horizon } = this;
    let step = this.first;
    for (let when = at; ;) {
      while ((capacity[step + 1]?.[0] ?? Infinity) <= when) step++;
      let free = (capacity[step]?.[1] ?? 0) - amount;
      let next = capacity[step + 1]?.[0] ?? horizon;
      for (let i = 0; i < count; i++) {
        const end = until[i] as number;
        if (end <= when) continue;
        free -= amounts[i] as number;
        if (end < next) next = end;
      }
      // Beyond the horizon nobody is asked any more.
      if (free >= 0 || next >= horizon) return when;
      when = next;
    }
  }

  hold(until: number, amount: number): void {
    this.until[this.count] = until;
    this.amounts[this.count++] = amount;
  }

  /** Forgets what is over by `minute`: nothing will be asked of an earlier one. */
  forget(minute: number): void {
    const { capacity, until, amounts } = this;
    while ((capacity[this.first + 1]?.[0] ?? Infinity) <= minute) this.first++;
    let kept = 0;
    for (let i = 0; i < this.count; i++) {
      if ((until[i] as number) <= minute) continue;
      until[kept] = until[i] as number;
      amounts[kept++] = amounts[i] as number;
    }
    this.count = kept;
  }
}

/** A draw from the standard normal distribution (Box and Muller 1958). */
function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random.unit())) * Math.cos(2 * Math.PI * random.unit());
}

/** Steps that decide less of the lateness than this are not worth watching. */
const WORTH = 0.03;
const MOST_WATCHED = 5;

/** How strongly each step's length goes with the lateness of the whole: squared correlation. */
function watched(plays: readonly Play[], drawn: readonly Float32Array[], lateness: Float64Array) {
  const runs = lateness.length;
  const mean = lateness.reduce((sum, x) => sum + x, 0) / runs;
  const variance = lateness.reduce((sum, x) => sum + (x - mean) ** 2, 0);
  if (variance === 0) return [];
  return plays
    .map(({ task, pinned }, i) => {
      const factors = drawn[i] as Float32Array;
      const middle = factors.reduce((sum, x) => sum + x, 0) / runs;
      let [together, own] = [0, 0];
      for (let run = 0; run < runs; run++) {
        const off = (factors[run] as number) - middle;
        together += off * ((lateness[run] as number) - mean);
        own += off * off;
      }
      const weight = own === 0 || pinned || together <= 0 ? 0 : together ** 2 / (own * variance);
      return { task, weight };
    })
    .filter(({ weight }) => weight >= WORTH)
    .sort((a, b) => b.weight - a.weight)
    .slice(0, MOST_WATCHED);
}
