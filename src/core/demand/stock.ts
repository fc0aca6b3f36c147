import { comesFromStock, goesToStock, stockUse, type StockKind } from '../process/output-way';
import { type DoughRecord, type OutputRecord, stateOf } from '../record/dough';
import { MINUTE, type Instant } from '../time/local';

/** Pieces taken, or to be taken, out of the freezer for an order; they thaw overnight in the cold and are proofed then. */
export interface FromFreezer {
  productId: number;
  pieces: number;
  dueAt: Instant;
}

/**
 * Gives frozen stock to what no dough makes yet, the earliest first; what is left is the open demand.
 *
 * @param from - what is due before that has no time to thaw any more
 */
export function takeFrozen<D extends { productId: number; dueAt: Instant; open: number }>(
  demand: readonly D[],
  stock: ReadonlyMap<number, number>,
  from: Instant,
): { open: D[]; taken: FromFreezer[] } {
  const left = new Map(stock);
  const taken: FromFreezer[] = [];
  const open = [...demand]
    .sort((a, b) => a.dueAt - b.dueAt)
    .map((want) => {
      const pieces = want.dueAt < from ? 0 : Math.min(want.open, left.get(want.productId) ?? 0);
      if (pieces <= 0) return want;
      left.set(want.productId, (left.get(want.productId) ?? 0) - pieces);
      taken.push({ productId: want.productId, pieces, dueAt: want.dueAt });
      return { ...want, open: want.open - pieces };
    });
  return { open, taken };
}

/** What went into stock (above nothing) or out of it: pieces, or grams of dough. */
export interface StockMove {
  /** What is the same in stock: pieces of one product, or dough of one formula and scheme, whichever product it was made for. */
  item: string;
  kind: StockKind;
  amount: number;
  at: Instant;
  /** The dough that it was recorded of; null where somebody has counted, taken or thrown away. */
  doughId: number | null;
}

/** What came into stock at once, as far as it is still there. */
export interface StockLot {
  since: Instant;
  amount: number;
  bestBefore: Instant;
}

/** What is kept of the same in one form, the oldest first; `amount` is that of all its lots. */
export interface Stock {
  item: string;
  kind: StockKind;
  amount: number;
  lots: StockLot[];
}

/**
 * What is in stock after these moves. The oldest goes out first; what one dough brought in and took back is one lot.
 *
 * @param keeps minutes for which each kind keeps
 */
export function stockAfter(moves: readonly StockMove[], keeps: Readonly<Record<StockKind, number>>): Stock[] {
  const stocks = new Map<string, Stock>();
  for (const { item, kind, amount, at } of oncePerDough(moves)) {
    const key = `${item} ${kind}`;
    const stock = stocks.get(key) ?? { item, kind, amount: 0, lots: [] };
    const lots =
      amount > 0
        ? [...stock.lots, { since: at, amount, bestBefore: at + keeps[kind] * MINUTE }]
        : withoutOldest(stock.lots, -amount);
    stocks.set(key, { ...stock, lots, amount: lots.reduce((sum, lot) => sum + lot.amount, 0) });
  }
  return [...stocks.values()].filter(({ amount }) => amount > 0);
}

/** Moves in their order, those of one dough as the one that they amount to, at the time of the last. */
function oncePerDough(moves: readonly StockMove[]): StockMove[] {
  const once = new Map<string, StockMove>();
  moves.forEach((move, i) => {
    const key = move.doughId === null ? `move ${i}` : `${move.doughId} ${move.item} ${move.kind}`;
    const before = once.get(key);
    once.set(key, before ? { ...move, amount: before.amount + move.amount } : move);
  });
  return [...once.values()].filter(({ amount }) => amount !== 0).sort((a, b) => a.at - b.at);
}

/** Lots without so much of the oldest. */
export function withoutOldest(lots: readonly StockLot[], amount: number): StockLot[] {
  let out = amount;
  return lots.flatMap((lot) => {
    const taken = Math.min(out, lot.amount);
    out -= taken;
    return taken < lot.amount ? [{ ...lot, amount: lot.amount - taken }] : [];
  });
}

/** How much of these lots may still be used then. */
export const usableAt = (lots: readonly StockLot[], at: Instant): number =>
  lots.reduce((sum, { amount, bestBefore }) => sum + (bestBefore >= at ? amount : 0), 0);

/** What an output brings into stock, or takes from it: pieces, or grams of dough. */
const amountOf = ({ way, doughKg = 0 }: Pick<OutputRecord, 'way' | 'doughKg'>, pieces: number): number =>
  stockUse(way)?.kind === 'pieces' ? pieces : Math.round(doughKg * 1000);

/** What a planned step of an output still brings into stock, or takes out of it. */
export interface PlannedMove {
  outputId: number;
  kind: StockKind;
  amount: number;
  dueAt: Instant;
}

type Moving = Pick<DoughRecord, 'steps' | 'links' | 'events' | 'outputs'>;

/** What a dough has moved by what was recorded of it, by output: above nothing into stock, below nothing out. */
export function movedByRecord(dough: Moving): Map<number, number> {
  const { steps, frozen } = stateOf(dough);
  const moved = new Map<number, number>();
  for (const { key, step, outputId, load } of dough.steps) {
    if (!step.stock || steps.get(key)?.status !== 'done') continue;
    for (const output of dough.outputs.filter(({ id }) => outputId === null || id === outputId)) {
      const amount = amountOf(output, load?.pieces ?? output.pieces);
      moved.set(output.id, (moved.get(output.id) ?? 0) + (step.stock === 'in' ? amount : -amount));
    }
  }
  for (const { id, way } of dough.outputs) {
    const counted = frozen.get(id);
    // What was counted into the freezer is what is there, whatever was planned; of fresh pieces as well.
    if (counted !== undefined && (way === undefined || (way === 'to-freezer' && moved.has(id))))
      moved.set(id, counted);
  }
  return moved;
}

/** What planned doughs have still to bring in, or to take out: what is taken is promised, and nobody else's. */
export function stillToMove(doughs: readonly Moving[], move: 'in' | 'out'): PlannedMove[] {
  const moves = move === 'in' ? goesToStock : comesFromStock;
  return doughs.flatMap((dough) => {
    const own = dough.outputs.filter(({ way }) => moves(way));
    if (own.length === 0) return [];
    const moved = movedByRecord(dough);
    return own.flatMap((output) => {
      const { id, pieces, dueAt, way } = output;
      const left = amountOf(output, pieces) - Math.abs(moved.get(id) ?? 0);
      const kind = stockUse(way)?.kind;
      return left > 0 && kind ? [{ outputId: id, kind, amount: left, dueAt }] : [];
    });
  });
}
