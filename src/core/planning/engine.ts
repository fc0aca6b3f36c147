import { relaxedCost } from './conflict';
import { legsOf, neighbours } from './legs';
import type { Model } from './model';
import { Placer } from './placement';
import { seeded, shuffled, type Random } from './random';
import { ownCost, State, type Places } from './state';
import { narrow, ownWindows, pinnedPlaces } from './windows';

export interface SearchOptions {
  seed: number;
  /** Asked between moves; the search gives its best so far when it says true. */
  shouldStop: () => boolean;
  /** Told of each better sound plan. */
  onBetter?: (cost: number) => void;
}

/** The best plan found: starts and ends by task index. `proven`: no plan can cost less. */
export interface Found {
  start: Int32Array;
  end: Int32Array;
  cost: number;
  proven: boolean;
}

/** Price of a unit-minute of overload to begin with: dear against any cost of the trade, but not endless. */
const FIRST_PRICE = 300;
/** Moves without a sound plan after which the price of overload rises. */
const PATIENCE = 40;
/** Minutes from its present place within which a lifted task may land, drawn anew for each move. */
const REACHES = [30, 60, 60, 120, 120, 240, 480, 1440];
/** How much dearer a contested minute gets each time it is found contested, as a share of overload. */
const GRUDGE = 0.05;
/** How far, as a share of the best cost, a move may worsen the plan to get out of a dip. */
const SLACK = 0.015;

/**
 * Searches a plan: every dough is placed alone as well as it can be, in order of need, overload at a price; then
 * parts of the plan are lifted and placed anew, over and over, which makes the overload go and the cost fall.
 * Returns null when time ran out before any sound plan was found.
 */
export function search(model: Model, { seed, shouldStop, onBetter }: SearchOptions): Found | null {
  const random = seeded(seed);
  const base = ownWindows(model);
  for (const members of model.components) if (!narrow(model, base, members)) return null;
  const state = new State(model, new Placer(model, base), random);
  const bound = relaxedCost(model);
  let price = FIRST_PRICE;
  const pinned = pinnedPlaces(base);
  state.pin(pinned);
  const isPinned = new Set(pinned.map(({ task }) => task));
  for (const dough of byNeed(model)) {
    const members = dough.filter((i) => !isPinned.has(i));
    let placed = state.insert(members, price);
    for (let tries = 0; !placed && tries < 50 && !shouldStop(); tries++)
      placed = state.insert(members, price);
    if (!placed) return null;
  }

  const moves = new Moves(state, random, isPinned);
  if (!untangle(state, moves, random, shouldStop)) return null;

  let best: Found | null = null;
  let sinceSound = 0;
  for (;;) {
    if (state.overload === 0 && (best === null || state.cost < best.cost)) {
      best = {
        start: state.schedule.start.slice(),
        end: state.schedule.end.slice(),
        cost: state.cost,
        proven: state.cost <= bound,
      };
      onBetter?.(best.cost);
    }
    if (best?.proven || shouldStop() || !moves.possible) return best;
    sinceSound = state.overload === 0 ? 0 : sinceSound + 1;
    if (sinceSound > 0 && sinceSound % PATIENCE === 0) price *= 1.3;
    if (sinceSound === 0) price = Math.max(FIRST_PRICE, price * 0.999);

    const before = state.worth(price);
    const limit = best ? Math.max(before, best.cost + SLACK * Math.max(best.cost, 200)) : before;
    const undo: Places = [];
    let placed = true;
    const groups = moves.draw();
    for (const group of groups) undo.push(...state.lift(group));
    const lifted = new Set(undo.map((place) => place.task));
    const reach = REACHES[random.below(REACHES.length)] ?? model.horizon;
    const near = { places: new Map(undo.map((place) => [place.task, place])), reach };
    for (const group of groups) {
      placed &&= state.insert(group, price, near);
      if (placed) for (const i of group) lifted.delete(i);
    }
    if (!placed || state.worth(price) > limit) {
      state.lift(undo.map((place) => place.task).filter((i) => !lifted.has(i)));
      state.restore(undo);
    }
  }
}

/**
 * Makes overload go: tasks that clash are lifted, with their dough or their leg, and placed anew, whatever that costs,
 * while contested minutes grow dearer for everybody. Returns false when it has to stop before all is sound.
 */
