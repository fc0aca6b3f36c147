export const OUTPUT_WAYS = [
  ...(['fresh', 'to-freezer', 'from-freezer'] as const),
  ...(['dough-to-cold', 'dough-to-freezer', 'dough-from-cold', 'dough-from-freezer'] as const),
] as const;
/**
 * Where an output goes or comes from: baked fresh; its pieces frozen when they are shaped, or taken out of the freezer, thawed,
 * proofed and baked; kept cold or frozen as dough for another day or product, or made of dough that was kept so.
 */
export type OutputWay = (typeof OUTPUT_WAYS)[number];

export const STOCK_KINDS = ['pieces', 'cold-dough', 'frozen-dough'] as const;
/** What a bakery keeps for later: shaped pieces in the freezer, dough in the cold, dough in the freezer. */
export type StockKind = (typeof STOCK_KINDS)[number];

/** What an output does to the house's stock. */
export interface StockUse {
  kind: StockKind;
  move: 'in' | 'out';
}

const STOCK_OF: Readonly<Record<OutputWay, StockUse | null>> = {
  fresh: null,
  'to-freezer': { kind: 'pieces', move: 'in' },
  'from-freezer': { kind: 'pieces', move: 'out' },
  'dough-to-cold': { kind: 'cold-dough', move: 'in' },
  'dough-to-freezer': { kind: 'frozen-dough', move: 'in' },
  'dough-from-cold': { kind: 'cold-dough', move: 'out' },
  'dough-from-freezer': { kind: 'frozen-dough', move: 'out' },
};

/**
 * What an output on its way brings into stock or takes from it; null where it is baked fresh.
 *
 * @example
 * stockUse('dough-to-cold'); // { kind: 'cold-dough', move: 'in' }
 */
export const stockUse = (way: OutputWay = 'fresh'): StockUse | null => STOCK_OF[way];

/** Whether it ends in stock: it is nobody's order yet, and is not baked. */
export const goesToStock = (way?: OutputWay): boolean => stockUse(way)?.move === 'in';

/** Whether it begins with what was kept: no dough is mixed for it. */
export const comesFromStock = (way?: OutputWay): boolean => stockUse(way)?.move === 'out';

/** Whether it goes to or comes from stock as dough, by weight. */
export function keepsDough(way?: OutputWay): boolean {
  const kind = stockUse(way)?.kind;
  return kind !== undefined && kind !== 'pieces';
}

/** Whether it is put away as dough: nothing is cut or divided from it. */
export const endsAsDough = (way?: OutputWay): boolean => goesToStock(way) && keepsDough(way);

/** Whether two outputs can be one dough's: both begin in the mixer, or both with the same stock. */
export function beginAlike(a: OutputWay, b: OutputWay): boolean {
  if (!comesFromStock(a) && !comesFromStock(b)) return true;
  return comesFromStock(a) && comesFromStock(b) && stockUse(a)?.kind === stockUse(b)?.kind;
}
