import { clashes, clashKey, type Clash } from './clashes';
import { compile } from './model';
import { networkOf, startEvent, type Network } from './network';
import type { PlanProblem, Times } from './problem';
import { planCost } from './cost';
import { seeded } from './random';
import { standingIn } from './standing';
import { State } from './state';
import { withStay } from './stay';

/** What becomes of a plan when one step is taken somewhere else. */
export interface Supposed {
  /** Where the dragged step starts: where it was asked for, or as near as its own dough lets it. */
  start: number;
  /** New times of the steps that move, the dragged one included. */
  moved: Times;
  /** Cost of the plan with them, by the problem's own terms, and of the plan without. */
  cost: number;
  costBefore: number;
  /** Rules that it would break and the plan before did not. */
  breaks: Clash[];
}

/** Price of a unit-minute too much: dearer than any wait, so that a dough makes way where it can. */
const PRICE = 50;

/**
 * Answers, within milliseconds, what moves when a step is dragged: its dough follows with as little change as it can and
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
   * @param stay what a minute's move of one of them costs
   */
  constructor(
    private readonly problem: PlanProblem,
    private readonly times: Times,
    hands: Iterable<string>,
    stay = 1,
  ) {
    this.indexOf = new Map(problem.tasks.map(({ id }, i) => [id, i]));
    this.costBefore = planCost(problem, times);
    this.before = new Set(clashes(problem, times).map(clashKey));
    this.network = networkOf(compile(withStay(problem, times, hands, stay)));
    if (!this.network) return;
    this.state = new State(this.network, seeded(1));
    this.standing = standingIn(this.state, times);
    this.state.reset(this.standing);
  }

  /** Supposes that `task` starts at `start`; null where its dough has no place then, or where it is fixed. */
  move(task: string, start: number): Supposed | null {
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
    const placed = state.insert(members, PRICE, Infinity, { forced: { block, from: at, to: at } });
    const supposed = placed ? this.read(at + offset) : null;
    state.reset(this.standing);
    return supposed;
  }

  private read(start: number): Supposed {
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
