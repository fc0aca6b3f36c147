import type { BakeCorrection } from '../learning/bakes';
import type { Instant } from '../time/local';
import type { Machine } from './machines';

/** An oven's decks, counted from 1, and what is learnt of the whole and of each. */
export interface Decks {
  count: number;
  perDeck: number;
  whole: BakeCorrection;
  each: BakeCorrection[];
}

/** The decks of each oven of the house, by its id. */
export type OvenDecks = Readonly<Record<string, Decks>>;

/**
 * Decks for a load of some trays: those that hold nothing, the first first; where too few are free, as many as it needs all
 * the same, the fullest last.
 */
export function decksFor(
  trays: number,
  taken: readonly number[],
  { count, perDeck }: Pick<Decks, 'count' | 'perDeck'>,
): number[] {
  const needed = Math.min(count, Math.ceil(trays / Math.max(1, perDeck)));
  const held = (deck: number) => taken.filter((one) => one === deck).length;
  return Array.from({ length: count }, (_, i) => i + 1)
    .sort((a, b) => held(a) - held(b) || a - b)
    .slice(0, needed)
    .sort((a, b) => a - b);
}

/** How many decks an oven has, and how many trays each takes. */
export const deckSize = ({ capacity, decks = 1 }: Pick<Machine, 'capacity' | 'decks'>) => ({
  count: decks,
  perDeck: Math.max(1, Math.floor(capacity / decks)),
});

/** Trays of a load that is told to be on some decks. */
export interface OnDecks {
  decks: readonly number[];
  trays: number;
}

/** Trays that lie on each deck, the first deck first: a load is spread evenly over its decks. */
export function traysOnDecks(loads: readonly OnDecks[], count: number): number[] {
  return Array.from({ length: count }, (_, i) =>
    loads.reduce((sum, { decks, trays }) => sum + (decks.includes(i + 1) ? trays / decks.length : 0), 0),
  );
}

/**
 * Decks of those chosen for a load that others leave no room on; `[]` where it fits. A deck that nobody else is on takes
 * the load whatever its trays: whether all of them fit onto so few decks is seen by whoever stands there.
 *
 * @example
 * crowdedDecks({ decks: [1, 2], trays: 6 }, [{ decks: [2], trays: 3 }], { count: 3, perDeck: 3 }); // [2]
 */
export function crowdedDecks(
  { decks, trays }: OnDecks,
  others: readonly OnDecks[],
  { count, perDeck }: Pick<Decks, 'count' | 'perDeck'>,
): number[] {
  const held = traysOnDecks(others, count);
  const own = Math.min(perDeck, trays / Math.max(1, decks.length));
  return decks.filter((deck) => {
    const there = held[deck - 1] ?? 0;
    return there > 0 && there + own > perDeck + HAIR;
  });
}

/** Decks of an oven that are out at a moment. */
export const decksOut = ({ outages = [] }: Pick<Machine, 'outages'>, at: Instant): number[] =>
  outages.flatMap(({ start, end, deck }) => (deck !== undefined && start <= at && at < end ? [deck] : []));

/** Shares of trays are fractions. */
const HAIR = 1e-6;

/** How many times as long as written a load takes on these decks: the mean of what they do; the whole oven's where no deck is said. */
export function correctionOn(
  decks: readonly number[],
  { whole, each }: Pick<Decks, 'whole' | 'each'>,
): number {
  const known = decks.flatMap((deck) => each[deck - 1] ?? []).filter(({ bakes }) => bakes > 0);
  if (known.length === 0) return whole.ratio;
  return known.reduce((sum, { ratio }) => sum + ratio, 0) / known.length;
}

/** How many shelves a place has, by its id, where it is inside a machine that is counted in shelves. */
export function shelvesOf(
  machines: readonly Pick<Machine, 'place' | 'capacity' | 'unit'>[],
): ReadonlyMap<string, number> {
  return new Map(
    machines.flatMap(({ place, capacity, unit }) => (place && unit === 'shelves' ? [[place, capacity]] : [])),
  );
}
