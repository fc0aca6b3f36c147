import type { Limits } from './fit-windows';
import type { Moves } from './moves';
import type { Random } from './random';
import type { Relaxed } from './relaxed';
import type { Places, State } from './state';

/** Minutes from its present time within which a lifted block may land, drawn anew for each move. */
const REACHES = [20, 40, 60, 120, 240, 480, 1440];
/** Prices at which a block is forced in before what it pushes makes way. */
const FORCING = [1, 3, 10, 30, 100];
/** Dearest overload while others still make way. */
const GIVING_WAY = 200;

/** What a move may do: `price` of a unit of overload, and the `limit` that the plan's worth must stay below. */
export interface Terms {
  price: number;
  limit: number;
}

/** Small changes of a plan: parts are lifted and placed anew, as well as they can be given all others. */
export class Reinsertion {
  constructor(
    private readonly state: State,
    private readonly moves: Moves,
    private readonly relaxed: Relaxed,
    private readonly random: Random,
  ) {}

  /** Makes a random move around block `seed`; returns how to take it back. */
  around(seed: number, terms: Terms): () => void {
    const draw = this.random.unit();
    if (draw >= 0.75) return this.push(seed, terms);
    return this.replace(this.draw(seed, draw), terms);
  }

  /** Blocks to be placed anew together. */
  private draw(seed: number, draw: number): readonly number[] {
    const { moves, random } = this;
    if (draw < 0.06) return moves.dough(seed);
    if (draw < 0.26) return moves.stretch(seed, 2 + random.below(8));
    if (draw < 0.46) return this.stretches(seed);
    if (draw < 0.66) return moves.beside(seed, 10 * 2 ** random.below(5));
    const near = moves.around(seed, 30);
    const doughs = [moves.dough(seed), moves.dough(near.length > 0 ? moves.oneOf(near) : moves.any())];
    for (let more = random.below(3); more > 0 && near.length > 0; more--)
      doughs.push(moves.dough(moves.oneOf(near)));
    return [...new Set(doughs)].flat();
  }

  /** A stretch around the seed and some of those that share its resources at that time. */
  private stretches(seed: number): number[] {
    const { moves, random } = this;
    const near = moves.around(seed, 10 * 2 ** random.below(5));
    const blocks = new Set(moves.stretch(seed, 1 + random.below(8)));
    for (let more = 1 + random.below(4); more > 0 && near.length > 0; more--)
      for (const b of moves.stretch(moves.oneOf(near), 1 + random.below(6))) blocks.add(b);
    return [...blocks];
  }

  /** Lifts blocks and places them anew, part after part, near where they were. */
  private replace(blocks: readonly number[], { price, limit }: Terms): () => void {
    const { state } = this;
    const spare = this.relaxed.excess(state, blocks);
    const over = state.overload;
    const places = state.lift(blocks);
    const near = { times: places, reach: this.reach() };
    // What is gained in these doughs is all that one of them may cost more.
    const windows = this.relaxed.within(spare + price * (over - state.overload));
    const undo = () => this.putBack(places);
    if (this.insert(blocks, { price, limit }, { windows, near })) return undo;
    undo();
    return nothing;
  }

  /** Forces the seed to another time, cheaply over others if need be; then those that it pushes make way. */
  private push(seed: number, { price, limit }: Terms): () => void {
    const { state, moves, random } = this;
    const places: Places = new Map();
    const lift = (blocks: Iterable<number>) => {
      for (const [b, at] of state.lift(blocks)) if (!places.has(b)) places.set(b, at);
    };
    const undo = () => this.putBack(places);
    const reach = this.reach();
    const near = { times: places, reach: 2 * reach };
    const at = state.times[seed] as number;
    const away = 1 + random.below(reach);
    const earlier = random.unit() < 0.5;
    const [from, to] = earlier ? [at - away, at - 1] : [at + 1, at + away];
    const pushing = random.unit() < 0.4 ? moves.dough(seed) : moves.stretch(seed, 1 + random.below(10));
    const spare = this.relaxed.excess(state, pushing);
    const over = state.overload;
    lift(pushing);
    const more = [50, 50, 200, 1000][random.below(4)] as number;
    const windows = this.relaxed.within(spare + price * (over - state.overload) + more);
    const forced = { block: seed, from, to };
    const first = FORCING[random.below(FORCING.length)] as number;
    if (!state.insert(pushing, first, limit, { windows, near, forced })) {
      undo();
      return nothing;
    }
    const moved = new Set(pushing);
    for (let round = 0; round < 4 && state.overload > 0; round++) {
      const pushed = state.overloaded(state.reach(moved)).filter((b) => !moved.has(b));
      if (pushed.length === 0) break;
      const blocks = new Set(pushed.flatMap((b) => moves.stretch(b, 1 + random.below(8))));
      for (const b of moved) blocks.delete(b);
      lift(blocks);
      const now = round < 2 ? 20 : Math.min(price, GIVING_WAY);
      if (!this.insert([...blocks], { price: now, limit }, { near })) {
        undo();
        return nothing;
      }
      for (const b of blocks) moved.add(b);
    }
    return undo;
  }

  private insert(blocks: readonly number[], { price, limit }: Terms, limits: Limits): boolean {
    return this.moves.parts(blocks).every((part) => this.state.insert(part, price, limit, limits));
  }

  private putBack(places: Places): void {
    const { state } = this;
    state.lift([...places.keys()].filter((b) => (state.times[b] as number) >= 0));
    state.restore(places);
  }

  private reach(): number {
    return REACHES[this.random.below(REACHES.length)] as number;
  }
}

const nothing = () => undefined;
