export type PieceShape = 'triangle' | 'rectangle' | 'square';

/** A sheet, already trimmed, and the piece to be cut from it; cm and mm. */
export interface Cut {
  shape: PieceShape;
  base: number;
  height: number;
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
const whole = (value: number) => Math.floor(value + 1e-9);

/** Pieces in a sheet. Triangles alternate in a row, which holds ⌊2L / b⌋ − 1 whole ones. */
export function countPieces({ shape, base, height, length, width, thicknessMm, density }: Cut): CutCount {
  const rows = (along: number, across: number) =>
    whole(across / height) *
    (shape === 'triangle' ? Math.max(0, whole((2 * along) / base) - 1) : whole(along / base));
  const [baseAlongLength, baseAlongWidth] = [rows(length, width), rows(width, length)];
  const pieces = Math.max(baseAlongLength, baseAlongWidth);
  const area = base * height * (shape === 'triangle' ? 0.5 : 1);
  return {
    ...{ baseAlongLength, baseAlongWidth, pieces },
    pieceGrams: (area * thicknessMm * density) / 10,
    scrap: 1 - (pieces * area) / (length * width),
  };
}
