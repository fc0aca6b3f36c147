import { cellOf, pieceArea, pieceGrams, type PieceSize } from './piece';

/** A sheet, already trimmed, and the piece to be cut from it; cm and mm. */
export interface Cut extends PieceSize {
  length: number;
  width: number;
  thicknessMm: number;
  /** g/cm³. */
  density: number;
}

export interface CutCount {
  /** Whole pieces with their bases along the length, and along the width. */
  baseAlongLength: number;
  baseAlongWidth: number;
  /** The better of the two. */
  pieces: number;
  pieceGrams: number;
  /** Share of the sheet that is left over. */
  scrap: number;
}

/** Binary fractions must not cost a piece: 48 / 8 is six. */
export const whole = (value: number): number => Math.floor(value + 1e-9);

/** Cells of a piece in a row of this length. Triangles alternate: ⌊2L / b⌋ − 1 whole ones. */
export function cellsIn(size: PieceSize, length: number): number {
  const { first, next } = cellOf(size);
  return length < first - 1e-9 ? 0 : 1 + whole((length - first) / next);
}

/** Length of a row of so many cells. */
export function rowLength(size: PieceSize, cells: number): number {
  const { first, next } = cellOf(size);
  return cells === 0 ? 0 : first + (cells - 1) * next;
}

/** Pieces in a sheet cut all in one direction. */
export function countPieces({ length, width, thicknessMm, density, ...size }: Cut): CutCount {
  const { height, pieces: each } = cellOf(size);
  const rows = (along: number, across: number) => whole(across / height) * cellsIn(size, along) * each;
  const [baseAlongLength, baseAlongWidth] = [rows(length, width), rows(width, length)];
  const pieces = Math.max(baseAlongLength, baseAlongWidth);
  return {
    ...{ baseAlongLength, baseAlongWidth, pieces },
    pieceGrams: pieceGrams(size, thicknessMm, density),
    scrap: 1 - (pieces * pieceArea(size)) / (length * width),
  };
}
