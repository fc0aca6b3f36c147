/** How much more likely something is under one story than under another: 1 says nothing, above 1 speaks for the first. */
export type Odds = number;

/** One measurement proves little: whatever it is, it counts for no more than this, or one over this; nor do several for more. */
const MOST = { one: 30, all: 200 };

const bounded = (odds: number, most: number): Odds => Math.min(most, Math.max(1 / most, odds));

/** What a quantity usually is, what it is where the fault is at work, and how far it scatters either way. */
export interface Expected {
  usual: number;
  fault: number;
  scatter: number;
}

/**
 * How much a measured value speaks for a fault against the usual: the ratio of two normal densities. A value beyond the
 * fault's own mean speaks as that mean does, and one on the other side of the usual as the usual does, since neither is less typical of
 * it. A value that nobody measured says nothing.
 *
 * @example
 * oddsOf(19, { usual: 14, fault: 19, scatter: 1.5 }); // 30: butter at 19 °C smears
 * oddsOf(null, { usual: 14, fault: 19, scatter: 1.5 }); // 1
 */
export function oddsOf(value: number | null, { usual, fault, scatter }: Expected): Odds {
  if (value === null || !Number.isFinite(value)) return 1;
  const between = Math.min(Math.max(value, Math.min(usual, fault)), Math.max(usual, fault));
  const distance = (mean: number) => (between - mean) ** 2;
  return bounded(Math.exp((distance(usual) - distance(fault)) / (2 * scatter ** 2)), MOST.one);
}

/** Several words on one thing: they multiply, within what one story can be worth. */
export const together = (...odds: readonly Odds[]): Odds =>
  bounded(
    odds.reduce((all, one) => all * one, 1),
    MOST.all,
  );
