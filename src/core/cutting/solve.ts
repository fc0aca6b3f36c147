import { cellsIn, rowLength, whole } from './count';
import { cellOf, pieceArea, type PieceSize } from './piece';

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
  target: number;
  /** Roll to this, mm, for the target. */
  rollTo: number;
  words: string;
  /** No thickness that can be cut reaches the target. */
  outOfReach: boolean;
}

/** Weighs a piece against its target: how much thicker or thinner the sheet should be, or which base would do. */
export function weightAdvice(size: PieceSize, mm: number, density: number, target: number): WeightAdvice {
  const grams = (pieceArea(size) * mm * density) / 10;
  const rollTo = thicknessFor(size, target, density);
  const outOfReach = rollTo < CUTTABLE.least || rollTo > CUTTABLE.most;
  const off = grams - target;
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const words = outOfReach
    ? `${tenth(target)} g from this piece would ask for a sheet of ${tenth(rollTo)} mm; ${tenth(CUTTABLE.least)} to ${tenth(CUTTABLE.most)} mm can be cut. Change its size.`
    : Math.abs(rollTo - mm) < 0.05
      ? `${tenth(grams)} g a piece, as wanted.`
      : `${tenth(grams)} g a piece, ${tenth(Math.abs(off))} g too ${off > 0 ? 'heavy' : 'light'}: roll ${tenth(Math.abs(rollTo - mm))} mm ${off > 0 ? 'thinner' : 'thicker'}, to ${tenth(rollTo)} mm.`;
  return { grams, target, rollTo, words, outOfReach };
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
