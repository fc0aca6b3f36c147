import type { Model } from './model';
import { Moves } from './moves';
import { networkOf } from './network';
import type { Times } from './problem';
import { seeded, shuffled, type Random } from './random';
import { Reinsertion } from './reinsertion';
import { Relaxed } from './relaxed';
import { standingIn } from './standing';
import { State } from './state';

export interface SearchOptions {
  seed: number;
  /** Asked between moves; the search gives its best so far when it says true. */
  shouldStop: () => boolean;
  /** Told of each better sound plan, and of the ids of the promises that are late in it. */
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

/** Price of a unit of overload in a plan that is to be sound: dear against any cost of the trade, but not endless. */
const PRICE = 100;
/** Price beyond which overload that is still there is taken for stubborn, and the attempt given up. */
const GIVE_UP = 100_000;
/** Plans begun anew, in another order, before one of them is improved. */
const STARTS = 4;
/** Cost beyond the least that a dough may have when it is first placed, where that keeps it off others. */
const WIDE = 1600;
/** How far from where it was a dough is looked for when a plan is taken up again, minutes. */
const NEAR = [0, 30, 240];
/** How far, as a share of its cost, a plan may worsen on the way out of a dip. */
const DIP = 0.01;

/**
 * Searches a plan. Doughs are placed one after the other, each as well as it can be, with overload at a price; then
 * parts of the plan are lifted and placed anew, which makes overload go and the cost fall. When nothing small helps any
 * more, a dough that suffers is put where it would be best, or everything may overlap for a while at a low price, and
 * rising prices sort it out again.
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
  private readonly moves: Moves;
  private readonly reinsertion: Reinsertion;

  constructor(
    private readonly state: State,
    private readonly relaxed: Relaxed,
    private readonly random: Random,
    private readonly options: SearchOptions,
  ) {
    this.moves = new Moves(state, relaxed, random);
    this.reinsertion = new Reinsertion(state, this.moves, relaxed, random);
  }

  run(): Found | null {
    if (this.state.network.components.length === 0) this.record();
    if (this.options.from) this.resume(this.options.from);
    for (let start = 0; !this.over() && (start < STARTS || this.best === null); start++) this.begin(start);
    if (this.best) this.state.reset(this.best.times);
    while (!this.over()) this.leap();
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

  private over(): boolean {
    return this.options.shouldStop() || (this.best !== null && this.best.cost <= this.relaxed.bound);
  }

  private record(): void {
    const { state } = this;
    if (state.overload > 0 || (this.best && state.cost >= this.best.cost)) return;
    this.best = { times: state.snapshot(), cost: state.cost };
    this.options.onBetter?.(state.cost, this.late());
  }

  private late(): string[] {
    const { state } = this;
    return state.network.model.tasks.flatMap(({ index, outputs }) => {
      const [, end] = state.span(index);
      return outputs.filter(({ due }) => end > due).map(({ id }) => id);
    });
  }

  /** Puts every dough where it was, or as near as it can be now, and makes the plan sound. */
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
    this.resolve(PRICE, 30, Infinity);
    this.descend(60, PRICE, () => this.promising());
    this.record();
  }

  /** Places every dough, in the order of need the first time and in ever other orders then, and makes the plan sound. */
  private begin(start: number): void {
    const { state, random } = this;
    const { components } = state.network;
    state.lift(components.flat().filter((b) => (state.times[b] as number) >= 0));
    const byNeed = [...components].sort((a, b) => this.dueOf(a) - this.dueOf(b));
    const rank = new Map(byNeed.map((members, i) => [members, i + (start === 0 ? 0 : 6 * random.unit())]));
    for (const members of byNeed.sort((a, b) => (rank.get(a) ?? 0) - (rank.get(b) ?? 0)))
      if (!this.place(members)) return;
    if (this.best && state.cost > 1.3 * this.best.cost + PRICE) return;
    this.resolve(PRICE, 30, Infinity);
    this.descend(30, PRICE, () => this.promising());
    this.record();
  }

  /** Puts a dough where it costs least, further off where it would overload something near its best place. */
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

  private promising(): number {
    return this.random.unit() < 0.5 ? this.moves.needy() : this.moves.costly();
  }

  /** Moves on as long as it helps: until `patience` moves in a row made nothing better, or `enough` is true. */
  private descend(patience: number, price: number, pick: () => number, enough = () => false): void {
    const { state } = this;
    for (let idle = 0; idle < patience && !this.options.shouldStop() && !enough(); idle++) {
      const before = state.worth(price);
      if (before <= this.relaxed.bound) return;
      const undo = this.reinsertion.around(pick(), { price, limit: before + 1 });
      const after = state.worth(price);
      if (after < before) idle = -1;
      if (after > before) undo();
    }
  }

  /** Makes overload go, at rising prices; leaves off when the plan costs more than `ceiling`. */
  private resolve(first: number, patience: number, ceiling: number): void {
    const { state, moves, random } = this;
    const sound = () => state.overload === 0;
    for (let price = first; !sound() && price < GIVE_UP; price = Math.ceil(price * 1.55)) {
      if (this.options.shouldStop() || state.cost > ceiling) break;
      let clashing = state.overloaded();
      let draws = 0;
      const pick = () => {
        if (++draws % 10 === 0) clashing = state.overloaded();
        return random.unit() < 0.8 && clashing.length > 0 ? moves.oneOf(clashing) : moves.costly();
      };
      this.descend(patience, price, pick, sound);
      if (price >= PRICE && !sound()) this.dislodge(price);
    }
    state.usage.forgive();
  }

  /** Places a clashing dough anew. What its own products contest it does not see, so those minutes are made dear. */
  private dislodge(price: number): void {
    const { state, moves } = this;
    state.usage.resentOverload(price, 15);
    const clashing = state.overloaded();
    const members = moves.dough(moves.oneOf(clashing));
    const places = state.lift(members);
    if (!state.insert(members, price)) state.restore(places);
  }

  /** Leaves the present plan for another part of the country; goes back unless that is better, or little worse. */
  private leap(): void {
    const { state, random, moves } = this;
    const before = state.cost;
    const places = state.snapshot();
    if (random.unit() < 0.5) this.descend(20, 2 + random.below(20), () => moves.costly());
    else this.favour(random.unit() < 0.8 ? moves.needy() : moves.costly());
    this.resolve(3 + random.below(10), 20, before * 1.06 + 50);
    if (state.overload === 0) {
      const changed = moves.changed(places);
      const near = () =>
        random.unit() < 0.7 && changed.length > 0 ? moves.oneOf(changed) : this.promising();
      this.descend(40, PRICE, near);
    }
    this.record();
    const limit = before - DIP * Math.max(before, 200) * Math.log(1 - random.unit());
    if (state.overload > 0 || state.cost > limit) state.reset(places);
  }

  /** Puts the dough of a block, and perhaps others near it, where they are best, whoever is there. */
  private favour(seed: number): void {
    const { state, random, moves, relaxed } = this;
    const doughs = new Set([moves.dough(seed)]);
    const near = moves.around(seed, 60);
    for (let more = random.below(3); more > 0 && near.length > 0; more--)
      doughs.add(moves.dough(moves.oneOf(near)));
    const before = state.snapshot();
    const spare = (state.cost - relaxed.bound) / 2 ** (1 + random.below(3));
    for (const members of doughs) state.lift(members);
    for (const members of shuffled([...doughs], random)) {
      if (state.insert(members, random.below(3), Infinity, { windows: relaxed.within(spare) })) continue;
      state.reset(before);
      return;
    }
  }
}
