import { clashes, clashKey, type Clash } from './clashes';
import { compile } from './model';
import { networkOf, startEvent, type Network } from './network';
import type { PlanProblem, Times } from './problem';
import { planCost } from './cost';
import { seeded } from './random';
import { standingIn } from './standing';
import { State } from './state';
import { withEndWishes } from './end-wishes';

/** What becomes of a plan when one step is taken somewhere else. */
export interface TaskMove {
  /** Where the dragged step starts: where it was asked for, or as near as its own project lets it. */
  start: number;
  /** New times of the steps that move, the dragged one included. */
  moved: Times;
  /** Cost of the plan with them, by the problem's own terms, and of the plan without. */
  cost: number;
  costBefore: number;
  /** Rules that it would break and the plan before did not. */
  breaks: Clash[];
}

/** Price of a unit-minute too much: dearer than any wait, so that a project makes way where it can. */
const PRICE = 50;

/** How far from being taken along by as much the other steps of a project may end up, minutes: as little as can be. */
const ALONG = [0, 15, 60, 240, Infinity];

/** How far from its present start a step is tried, and in steps of how many minutes. */
const FARTHEST = 480;
const STRIDE = 10;

/** How early or late a step can be, and what is in the way beyond that. */
export interface Reach {
  start: number;
  /** A rule that would break next; a promise that would be late; nothing where its own project leaves no room. */
  stop: { clash: Clash } | { late: string } | { shut: true } | { far: true };
  /** Times of the steps that would move with it. */
  moved: Times;
}

/**
 * Answers, within milliseconds, what moves when a step is dragged: its project follows with as little change as it can and
 * makes way for the others, which stay. What it cannot make way for is said.
 */
export class WhatIf {
  private readonly network: Network | null;
  private readonly state: State | null = null;
  private readonly standing: Int32Array = new Int32Array(0);
  private readonly indexOf: Map<string, number>;
  private readonly costBefore: number;
  private readonly before: Set<string>;

  /**
   * @param times the present plan, a time for every task
   * @param hands ids of the steps that people carry out: those that should stay where they can
   * @param stay what a minute's move of one of them costs; the house's `stay_cost`
   */
  constructor(
    private readonly problem: PlanProblem,
    private readonly times: Times,
    hands: Iterable<string>,
    stay: number,
  ) {
    this.indexOf = new Map(problem.tasks.map(({ id }, i) => [id, i]));
    this.costBefore = planCost(problem, times);
    this.before = new Set(clashes(problem, times).map(clashKey));
    this.network = networkOf(compile(withEndWishes(problem, times, hands, stay)));
    if (!this.network) return;
    this.state = new State(this.network, seeded(1));
    this.standing = standingIn(this.state, times);
    this.state.reset(this.standing);
  }

  /**
   * Supposes that `task` starts at `start`; null where its project has no place then, or where it is fixed. Of `whole`, the
   * rest of its project is taken along by as much, as nearly as it can be; otherwise it stays where it can.
   */
  move(task: string, start: number, whole = false): TaskMove | null {
    const { network, state } = this;
    const index = this.indexOf.get(task);
    if (!network || !state || index === undefined) return null;
    const event = startEvent(index);
    const [block, offset] = [network.blockOf[event] as number, network.offsetOf[event] as number];
    const members = network.components[state.componentOf[block] as number];
    if (!members) return null;
    const [earliest, latest] = [network.windows.from[block] as number, network.windows.to[block] as number];
    const at = Math.min(latest, Math.max(earliest, start - offset));
    state.lift(members);
    const forced = { block, from: at, to: at };
    const by = at - (this.standing[block] as number);
    const alongside = new Map(members.map((b) => [b, (this.standing[b] as number) + by]));
    const placed = (whole ? ALONG : [Infinity]).some((reach) =>
      state.insert(members, PRICE, Infinity, {
        forced,
        ...(reach < Infinity ? { near: { times: alongside, reach } } : {}),
      }),
    );
    const supposed = placed ? this.read(at + offset) : null;
    state.reset(this.standing);
    return supposed;
  }

  /** How far a step can be moved earlier and later with no rule broken and no promise later than it is now. */
  reach(task: string): { earlier: Reach; later: Reach } | null {
    const span = this.times[task];
    if (!span) return null;
    return { earlier: this.reachBy(task, span[0], -STRIDE), later: this.reachBy(task, span[0], STRIDE) };
  }

  private reachBy(task: string, from: number, stride: number): Reach {
    let reach: Reach = { start: from, stop: { far: true }, moved: {} };
    for (let start = from + stride; Math.abs(start - from) <= FARTHEST; start += stride) {
      const supposed = this.move(task, start);
      if (supposed?.start !== start) return { ...reach, stop: { shut: true } };
      const [clash] = supposed.breaks;
      if (clash) return { ...reach, stop: { clash } };
      const late = this.problem.outputs.find(({ task: id, due }) => {
        const [was = 0, now = 0] = [this.times[id]?.[1], supposed.moved[id]?.[1]];
        return now > due && now > was;
      });
      if (late) return { ...reach, stop: { late: late.task } };
      reach = { start, stop: { far: true }, moved: supposed.moved };
    }
    return reach;
  }

  private read(start: number): TaskMove {
    const { state, problem, times } = this;
    const moved: Times = {};
    problem.tasks.forEach(({ id }, i) => {
      const span = (state as State).span(i);
      const was = times[id];
      if (!was || was[0] !== span[0] || was[1] !== span[1]) moved[id] = span;
    });
    const after = { ...times, ...moved };
    const breaks = clashes(problem, after).filter((clash) => !this.before.has(clashKey(clash)));
    return { start, moved, cost: planCost(problem, after), costBefore: this.costBefore, breaks };
  }
}
