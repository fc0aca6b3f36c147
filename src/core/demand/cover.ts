import { MINUTE, type Instant } from '../time/local';
import type { FromFreezer } from './stock';
import type { Demand } from './orders';

/** Pieces that a dough in the plan will make. */
export interface Supply {
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
export interface OrderWithSources extends Demand {
  /** Pieces that no dough makes yet. */
  open: number;
  from: { doughId: number; dough: string; pieces: number; mixAt: Instant }[];
  /** Pieces that are out of the freezer for it already. */
  thawed: number;
}

/** Goods due up to so many minutes after an order still count for it: the van waits that long. */
export const GRACE = 15;

/** An order whose time was moved by no more than this still gets what thaws for it, minutes. */
const THAWS_FOR = 12 * 60;

/**
 * Gives what thaws for them, and then the pieces of the planned doughs, to the demand, the earliest first, each from what was
 * promised last before it: the freshest there is. Also says what is left over of each dough.
 */
export function assignSupply(
  demand: readonly Demand[],
  made: readonly Supply[],
  thawed: readonly FromFreezer[] = [],
): { covered: OrderWithSources[]; left: (Supply & { pieces: number })[] } {
  const left = made.map((one) => ({ ...one })).sort((a, b) => b.dueAt - a.dueAt);
  const covered = giveThawed(
    [...demand].sort((a, b) => a.dueAt - b.dueAt),
    thawed,
  ).map(({ want, hasThawed }): OrderWithSources => {
    let open = want.pieces - hasThawed;
    const from: OrderWithSources['from'] = [];
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
    return { ...want, open, from, thawed: hasThawed };
  });
  return { covered, left: left.filter(({ pieces }) => pieces > 0) };
}

/** Gives what thaws to the orders that it was taken out for; what is over, or whose order was moved, to those near it. */
function giveThawed(
  demand: readonly Demand[],
  thawed: readonly FromFreezer[],
): { want: Demand; hasThawed: number }[] {
  const out = thawed.map((one) => ({ ...one }));
  const given = demand.map((want) => ({ want, hasThawed: 0 }));
  for (const within of [0, THAWS_FOR * MINUTE])
    for (const one of given)
      for (const part of out) {
        const { productId, dueAt, pieces } = one.want;
        if (part.productId !== productId || Math.abs(part.dueAt - dueAt) > within) continue;
        const more = Math.min(pieces - one.hasThawed, part.pieces);
        one.hasThawed += more;
        part.pieces -= more;
      }
  return given;
}
