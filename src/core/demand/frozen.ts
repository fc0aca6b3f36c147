import { type DoughRecord, stateOf } from '../record/dough';
import type { Instant } from '../time/local';

/** Pieces taken, or to be taken, out of the freezer for an order; they thaw overnight in the cold and are proofed then. */
export interface FromFreezer {
  productId: number;
  pieces: number;
  dueAt: Instant;
}

/** Gives frozen stock to what no dough makes yet, the earliest first; what is left is the open demand. */
export function takeFrozen<D extends { productId: number; dueAt: Instant; open: number }>(
  demand: readonly D[],
  stock: ReadonlyMap<number, number>,
): { open: D[]; taken: FromFreezer[] } {
  const left = new Map(stock);
  const taken: FromFreezer[] = [];
  const open = [...demand]
    .sort((a, b) => a.dueAt - b.dueAt)
    .map((want) => {
      const pieces = Math.min(want.open, left.get(want.productId) ?? 0);
      if (pieces <= 0) return want;
      left.set(want.productId, (left.get(want.productId) ?? 0) - pieces);
      taken.push({ productId: want.productId, pieces, dueAt: want.dueAt });
      return { ...want, open: want.open - pieces };
    });
  return { open, taken };
}

/** Pieces of an output that a planned step still brings into the freezer's stock, or takes out of it. */
export interface FreezerMove {
  outputId: number;
  pieces: number;
  dueAt: Instant;
}

type Moving = Pick<DoughRecord, 'steps' | 'links' | 'events' | 'outputs'>;

/** What a dough has moved into the freezer's stock by what was recorded of it: above nothing in, below nothing out. */
export function movedByRecord(dough: Moving): Map<number, number> {
  const { steps } = stateOf(dough);
  const moved = new Map<number, number>();
  for (const { key, step, outputId, load } of dough.steps) {
    if (!step.stock || steps.get(key)?.status !== 'done') continue;
    for (const output of dough.outputs.filter(({ id }) => outputId === null || id === outputId)) {
      const pieces = load?.pieces ?? output.pieces;
      moved.set(output.id, (moved.get(output.id) ?? 0) + (step.stock === 'in' ? pieces : -pieces));
    }
  }
  return moved;
}

/** What planned doughs have still to bring in or take out: what is taken is promised, and nobody else's. */
export function stillToMove(doughs: readonly Moving[], way: 'to-freezer' | 'from-freezer'): FreezerMove[] {
  return doughs.flatMap((dough) => {
    const own = dough.outputs.filter((output) => output.way === way);
    if (own.length === 0) return [];
    const moved = movedByRecord(dough);
    return own.flatMap(({ id, pieces, dueAt }) => {
      const left = pieces - Math.abs(moved.get(id) ?? 0);
      return left > 0 ? [{ outputId: id, pieces: left, dueAt }] : [];
    });
  });
}
