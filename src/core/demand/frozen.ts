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
