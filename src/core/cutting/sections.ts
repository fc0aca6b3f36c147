import { cellsIn, rowLength, whole } from './count';
import { cellOf, type PieceSize } from './piece';

/** Rows of a section that have the same number of cells. `x` and `y`: its corner, cm from that of the section. */
interface SectionRows {
  x: number;
  y: number;
  rows: number;
  perRow: number;
}

/** A stretch of a sheet in which one piece is cut over the whole width. `turned`: its rows run across. Lengths in cm. */
export interface Section {
  turned: boolean;
  rows: SectionRows[];
  length: number;
}

/** The shortest stretch of a sheet of this width that gives so many cells; null where not one fits it. */
export function sectionFor(size: PieceSize, width: number, cells: number): Section | null {
  const [along, across] = [rowsAlong(size, width, cells), rowsAcross(size, width, cells)];
  if (!along || !across) return along ?? across;
  return across.length < along.length - 1e-9 ? across : along;
}

/** Rows along the length, as nearly alike as they can be: those that come out one cell shorter lie above. */
function rowsAlong(size: PieceSize, width: number, cells: number): Section | null {
  const { height } = cellOf(size);
  const room = Math.min(cells, whole(width / height));
  if (room === 0) return null;
  const perRow = Math.ceil(cells / room);
  const rows = Math.ceil(cells / perRow);
  const full = cells - rows * (perRow - 1);
  const shorter = { x: 0, y: full * height, rows: rows - full, perRow: perRow - 1 };
  return {
    turned: false,
    rows: [{ x: 0, y: 0, rows: full, perRow }, ...(shorter.rows > 0 ? [shorter] : [])],
    length: rowLength(size, perRow),
  };
}

/** Rows across the width, the last one with what is left. */
function rowsAcross(size: PieceSize, width: number, cells: number): Section | null {
  const { height } = cellOf(size);
  const perRow = Math.min(cells, cellsIn(size, width));
  if (perRow === 0) return null;
  const [rows, rest] = [Math.floor(cells / perRow), cells % perRow];
  const last = { x: rows * height, y: 0, rows: 1, perRow: rest };
  return {
    turned: true,
    rows: [{ x: 0, y: 0, rows, perRow }, ...(rest > 0 ? [last] : [])],
    length: (rows + (rest > 0 ? 1 : 0)) * height,
  };
}

/** Cells of a piece in a stretch of this length, laid the way that gives more. */
export function cellsInSection(size: PieceSize, width: number, length: number): number {
  const { height } = cellOf(size);
  const along = whole(width / height) * cellsIn(size, length);
  return Math.max(along, cellsIn(size, width) * whole(length / height));
}

/** What stretches for all these pieces, one after the other, take of a sheet of this width, cm; null where one is too large. */
export function sectionsLength(
  width: number,
  wanted: readonly { size: PieceSize; pieces: number }[],
): number | null {
  let length = 0;
  for (const { size, pieces } of wanted) {
    if (pieces === 0) continue;
    const section = sectionFor(size, width, Math.ceil(pieces / cellOf(size).pieces));
    if (!section) return null;
    length += section.length;
  }
  return length;
}