function untangle(state: State, moves: Moves, random: Random, shouldStop: () => boolean): boolean {
  for (let round = 0; state.overload > 0; round++) {
    if (shouldStop()) return false;
    const clashing = state.overloaded().filter((i) => moves.isFree(i));
    state.resentOverload(clashing, GRUDGE);
    const seed = clashing[random.below(clashing.length)];
    if (seed === undefined) return false;
    const group = random.unit() < 0.7 ? moves.dough(seed) : moves.leg(seed);
    const places = state.lift(group);
    if (!state.insert(group, FIRST_PRICE)) state.restore(places);
  }
  state.forgive();
  return true;
}

/** Components by their earliest promise: what is due first is placed first. */
function byNeed(model: Model): number[][] {
  const need = (members: number[]) =>
    Math.min(Infinity, ...members.flatMap((i) => (model.tasks[i]?.outputs ?? []).map((o) => o.due)));
  return [...model.components].sort((a, b) => need(a) - need(b));
}

/** Draws the parts of the plan to lift next: groups of tasks, each linked in itself, none pinned in full. */
class Moves {
  private readonly free: number[];
  private readonly componentOf: number[][];

  constructor(
    private readonly state: State,
    private readonly random: Random,
    pinned: ReadonlySet<number>,
  ) {
    const { tasks, components } = state.model;
    this.free = tasks.map((task) => task.index).filter((i) => !pinned.has(i));
    this.componentOf = [];
    for (const members of components) {
      const open = members.filter((i) => !pinned.has(i));
      for (const i of members) this.componentOf[i] = open;
    }
  }

  isFree(i: number): boolean {
    return (this.componentOf[i] ?? []).includes(i);
  }

  /** The free tasks of the dough of task `i`. */
  dough(i: number): number[] {
    return this.componentOf[i] ?? [];
  }

  get possible(): boolean {
    return this.free.length > 0;
  }

  draw(): number[][] {
    const seed = this.pick();
    const kind = this.random.unit();
    if (kind < 0.25) return [this.componentOf[seed] ?? []];
    if (kind < 0.5) return [this.stretch(seed, 2 + this.random.below(12))];
    if (kind < 0.7) return [this.leg(seed)];
    const around = this.around(seed);
    const whole = kind < 0.8;
    const seen = new Set<number>();
    const groups: number[][] = [];
    for (const i of [seed, ...around]) {
      if (seen.has(i)) continue;
      const group = (whole ? (this.componentOf[i] ?? []) : this.leg(i)).filter((j) => !seen.has(j));
      for (const j of group) seen.add(j);
      groups.push(group);
      if (groups.length > (whole ? 2 : 4)) break;
    }
    return shuffled(groups, this.random);
  }

  /** A free task, oftener one that costs. */
  private pick(): number {
    const { schedule, model } = this.state;
    let chosen = this.any();
    let most = -1;
    for (let draw = 0; draw < 1 + this.random.below(6); draw++) {
      const i = this.any();
      const task = model.tasks[i];
      const cost = task ? ownCost(task, schedule.start[i] as number, schedule.end[i] as number) : 0;
      if (cost > most) [chosen, most] = [i, cost];
    }
    return chosen;
  }

  private any(): number {
    return this.free[this.random.below(this.free.length)] as number;
  }

  /** Up to `size` free tasks around `seed`, along links. */
  private stretch(seed: number, size: number): number[] {
    const open = new Set(this.componentOf[seed]);
    const set = [seed];
    open.delete(seed);
    for (const at of set) {
      for (const next of shuffled(neighbours(this.state.model, at), this.random)) {
        if (set.length < size && open.delete(next)) set.push(next);
      }
    }
    return set;
  }

  /** The stretch without forks that task `seed` is in. */
  leg(seed: number): number[] {
    const legs = legsOf(this.state.model, this.componentOf[seed] ?? []);
    return legs.find((leg) => leg.includes(seed)) ?? [seed];
  }

  /** Other free tasks that hold a resource of `seed` near the time of `seed`, in random order. */
  private around(seed: number): number[] {
    const { model, schedule } = this.state;
    const near = 15 * 2 ** this.random.below(5);
    const uses = new Set((model.tasks[seed]?.uses ?? []).map((use) => use.resource));
    const [from, to] = [(schedule.start[seed] as number) - near, (schedule.end[seed] as number) + near];
    const found = this.free.filter(
      (i) =>
        i !== seed &&
        (schedule.end[i] as number) > from &&
        (schedule.start[i] as number) < to &&
        (uses.size === 0 || (model.tasks[i]?.uses ?? []).some((use) => uses.has(use.resource))),
    );
    return shuffled(found, this.random);
  }
}
