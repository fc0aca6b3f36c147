import { coded, type Coded } from '../codes/coded';
import type { Point } from '../drawing/drawing';

export const PIECE_SHAPES = [
  'triangle',
  'rectangle',
  'diagonal',
  'square',
  'sector',
  'slice',
  'strip',
] as const;
/**
 * What a sheet is cut into: triangles up and down in a row, rectangles, rectangles cut on the diagonal, squares, sectors of
 * a disc, slices of a sheet rolled to a log, strips.
 */
export type PieceShape = (typeof PIECE_SHAPES)[number];

/**
 * A piece, cm. `base` is a triangle's base, a rectangle's or strip's width, a square's side, a slice's thickness, a disc's
 * diameter; `height` a triangle's or rectangle's height, a strip's length, what a log is rolled up from. `sectors`: of a disc.
 */
export interface PieceSize {
  shape: PieceShape;
  base: number;
  height: number;
  sectors?: number;
}

export const SHAPE_WORDS: Record<PieceShape, { label: Coded; base: Coded; height: Coded | null }> = {
  triangle: {
    label: coded('cutting.triangles'),
    base: coded('cutting.base'),
    height: coded('cutting.height'),
  },
  rectangle: {
    label: coded('cutting.rectangles'),
    base: coded('cutting.width'),
    height: coded('cutting.height'),
  },
  diagonal: {
    label: coded('cutting.rectanglesCutOnTheDiagonal'),
    base: coded('cutting.width'),
    height: coded('cutting.height'),
  },
  square: { label: coded('cutting.squares'), base: coded('cutting.side'), height: null },
  sector: { label: coded('cutting.sectorsOfADisc'), base: coded('cutting.discAcross'), height: null },
  slice: {
    label: coded('cutting.slicesOfALog'),
    base: coded('cutting.slice'),
    height: coded('cutting.rolledUpFrom'),
  },
  strip: { label: coded('cutting.strips'), base: coded('cutting.width'), height: coded('cutting.length') },
};

/** The ends of a log, where it is thin and has little filling: so much of each is cut off, cm. */
export const LOG_END = 1;

/**
 * What a piece takes of the sheet in a row of its like: width of the first with what is lost at both ends of the row, of
 * each further one, height, pieces in each; and what is lost before the first.
 */
interface Cell {
  lead: number;
  first: number;
  next: number;
  height: number;
  pieces: number;
}

/** The cell that a piece is cut from. Triangles share their sides, so each further one takes half a base. */
export function cellOf({ shape, base, height, sectors = 1 }: PieceSize): Cell {
  switch (shape) {
    case 'triangle':
      return { lead: 0, first: base, next: base / 2, height, pieces: 1 };
    case 'diagonal':
      return { lead: 0, first: base, next: base, height, pieces: 2 };
    case 'square':
      return { lead: 0, first: base, next: base, height: base, pieces: 1 };
    case 'sector':
      return { lead: 0, first: base, next: base, height: base, pieces: sectors };
    case 'slice':
      return { lead: LOG_END, first: base + 2 * LOG_END, next: base, height, pieces: 1 };
    default:
      return { lead: 0, first: base, next: base, height, pieces: 1 };
  }
}

/** Area of one piece, cm². */
export function pieceArea({ shape, base, height, sectors = 1 }: PieceSize): number {
  switch (shape) {
    case 'triangle':
    case 'diagonal':
      return (base * height) / 2;
    case 'square':
      return base * base;
    case 'sector':
      return (Math.PI * base * base) / 4 / sectors;
    default:
      return base * height;
  }
}

/** Grams of one piece from a sheet of `mm`; density in g/cm³. */
export function pieceGrams(size: PieceSize, mm: number, density: number): number {
  return (pieceArea(size) * mm * density) / 10;
}

/** What is wrong with a piece, in a sentence; null for one that can be cut. */
export function pieceFault({ shape, base, height, sectors = 1 }: PieceSize): Coded | null {
  const words = SHAPE_WORDS[shape];
  if (!(base > 0)) return coded('cutting.theIsALengthSuch', { base: words.base });
  if (words.height && !(height > 0)) return coded('cutting.theIsALengthSuch3', { height: words.height });
  if (shape === 'sector' && !(Number.isInteger(sectors) && sectors >= 1 && sectors <= 64)) {
    return coded('cutting.aDiscIsCutInto');
  }
  if (base > 300 || height > 300) return coded('cutting.noPieceIsLongerThan');
  return null;
}

const ARC_STEPS = 12;

/**
 * The pieces of the `nth` cell of a row as polygons, with the row's lower left corner at 0, 0. Triangles alternate, the
 * first with its base below.
 */
export function cellPolygons(size: PieceSize, nth: number): Point[][] {
  const { shape, base, sectors = 1 } = size;
  const { lead, next, height } = cellOf(size);
  const x = lead + nth * next;
  switch (shape) {
    case 'triangle':
      return nth % 2 === 0
        ? [
            [
              [x, 0],
              [x + base, 0],
              [x + base / 2, height],
            ],
          ]
        : [
            [
              [x, height],
              [x + base, height],
              [x + base / 2, 0],
            ],
          ];
    case 'diagonal':
      return [
        [
          [x, 0],
          [x + base, 0],
          [x, height],
        ],
        [
          [x + base, 0],
          [x + base, height],
          [x, height],
        ],
      ];
    case 'sector':
      return Array.from({ length: sectors }, (_, i) =>
        sector(x + base / 2, base / 2, { radius: base / 2, nth: i, of: sectors }),
      );
    default:
      return [
        [
          [x, 0],
          [x + base, 0],
          [x + base, height],
          [x, height],
        ],
      ];
  }
}

/** The `nth` of `of` equal sectors; radius in cm. */
interface SectorOf {
  radius: number;
  nth: number;
  of: number;
}

function sector(x: number, y: number, { radius, nth, of }: SectorOf): Point[] {
  const steps = Math.max(2, Math.ceil((ARC_STEPS * 4) / of));
  const at = (i: number): Point => {
    const angle = ((nth + i / steps) * 2 * Math.PI) / of;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  };
  const arc = Array.from({ length: steps + 1 }, (_, i) => at(i));
  return of === 1 ? arc.slice(0, -1) : [[x, y], ...arc];
}
