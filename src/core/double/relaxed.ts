import { type Instant, MINUTE } from '../time/local';
import type { HiddenDough } from './dough-truth';

/** The stress of rolling halves in so many minutes of rest, in a dough of usual strength (docs/trade.md). */
const HALF = 25;
/** A dough that has relaxed less than this springs back. */
export const SPRINGS = 0.6;

/** How far a dough has relaxed in a rest since it was last rolled, 0 to 1. */
export function relaxedIn(
  { strength = 1, longer = {} }: Pick<HiddenDough, 'strength' | 'longer'>,
  rest: { key: string; start: Instant },
  at: Instant,
): number {
  const rested = (at - rest.start) / MINUTE + (longer[rest.key] ?? 0);
  return 1 - 2 ** (-Math.max(0, rested) / (HALF * strength));
}
