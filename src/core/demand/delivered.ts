import { MINUTE, type Instant } from '../time/local';
import { assignSupply, GRACE, type Supply } from './cover';
import type { Demand } from './orders';

/** Pieces that a dough has made, and when they were ready. */
export interface Made extends Pick<Supply, 'doughId' | 'dough' | 'productId' | 'pieces' | 'freshFor'> {
  readyAt: Instant;
  /** It was closed without a record: as many as were planned, nobody knows. */
  isUnrecorded: boolean;
}

/** What became of an order that is past. */
export interface Outcome {
  order: Demand;
  onTime: number;
  late: number;
  /** When the last late piece was ready; null where none was late. */
  lateAt: Instant | null;
  short: number;
  /** Some of it comes from a dough that nobody recorded. */
  isUnrecorded: boolean;
}

/** Goods that come later than this after an order are no delivery of it any more, minutes. */
const WAITS = 6 * 60;

/**
 * Works out what became of orders whose time has passed, from what doughs have really made and when: first what was ready in time, then
 * what came late.
 *
 * @param made - pieces that were counted good, or that were planned and not lost where nobody counted
 * @param thawed - pieces that came out of the freezer for these orders
 */
export function delivered(
  orders: readonly Demand[],
  made: readonly Made[],
  thawed: readonly { productId: number; pieces: number; dueAt: Instant }[] = [],
): Outcome[] {
  const supply = made.map((one) => ({ ...one, dueAt: one.readyAt, mixAt: one.readyAt }));
  const unrecorded = new Set(made.flatMap(({ doughId, isUnrecorded }) => (isUnrecorded ? [doughId] : [])));
  const { covered, left } = assignSupply(orders, supply, thawed);
  const behind = left.map((one) => ({ ...one })).sort((a, b) => a.dueAt - b.dueAt);
  return covered.map(({ open, from, thawed: fromFreezer, ...order }) => {
    let short = open;
    let lateAt: Instant | null = null;
    const used = from.map(({ doughId }) => doughId);
    for (const one of behind) {
      const after = (one.dueAt - order.dueAt) / MINUTE;
      if (short === 0 || one.productId !== order.productId || after <= GRACE || after > WAITS) continue;
      const pieces = Math.min(short, one.pieces);
      if (pieces === 0) continue;
      one.pieces -= pieces;
      short -= pieces;
      lateAt = Math.max(lateAt ?? 0, one.dueAt);
      used.push(one.doughId);
    }
    const onTime = from.reduce((sum, { pieces }) => sum + pieces, 0) + fromFreezer;
    return {
      ...{ order, onTime, late: open - short, lateAt, short },
      isUnrecorded: used.some((id) => unrecorded.has(id)),
    };
  });
}
