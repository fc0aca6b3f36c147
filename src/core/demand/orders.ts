import { addLocalDays, atLocalMinute, formatLocal, weekday, type Instant } from '../time/local';

/** So many pieces for a customer on one weekday (1 Monday to 7 Sunday), at a local minute of the day. */
export interface StandingOrder {
  id: number;
  customer: string;
  productId: number;
  weekday: number;
  dueMinute: number;
  pieces: number;
  /** Another number on single days, `2026-11-22`; 0 cancels it there. */
  changes: { day: string; pieces: number }[];
}

export interface SingleOrder {
  id: number;
  customer: string;
  productId: number;
  dueAt: Instant;
  pieces: number;
}

/** What a customer wants at one time. */
export interface Demand {
  source: { kind: 'standing'; id: number; day: string; usual: number } | { kind: 'single'; id: number };
  customer: string;
  productId: number;
  dueAt: Instant;
  pieces: number;
}

/** A local day, as orders and closed days name it: `2026-11-22`. */
export const dayOf = (at: Instant, zone: string): string => formatLocal(at, zone).slice(0, 10);

/**
 * What is to be ready between two moments, in order of time. Standing orders rest on closed days; what somebody ordered
 * for such a day all the same stands.
 */
export function demandBetween(
  standing: readonly StandingOrder[],
  single: readonly SingleOrder[],
  closed: ReadonlySet<string>,
  { from, to, zone }: { from: Instant; to: Instant; zone: string },
): Demand[] {
  const found: Demand[] = single.map(({ id, ...order }) => ({ source: { kind: 'single', id }, ...order }));
  for (let at = addLocalDays(from, 0, zone); at < to; at = addLocalDays(at, 1, zone)) {
    const day = dayOf(at, zone);
    if (closed.has(day)) continue;
    for (const order of standing.filter((one) => one.weekday === weekday(at, zone))) {
      const { id, customer, productId, dueMinute, pieces: usual, changes } = order;
      const pieces = changes.find((change) => change.day === day)?.pieces ?? usual;
      const dueAt = atLocalMinute(at, dueMinute, zone);
      found.push({ source: { kind: 'standing', id, day, usual }, customer, productId, dueAt, pieces });
    }
  }
  return found
    .filter(({ dueAt, pieces }) => dueAt > from && dueAt < to && pieces > 0)
    .sort((a, b) => a.dueAt - b.dueAt || a.customer.localeCompare(b.customer));
}
