import { cellsIn, rowLength, whole } from './count';
import { cellOf, pieceArea, pieceGrams, type PieceSize } from './piece';

/** Thickness at which a piece has its target weight, mm. */
export function thicknessFor(size: PieceSize, grams: number, density: number): number {
  return (grams * 10) / (pieceArea(size) * density);
}

/** Between what thicknesses a laminated sheet can be cut, mm: thinner ones tear, thicker ones were never rolled. */
export const CUTTABLE = { least: 2, most: 20 };

/** What a sheet must be like for so many pieces in rows of the base along its length. */
export interface SheetFor {
  rows: number;
  perRow: number;
  length: number;
  width: number;
}

/**
 * The shortest sheet of this width that holds so many pieces, all in one direction; null where not even one row fits the
 * width. Counting its pieces again gives at least as many, and no shorter sheet does.
 */
export function sheetFor(size: PieceSize, pieces: number, width: number): SheetFor | null {
  const { height, pieces: each } = cellOf(size);
  const rows = whole(width / height);
  if (rows === 0) return null;
  const perRow = Math.ceil(pieces / each / rows);
  return { rows, perRow, length: rowLength(size, perRow), width: rows * height };
}

/** How a piece's weight stands to its target at a sheet's thickness. */
export interface WeightAdvice {
  grams: number;
  /** Grams that it is too heavy; below nothing, too light. */
  off: number;
  /** Roll to this, mm, for the target: to what a gap can be set. */
  rollTo: number;
  /** It is the target, to what a gap can be set. */
  fits: boolean;
  /** No thickness that can be cut reaches the target. */
  outOfReach: boolean;
}

/** Weighs a piece against its target: how much thicker or thinner the sheet should be, or that no sheet gives it. */
export function weightAdvice(size: PieceSize, mm: number, density: number, target: number): WeightAdvice {
  const grams = pieceGrams(size, mm, density);
  const exact = thicknessFor(size, target, density);
  const rollTo = Math.round(exact * 10) / 10;
  return {
    ...{ grams, off: grams - target, rollTo },
    fits: Math.abs(exact - mm) < 0.05 || rollTo === Math.round(mm * 10) / 10,
    outOfReach: exact < CUTTABLE.least || exact > CUTTABLE.most,
  };
}

/** Into how many equal parts a sheet must be cut for a bench of this length. */
export function partsFor(sheetLength: number, benchLength: number): number {
  return Math.max(1, Math.ceil(sheetLength / benchLength - 1e-9));
}

/** Whole pieces in a sheet in one direction, as `countPieces` counts them. */
export function piecesIn(size: PieceSize, length: number, width: number): number {
  const { height, pieces } = cellOf(size);
  return whole(width / height) * cellsIn(size, length) * pieces;
}
