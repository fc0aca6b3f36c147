import { MINUTE, type Instant } from '../time/local';
import type { Demand } from './orders';

/** Pieces that a dough in the plan will make. */
export interface Made {
  doughId: number;
  dough: string;
  productId: number;
  pieces: number;
  dueAt: Instant;
  /** Minutes for which they keep fresh. */
  freshFor: number;
  /** Until when a number can be changed: the dough is mixed then. */
  mixAt: Instant;
}

/** A demand, and what of it comes from which dough. */
export interface Covered extends Demand {
  /** Pieces that no dough makes yet. */
  open: number;
  from: { doughId: number; dough: string; pieces: number; mixAt: Instant }[];
}

/** Goods due up to so many minutes after an order still count for it: the van waits that long. */
const GRACE = 15;

/**
 * Gives the pieces of the planned doughs to the demand, the earliest first, each from what was promised last before it:
 * the freshest there is. Also says what is left over of each dough.
 */
export function coverDemand(
  demand: readonly Demand[],
  made: readonly Made[],
): { covered: Covered[]; left: (Made & { pieces: number })[] } {
  const left = made.map((one) => ({ ...one })).sort((a, b) => b.dueAt - a.dueAt);
  const covered = [...demand]
    .sort((a, b) => a.dueAt - b.dueAt)
    .map((want): Covered => {
      let open = want.pieces;
      const from: Covered['from'] = [];
      for (const one of left) {
        if (open === 0) break;
        const age = (want.dueAt - one.dueAt) / MINUTE;
        if (one.productId !== want.productId || one.pieces === 0 || age < -GRACE || age > one.freshFor)
          continue;
        const pieces = Math.min(open, one.pieces);
        one.pieces -= pieces;
        open -= pieces;
        from.push({ doughId: one.doughId, dough: one.dough, pieces, mixAt: one.mixAt });
      }
      return { ...want, open, from };
    });
  return { covered, left: left.filter(({ pieces }) => pieces > 0) };
}
