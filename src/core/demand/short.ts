import { MINUTE, type Instant } from '../time/local';
import { GRACE, type OrderWithSources, type Supply } from './cover';
import type { Maker } from './propose';

/** What a customer could have instead. */
export interface Instead {
  productId: number;
  pieces: number;
}

/** An order that is not delivered as it was taken: somebody has to know. */
export interface Shortage {
  order: Pick<OrderWithSources, 'source' | 'customer' | 'productId' | 'dueAt' | 'pieces'>;
  /** Pieces that nothing makes in time, and when they could be ready at the earliest if they are begun now. */
  missing: number;
  missingBy: Instant | null;
  /** Pieces that come after the time they were ordered for, and when the last of them does. */
  late: number;
  lateUntil: Instant | null;
  /** Other products that are over, and ready and fresh then, the most first. */
  instead: Instead[];
}

/** Offers beside an order at most. */
const OFFERS = 2;

/** What is known of making, for telling what cannot be delivered. */
export interface Makings {
  makers: readonly Pick<Maker, 'productId' | 'lead'>[];
  /** When a dough's pieces of a product are ready, as it is forecast; `doughId productId`. */
  readyAt: ReadonlyMap<string, Instant>;
  /** What planned doughs make beyond what is ordered. */
  left: readonly Pick<Supply, 'productId' | 'pieces' | 'dueAt' | 'freshFor'>[];
}

/** How a dough's pieces of a product are known among the forecasts. */
export const supplyKey = (doughId: number, productId: number): string => `${doughId} ${productId}`;

/**
 * Lists the orders that go short: pieces that nothing makes and that can no longer be made in time, and pieces that are forecast to be
 * ready too late.
 *
 * @param demand - orders with their sources, what the freezer still gives taken off `open`
 *
 * @example
 * shortages([order(30, '06:30', { open: 12 })], making, at('05:00')); // 12 missing
 */
export function shortages(
  demand: readonly OrderWithSources[],
  { makers, readyAt, left }: Makings,
  now: Instant,
): Shortage[] {
  return demand.flatMap((order): Shortage[] => {
    const { productId, dueAt, open, from } = order;
    const lead = makers.find((maker) => maker.productId === productId)?.lead;
    const soonest = lead === undefined ? null : now + lead * MINUTE;
    const missing = open > 0 && (soonest === null || soonest > dueAt + GRACE * MINUTE) ? open : 0;
    const behind = from.flatMap(({ doughId, pieces }) => {
      const at = readyAt.get(supplyKey(doughId, productId));
      return at !== undefined && at > dueAt + GRACE * MINUTE ? [{ at, pieces }] : [];
    });
    const late = behind.reduce((sum, { pieces }) => sum + pieces, 0);
    if (missing + late === 0) return [];
    const { source, customer, pieces } = order;
    return [
      {
        order: { source, customer, productId, dueAt, pieces },
        ...{ missing, missingBy: missing > 0 ? soonest : null, late },
        lateUntil: late > 0 ? Math.max(...behind.map(({ at }) => at)) : null,
        instead: left
          .filter((one) => one.productId !== productId && one.dueAt <= dueAt && one.pieces > 0)
          // What is stale by then is no offer.
          .filter((one) => one.dueAt + one.freshFor * MINUTE >= dueAt)
          .map((one) => ({ productId: one.productId, pieces: Math.min(one.pieces, missing + late) }))
          .sort((a, b) => b.pieces - a.pieces)
          .slice(0, OFFERS),
      },
    ];
  });
}

/** What a customer was told of an order: so many missing, so many late until then. */
export interface Told {
  source: { kind: 'standing' | 'single'; id: number; day: string };
  missing: number;
  late: number;
  lateUntil: Instant | null;
  by: string;
  at: Instant;
}

/** What a customer was told, where it still holds: what has become worse since has to be told again. */
export function toldOf(
  { order, missing, late, lateUntil }: Shortage,
  told: readonly Told[],
  day: string,
): Told | null {
  const known = told.find(
    ({ source }) => source.kind === order.source.kind && source.id === order.source.id && source.day === day,
  );
  if (!known || missing > known.missing || late + missing > known.late + known.missing) return null;
  return (lateUntil ?? 0) <= (known.lateUntil ?? lateUntil ?? 0) + GRACE * MINUTE ? known : null;
}
