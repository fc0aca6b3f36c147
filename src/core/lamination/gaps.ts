import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
/** What a house rolls on: a sheeter's table, or a bench with a pin. Lengths in cm, gaps in mm. */
export interface Table {
  width: number;
  length: number;
  /** Largest share of its thickness that a dough may lose in one pass, and below `fineBelow` mm. */
  reduction: number;
  fineReduction: number;
  fineBelow: number;
  /** Smallest gap that can be set. */
  leastGap: number;
}

/** A block or sheet of dough: length and width in cm, thickness in mm. */
export interface Slab {
  length: number;
  width: number;
  mm: number;
}

/** One pass: the gap, and the dough after it. */
export interface Pass extends Slab {
  gap: number;
  /** The dough is turned by a quarter before it: from here on it grows the other way. */
  turned: boolean;
}

/** Gaps are set to half a millimetre, below 4 mm to a tenth. */
const settable = (gap: number) => {
  const step = gap > 4 ? 0.5 : 0.1;
  return Math.round(Math.ceil(gap / step - 1e-9) * step * 10) / 10;
};

/** The last gap across a final sheet goes by the ruler, to a tenth: the sheet becomes no narrower than its rows. */
const byRuler = (gap: number) => Math.floor(gap * 10 + 1e-9) / 10;

/** The next smaller gap on the way to `to`. Throws where none keeps the reduction. */
function nextGap(gap: number, to: number, table: Table): number {
  const share = gap > table.fineBelow ? table.reduction : table.fineReduction;
  const next = Math.max(to, settable(gap * (1 - share)));
  if (next >= gap) throw new Fault(coded('lamination.noSmallerGap', { gap: { mm: gap } }));
  return next;
}

function refuseTooThin(to: number, { leastGap }: Table): void {
  if (to < leastGap) {
    throw new Fault(
      coded('lamination.thinnerThanTheSmallestGap', { sheet: { mm: to }, gap: { mm: leastGap } }),
    );
  }
}

/**
 * Gap settings from a thickness down to another, mm: each pass takes off no more than the table's reduction, less below
 * 8 mm. Throws where the sheet is thinner than the smallest gap, or a reduction cannot be kept.
 */
export function gapRow(from: number, to: number, table: Table): number[] {
  refuseTooThin(to, table);
  const gaps: number[] = [];
  for (let gap = from; gap > to + 1e-9;) {
    gap = nextGap(gap, to, table);
    gaps.push(gap);
  }
  return gaps;
}

/** How wide the sheet is to be, cm, and on which table. */
export interface Passing {
  width: number;
  table: Table;
  wideness?: 'about' | 'at-least';
}

/**
 * The passes that bring a block to a sheet of `mm`, volume kept: first across until it is `width` wide, then turned by a
 * quarter and on along its length. A block that is wide enough is not turned. `about` wide is as near below it as gaps
 * can be set.
 */
export function passesTo(block: Slab, mm: number, { width, table, wideness = 'about' }: Passing): Pass[] {
  refuseTooThin(mm, table);
  const volume = block.length * block.width * block.mm;
  const passes: Pass[] = [];
  const pass = (gap: number, across: number, turned: boolean) =>
    passes.push({ gap, length: volume / (gap * across), width: across, mm: gap, turned });
  let gap = block.mm;
  // Across first: the last of these gaps is the one that gives the width, and no thinner than the sheet.
  const set = wideness === 'about' ? settable : byRuler;
  const wide = Math.max(mm, set(volume / (width * block.length)));
  const widening = block.width < width - 1e-9 && wide > mm && wide < gap ? gapRow(gap, wide, table) : [];
  for (const next of widening) pass(next, block.length, false);
  gap = widening.at(-1) ?? gap;
  const across = widening.length > 0 ? volume / (gap * block.length) : block.width;
  gapRow(gap, mm, table).forEach((next, i) => pass(next, across, i === 0 && widening.length > 0));
  return passes;
}

/** The sheet after these passes; the block itself where it needs none. */
export function sheetAfter(block: Slab, passes: readonly Pass[]): Slab {
  const last = passes.at(-1);
  return last ? { length: last.length, width: last.width, mm: last.mm } : block;
}
