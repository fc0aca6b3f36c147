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

/**
 * Gap settings from a thickness down to another, mm: each pass takes off no more than the table's reduction, less below
 * 8 mm. Throws where the sheet is thinner than the smallest gap, or a reduction cannot be kept.
 */
export function gapRow(from: number, to: number, table: Table): number[] {
  if (to < table.leastGap) {
    throw new RangeError(`A sheet of ${to} mm is thinner than the smallest gap, ${table.leastGap} mm.`);
  }
  const gaps: number[] = [];
  let gap = from;
  while (gap > to + 1e-9) {
    const share = gap > table.fineBelow ? table.reduction : table.fineReduction;
    const next = Math.max(to, settable(gap * (1 - share)));
    if (next >= gap) throw new RangeError(`From ${gap} mm no smaller gap keeps the reduction.`);
    gaps.push(next);
    gap = next;
  }
  return gaps;
}

/**
 * The passes that bring a block to a sheet of `mm` and at least `width`, volume kept: first across until it is wide
 * enough, then turned by a quarter and on along its length. A block that is wide enough is not turned.
 */
export function passesTo(block: Slab, mm: number, width: number, table: Table): Pass[] {
  const gaps = gapRow(block.mm, mm, table);
  const volume = block.length * block.width * block.mm;
  const passes: Pass[] = [];
  // With a single pass there is nothing to share between the two ways.
  let widening = block.width < width - 1e-9 && gaps.length > 1;
  let [along, across] = widening ? [block.width, block.length] : [block.length, block.width];
  gaps.forEach((gap, i) => {
    const wideEnough = volume / (gap * across) > width + 1e-9;
    const turned = widening && i > 0 && (wideEnough || i === gaps.length - 1);
    if (turned) {
      [along, across] = [across, along];
      widening = false;
    }
    along = volume / (gap * across);
    passes.push({ gap, length: along, width: across, mm: gap, turned });
  });
  return passes;
}

/** The sheet after these passes; the block itself where it needs none. */
export function sheetAfter(block: Slab, passes: readonly Pass[]): Slab {
  const last = passes.at(-1);
  return last ? { length: last.length, width: last.width, mm: last.mm } : block;
}
