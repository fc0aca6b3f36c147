import { coded } from '../codes/coded';
import { area, type Drawing, line, type Mark, type Point, rectangle, text } from '../drawing/drawing';
import type { LockInPlan } from './geometry';
import type { Slab } from './gaps';
import { fatBetween, layersBetween, type Pile } from './pile';
import type { Fold, LockIn } from './stack';
import { FOLD_WORDS, HOW_TO, LOCK_IN_WORDS } from './words';

/** Where a sheet is folded, in shares of its length. A book is shut beside its middle, so that seams do not meet. */
export const FOLD_LINES: Record<Fold, readonly number[]> = {
  half: [1 / 2],
  letter: [1 / 3, 2 / 3],
  book: [3 / 8, 5 / 8, 7 / 8],
};

/** A sheet from above with its fold lines, its size written along it, and the way it is rolled; 1 unit = 1 cm. */
export function foldDrawing(fold: Fold, sheet: Slab, show: (cm: number) => string): Drawing {
  const { length, width } = sheet;
  const unit = Math.max(length, 2.2 * width) / 24;
  const marks: Mark[] = [
    area(rectangle(0, 0, length, width), 'dough'),
    ...FOLD_LINES[fold].map((share, i) =>
      line(
        [
          [share * length, 0],
          [share * length, width],
        ],
        { dashed: true, heavy: fold === 'book' && i === 1 },
      ),
    ),
    ...folding(fold, length, width),
    text([length / 2, width + 2.7 * unit], show(length), 2.5 * unit),
    text([length + 0.5 * unit, width / 2 + 0.9 * unit], show(width), 2.5 * unit, 'start'),
  ];
  return {
    view: [-unit, -2.4 * unit, length + 10 * unit, width + 6 * unit],
    marks,
    says: coded('lamination.fOLDWORDSHOWTO', { FOLDWORDS: FOLD_WORDS[fold], HOWTO: HOW_TO[fold] }),
  };
}

/** Arrows of the flaps, in the order in which they are laid. */
function folding(fold: Fold, length: number, width: number): Mark[] {
  const bow = (from: number, to: number, height = 0.5): Mark =>
    line(
      [
        [from * length, width * height],
        [to * length, width * height],
      ],
      { arrow: true },
    );
  switch (fold) {
    case 'half':
      return [bow(0.95, 0.12)];
    case 'letter':
      return [bow(0.04, 0.62, 0.3), bow(0.96, 0.38, 0.7)];
    case 'book':
      return [bow(0.04, 0.72, 0.3), bow(0.98, 0.78, 0.7)];
  }
}

type LockInSizes = Pick<LockInPlan, 'butter' | 'dough'>;

/** The lock-in from above: dough with its fold lines, and the butter on it; 1 unit = 1 cm. */
export function lockInDrawing(style: LockIn, sizes: LockInSizes): Drawing {
  const { length, width } = sizes.dough;
  const unit = Math.max(length, width) / 20;
  return {
    view: [-unit, -unit, length + 2 * unit, width + 2 * unit],
    says: LOCK_IN_WORDS[style],
    marks: LOCK_IN_MARKS[style](sizes),
  };
}

const foldLine = (from: Point, to: Point) => line([from, to], { dashed: true });
const wholeSheet = ({ dough }: LockInSizes) => area(rectangle(0, 0, dough.length, dough.width), 'dough');
const butterAround = ({ butter }: LockInSizes, x: number, y: number) =>
  area(rectangle(x - butter.length / 2, y - butter.width / 2, butter.length, butter.width), 'butter');

/** Dough, butter and fold lines of each way to lock butter in. */
const LOCK_IN_MARKS: Record<LockIn, (sizes: LockInSizes) => Mark[]> = {
  envelope(sizes) {
    const [x, y] = [sizes.dough.length / 2, sizes.dough.width / 2];
    const half = sizes.butter.length / Math.SQRT2;
    const diamond: Point[] = [
      [x, y - half],
      [x + half, y],
      [x, y + half],
      [x - half, y],
    ];
    const folds = diamond.map((p, i) => foldLine(p, diamond[(i + 1) % 4] ?? p));
    return [wholeSheet(sizes), area(diamond, 'butter'), ...folds];
  },
  'half-lock'(sizes) {
    const { length, width } = sizes.dough;
    const fold = foldLine([length / 2, 0], [length / 2, width]);
    return [wholeSheet(sizes), butterAround(sizes, length / 4, width / 2), fold];
  },
  middle(sizes) {
    const { length, width } = sizes.dough;
    const folds = [-1, 1].map((side) => {
      const x = length / 2 + (side * sizes.butter.length) / 2;
      return foldLine([x, 0], [x, width]);
    });
    return [wholeSheet(sizes), butterAround(sizes, length / 2, width / 2), ...folds];
  },
  'two-thirds'(sizes) {
    const { length, width } = sizes.dough;
    const x = Math.min(length - length / 3, length - sizes.butter.length / 2);
    const folds = [length / 3, (2 * length) / 3].map((at) => foldLine([at, 0], [at, width]));
    return [wholeSheet(sizes), butterAround(sizes, x, width / 2), ...folds];
  },
  cross(sizes) {
    const { length, width } = sizes.dough;
    const [l, r] = [length / 2 - sizes.butter.length / 2, length / 2 + sizes.butter.length / 2];
    const [t, b] = [width / 2 - sizes.butter.width / 2, width / 2 + sizes.butter.width / 2];
    const above: Point[] = [
      [l, t],
      [l, 0],
      [r, 0],
      [r, t],
      [length, t],
      [length, b],
    ];
    const below: Point[] = [
      [r, b],
      [r, width],
      [l, width],
      [l, b],
      [0, b],
      [0, t],
    ];
    return [area([...above, ...below], 'dough'), butterAround(sizes, length / 2, width / 2)];
  },
};

/** What a section shows at one height: fat, dough, or both too thin to tell apart; in shares of the window, from the bottom. */
export interface Band {
  from: number;
  to: number;
  /** Share of fat, 0 to 1. */
  fat: number;
}

/** More layers than this in a window are told by their mean. */
const DRAWABLE = 260;

/**
 * A section through a pile between two heights, true to scale: single layers where there are few enough to be drawn, else
 * bands of one pixel with the share of fat in them.
 */
export function section(
  pile: Pile,
  from: number,
  to: number,
  pixels: number,
): { bands: Band[]; single: boolean } {
  const scale = (at: number) => Math.min(1, Math.max(0, (at - from) / (to - from)));
  const layers = layersBetween(pile, from, to, Math.min(DRAWABLE, pixels));
  if (layers) {
    return {
      single: true,
      bands: layers.map((layer) => ({
        from: scale(layer.from),
        to: scale(layer.to),
        fat: layer.fat ? 1 : 0,
      })),
    };
  }
  const step = (to - from) / pixels;
  return {
    single: false,
    bands: Array.from({ length: pixels }, (_, i) => ({
      ...{ from: i / pixels, to: (i + 1) / pixels },
      fat: fatBetween(pile, from + i * step, from + (i + 1) * step) / step,
    })),
  };
}
