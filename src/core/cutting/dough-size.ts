import type { Slab, Table } from '../lamination/gaps';
import { blocksFor, planBlockIfAny, type Laying } from '../lamination/geometry';
import type { Scheme, Weights } from '../lamination/scheme';
import { laminatedDensity } from '../lamination/stack';
import { cellsIn, rowLength, whole } from './count';
import { cellOf, pieceGrams, type PieceSize } from './piece';
import { sectionsLength } from './sections';
import { partsFor } from './solve';

/** How a house rolls and cuts: lengths in cm, the heaviest block that is rolled as one in kg. */
export interface CuttingHouse {
  table: Table;
  laying: Laying;
  blockKg: number;
  /** Longest sheet on the bench where it is cut. */
  benchLength: number;
}

/** What is to be cut from one laminated dough. */
export interface ToCut {
  scheme: Scheme;
  /** Share of the dough ready to cut that comes out of the mixer. */
  mixed: number;
  /** The final sheet, mm. */
  mm: number;
  /** Share of a final sheet that its uneven ends take, 0 to below 1. */
  scrap: number;
  pieces: readonly { size: PieceSize; pieces: number }[];
  /** Grams that are cut off the blocks behind the last fold, and kept as dough; none where nothing is said. */
  kept?: number;
}

/** How large a dough is made, so that it gives what is to be cut from it. */
export interface CutSize {
  /** Dough ready to cut, with its roll-in. */
  grams: number;
  /** Equal blocks that it is rolled in. */
  blocks: number;
  /** How wide the final sheet is rolled, before it is trimmed, cm. */
  wide: number;
}

/** A final sheet as it is cut: into how many equal parts for the bench, and how large each is once trimmed, cm. */
export interface SheetParts {
  parts: number;
  length: number;
  width: number;
}

/**
 * Trims a final sheet and parts it for the bench. The sides lose the house's trim, the ends that or the product's scrap,
 * whichever is more.
 */
export function sheetParts(
  { length, width }: Pick<Slab, 'length' | 'width'>,
  scrap: number,
  { laying: { trim }, benchLength }: Pick<CuttingHouse, 'laying' | 'benchLength'>,
): SheetParts {
  const trimmed = Math.max(0, Math.min(length - 2 * trim, length * (1 - scrap)));
  const parts = partsFor(trimmed, benchLength);
  return { parts, length: trimmed / parts, width: Math.max(0, width - 2 * trim) };
}

/** One more block is rolled only for a dough that is smaller by more than this share of it. */
const A_BLOCK = 0.01;
/** So many numbers of blocks are tried, from the fewest that give the pieces. */
const MORE_BLOCKS = 4;
/** Trims and odd ends never take more than this share again of what the pieces weigh, in a dough of many blocks. */
const MOST_LOSS = 0.5;
/** Widths of the sheet that are tried for one number of blocks, those with the least scrap. */
const WIDTHS = 4;
/** From one weight to the next one tried. */
const STEP = 1.03;
/** So many grams more are looked at for a whole one. */
const NEAR = 100;
/** What small doughs may be larger than their pieces, grams: below it no block can be rolled. */
const SMALLEST = 3000;

/** Dough and butter in so many grams of a block; flour that is creamed into the butter is no butter. */
export function blockWeights(
  grams: number,
  mixed: number,
  { flourInFat }: Pick<Scheme, 'flourInFat'>,
): Weights {
  return { dough: grams * mixed, fat: (grams * (1 - mixed)) / (1 + flourInFat) };
}

/**
 * The smallest dough whose own cut plan gives every piece, found by rolling and cutting ever larger ones: blocks no heavier
 * than the house rolls, a sheet no wider than its table and as wide as suits the rows, trims taken off, parted for the
 * bench. Null where no dough gives the pieces: one is larger than any sheet, or the scheme cannot be rolled.
 */
export function doughToCut(asked: ToCut, house: CuttingHouse): CutSize | null {
  const net = asked.pieces.reduce(
    (sum, { size, pieces }) => sum + pieces * pieceGrams(size, asked.mm, densityOf(asked)),
    0,
  );
  const fewest = blocksFor((net + (asked.kept ?? 0)) / 1000, house.blockKg);
  const most = Math.ceil(fewest * (1 + MOST_LOSS)) + MORE_BLOCKS;
  let first: CutSize | null = null;
  let blocks = fewest;
  for (; !first && blocks <= most; blocks++) first = inBlocks(asked, house, blocks, Infinity);
  let best = first;
  for (; first && best && blocks < first.blocks + MORE_BLOCKS; blocks++) {
    const bound = best.grams * (1 - A_BLOCK * (blocks - best.blocks));
    best = inBlocks(asked, house, blocks, bound) ?? best;
  }
  return best;
}

