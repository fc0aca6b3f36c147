import type { Model } from './model';
import { Moves } from './moves';
import { networkOf } from './network';
import type { Times } from './problem';
import { seeded, type Random } from './random';
import { Relaxed } from './relaxed';
import { Reorder } from './reorder';
import { standingIn } from './standing';
import { State } from './state';

export interface SearchOptions {
  seed: number;
  /** Asked between moves; the search gives its best so far when it says true. */
  shouldStop: () => boolean;
  /** Told of each better sound plan, and of the ids of the outputs that are late in it. */
  onBetter?: (cost: number, late: string[]) => void;
  /** A plan to begin from: what of it still holds is kept at first. */
  from?: Times;
}

/** The best plan found: starts and ends by task index. `proven`: no plan can cost less. */
export interface Found {
  start: Int32Array;
  end: Int32Array;
  cost: number;
  proven: boolean;
}

/** Price of a unit of overload when projects are first placed: dear against any cost of the trade, but not endless. */
const PRICE = 100;
/** Plans begun anew, in other orders of the projects, before the best of them is improved: the more the smaller they are. */
const STARTS = { least: 2, most: 16, tasks: 1800 };
/** Orders that the first start may take away to make its plan sound; where none is found, each start has twice as many. */
const PATIENCE = { first: 20, most: 500, later: 30 };
/** What a further start may cost at the most, as a multiple of the best. */
const WORTH = 1.5;
/** Changes in a row that make the best plan no better, after which another plan is begun. */
const STALE = 500;
/** Changes in a row that did not help, after which the best plan is taken up afresh. */
const AFRESH = 30;
/** Cost beyond the least that a project may have when it is first placed, where that keeps it off others. */
const WIDE = 1600;
/** How far from where it was a project is looked for when a plan is taken up again, minutes. */
const NEAR = [0, 30, 240];

/**
 * Searches a plan. Projects are placed one after the other, each as well as it can be, with overlap at a price; then
 * places in the order of work are found for what overlaps ({@link Orders}). The best of some plans begun so is improved
 * ({@link Reorder}) until nothing has helped for long; then others are begun.
 *
 * Returns null where there is no plan, or when time ran out before a sound one was found.
 */
export function search(model: Model, options: SearchOptions): Found | null {
  const network = networkOf(model);
  if (!network) return null;
  const random = seeded(options.seed);
  const state = new State(network, random);
  const relaxed = Relaxed.of(state);
  return relaxed && new Search(state, relaxed, random, options).run();
}

class Search {
  private best: { times: Int32Array; cost: number } | null = null;
  private readonly reorder: Reorder;

  constructor(
    private readonly state: State,
    private readonly relaxed: Relaxed,
    private readonly random: Random,
    private readonly options: SearchOptions,
  ) {
    this.reorder = new Reorder(state, relaxed, new Moves(state, relaxed, random), random);
  }

  run(): Found | null {
    if (this.state.network.components.length === 0) this.record();
    if (this.options.from) this.resume(this.options.from);
    const wished = Math.round(STARTS.tasks / this.state.network.model.tasks.length);
    const starts = Math.max(STARTS.least, Math.min(STARTS.most, wished));
    for (let start = 0; !this.over(); start++) {
      this.begin(start);
      if (start + 1 >= starts && this.takeUpBest()) this.improve(STALE);
    }
    if (!this.best) return null;
    this.state.reset(this.best.times);
    const spans = this.state.network.model.tasks.map((task) => this.state.span(task.index));
    return {
      start: Int32Array.from(spans, ([start]) => start),
      end: Int32Array.from(spans, ([, end]) => end),
      cost: this.best.cost,
      proven: this.best.cost <= this.relaxed.bound,
    };
  }

  /** Gives work other places in the order, until so many changes in a row have made the best plan no better. */
  private improve(patience: number): void {
    for (let idle = 1; idle <= patience && !this.over(); idle++) {
      this.reorder.leap();
      if (this.record()) idle = 0;
      else if (idle % AFRESH === 0 && !this.takeUpBest()) return;
    }
  }

  private takeUpBest(): boolean {
    if (!this.best) return false;
    this.state.reset(this.best.times);
    return this.reorder.adopt();
  }

  private over(): boolean {
    return this.options.shouldStop() || (this.best !== null && this.best.cost <= this.relaxed.bound);
  }

  private record(): boolean {
    const { state } = this;
    if (state.overload > 0 || (this.best && state.cost >= this.best.cost)) return false;
    this.best = { times: state.snapshot(), cost: state.cost };
    this.options.onBetter?.(state.cost, this.late());
    return true;
  }

  private late(): string[] {
    const { state } = this;
    return state.network.model.tasks.flatMap(({ index, outputs }) => {
      const [, end] = state.span(index);
      return outputs.filter(({ due }) => end > due).map(({ id }) => id);
    });
  }

  /** Puts every project where it was, or as near as it can be now, and makes the plan sound. */
  private resume(times: Times): void {
    const { state } = this;
    const standing = standingIn(state, times);
    const was = new Map([...standing.entries()].filter(([, at]) => at >= 0));
    for (const members of state.network.components) {
      const near = NEAR.some((reach) =>
        state.insert(members, PRICE, Infinity, { near: { times: was, reach } }),
      );
      if (!near && !this.place(members)) return;
    }
    if (!this.reorder.adopt()) return;
    this.record();
    this.improve(STALE);
  }

  /** Places every project, in the order of need the first time and in ever other orders then, and makes the plan sound. */
  private begin(start: number): void {
    const { state, random } = this;
    const { components } = state.network;
    state.lift(components.flat().filter((b) => (state.times[b] as number) >= 0));
    const byNeed = [...components].sort((a, b) => this.dueOf(a) - this.dueOf(b));
    const rank = new Map(byNeed.map((members, i) => [members, i + (start === 0 ? 0 : 6 * random.unit())]));
    for (const members of byNeed.sort((a, b) => (rank.get(a) ?? 0) - (rank.get(b) ?? 0)))
      if (!this.place(members)) return;
    const { best } = this;
    const patience = best ? PATIENCE.later : Math.min(PATIENCE.most, PATIENCE.first * 2 ** start);
    if (this.reorder.adopt(best ? best.cost * WORTH : Infinity, patience)) this.record();
  }

  /** Puts a project where it costs least, further off where it would overload something near its best place. */
  private place(members: readonly number[]): boolean {
    const { state } = this;
    const before = state.overload;
    if (state.insert(members, PRICE, Infinity, { windows: this.relaxed.within(WIDE) })) {
      if (state.overload === before) return true;
      state.lift(members);
    }
    // Links that make a circle may fail once and hold in another order.
    for (let tries = 0; tries < 50 && !this.over(); tries++) if (state.insert(members, PRICE)) return true;
    return false;
  }

  private dueOf(members: readonly number[]): number {
    const { blocks } = this.state.network;
    return Math.min(
      Infinity,
      ...members.flatMap((b) => (blocks[b]?.promises ?? []).map(({ output }) => output.due)),
    );
  }
}
