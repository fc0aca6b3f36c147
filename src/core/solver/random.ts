/** Draws whole numbers; the same seed gives the same row of draws. */
export interface Random {
  /** A whole number from 0 to `n - 1`; `n` is at least 1. */
  below(n: number): number;
  /** A number from 0 up to, but not including, 1. */
  unit(): number;
}

/** A small seeded generator (a 32-bit counter with a mixing step); good enough to vary a search. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  const unit = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return { unit, below: (n) => Math.floor(unit() * n) };
}

/** `items` in random order; a new array. */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const keyed = items.map((item) => ({ item, key: random.unit() }));
  return keyed.sort((a, b) => a.key - b.key).map(({ item }) => item);
}