function densityOf({ mixed, scheme: { flourInFat } }: ToCut): number {
  return laminatedDensity(1 - mixed, mixed, flourInFat);
}

/** The smallest dough in so many blocks, if it is smaller than `bound` grams. */
function inBlocks(asked: ToCut, house: CuttingHouse, blocks: number, bound: number): CutSize | null {
  const { trim } = house.laying;
  const kept = (asked.kept ?? 0) / blocks;
  const each = asked.pieces.map(({ size, pieces }) => ({ size, pieces: Math.ceil(pieces / blocks) }));
  const tries = usefulWidths(asked.pieces, house.table.width - 2 * trim)
    .flatMap((width) => {
      const length = sectionsLength(width, each);
      return length === null ? [] : [{ wide: width + 2 * trim, area: (width + 2 * trim) * length }];
    })
    .sort((a, b) => a.area - b.area)
    .slice(0, WIDTHS);
  let best: CutSize | null = null;
  for (const { wide, area } of tries) {
    const start = (area * asked.mm * densityOf(asked)) / 10;
    const most = Math.min(house.blockKg * 1000, (best?.grams ?? bound) / blocks) - kept;
    const grams = leastBlock(asked, house, { wide, each, start, most, kept });
    if (grams !== null) best = { grams: (grams + kept) * blocks, blocks, wide };
  }
  return best;
}

/** What is looked for in a block: how wide its sheet is, what it has to give, and between which grams it may weigh. */
interface Searched {
  wide: number;
  each: ToCut['pieces'];
  start: number;
  most: number;
  kept: number;
}

/** Widths of a trimmed sheet that some number of rows fills, either way round. */
function usefulWidths(pieces: ToCut['pieces'], most: number): number[] {
  const widths = pieces.flatMap(({ size }) => {
    const { height } = cellOf(size);
    const along = Array.from({ length: whole(most / height) }, (_, i) => (i + 1) * height);
    const across = Array.from({ length: cellsIn(size, most) }, (_, i) => rowLength(size, i + 1));
    return [...along, ...across];
  });
  return [...new Set(widths.map((width) => Math.ceil(width * 1e4) / 1e4))];
}

/**
 * Whole grams of the lightest block below `most` whose sheets give every piece, beside what is cut off it and kept; null where none
 * near its pieces does.
 */
function leastBlock(
  { scheme, mixed, mm, scrap }: ToCut,
  house: CuttingHouse,
  { wide, each, start, most, kept }: Searched,
): number | null {
  const gives = (grams: number): boolean => {
    const weights = blockWeights(grams + kept, mixed, scheme);
    const plan = planBlockIfAny(scheme, weights, mm, { ...house, wide });
    if (!plan || plan.turns.some(({ cutInto }) => cutInto > 1)) return false;
    const { sheet } = plan.final;
    if (sheet.width > house.table.width + 1e-6 || Math.abs(sheet.mm - mm) > 1e-6) return false;
    const rolled = { ...sheet, length: (sheet.length * grams) / (grams + kept) };
    const { parts, length, width } = sheetParts(rolled, scrap, house);
    const needed = sectionsLength(
      width,
      each.map(({ size, pieces }) => ({ size, pieces: Math.ceil(pieces / parts) })),
    );
    return needed !== null && needed <= length + 1e-9;
  };
  let enough = start;
  while (!gives(enough)) {
    enough *= STEP;
    if (enough > Math.min(most, start * 1.5 + SMALLEST)) return null;
  }
  let less = enough / STEP;
  while (enough - less > 1) {
    const middle = (enough + less) / 2;
    if (gives(middle)) enough = middle;
    else less = middle;
  }
  // A gram more may set another gap: the first whole one that really gives them.
  const whole = Array.from({ length: NEAR }, (_, i) => Math.ceil(enough) + i);
  const grams = whole.find(gives) ?? Infinity;
  return grams <= most ? grams : null;
}
