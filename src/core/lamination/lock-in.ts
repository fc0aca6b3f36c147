import type { LockIn } from './stack';

/** Ways to enclose a butter block; see `neededDough` for what each needs. */
export type LockInStyle = LockIn;

/** Length and width, cm. */
export type Size = readonly [length: number, width: number];

/** Dough [length, width] in cm that a butter block needs, with a seam and a rim. Of a cross it is the span of its flaps. */
export function neededDough(style: LockInStyle, [length, width]: Size, seam: number, rim: number): Size {
  switch (style) {
    case 'envelope':
      return [Math.SQRT2 * length + seam, Math.SQRT2 * width + seam];
    case 'half-lock':
      return [2 * (length + rim), width + 2 * rim];
    case 'middle':
      return [2 * length + seam, width + 2 * rim];
    case 'two-thirds':
      return [1.5 * length + 2 * rim, width + 2 * rim];
    case 'cross':
      return [2 * length + 2 * seam, 2 * width + 2 * seam];
  }
}

/** The largest butter block [length, width] that a dough can enclose: `neededDough` the other way round. */
export function largestButter(style: LockInStyle, [length, width]: Size, seam: number, rim: number): Size {
  const least = ([l, w]: Size): Size => [Math.max(0, l), Math.max(0, w)];
  switch (style) {
    case 'envelope':
      return least([(length - seam) / Math.SQRT2, (width - seam) / Math.SQRT2]);
    case 'half-lock':
      return least([length / 2 - rim, width - 2 * rim]);
    case 'middle':
      return least([(length - seam) / 2, width - 2 * rim]);
    case 'two-thirds':
      return least([(length - 2 * rim) / 1.5, width - 2 * rim]);
    case 'cross':
      return least([length / 2 - seam, width / 2 - seam]);
  }
}

/** Length and width of the block when the butter is enclosed. */
export function lockedSize(style: LockInStyle, [length, width]: Size, rim: number): Size {
  switch (style) {
    case 'envelope':
    case 'cross':
      return [length, width];
    case 'half-lock':
      return [length + rim, width + 2 * rim];
    case 'middle':
      return [length, width + 2 * rim];
    case 'two-thirds':
      return [length / 2 + (2 * rim) / 3, width + 2 * rim];
  }
}

/** By how many cm a dough is too small for a butter block, each way; 0 where it is large enough. */
export function shortBy(dough: Size, needed: Size): Size {
  return [Math.max(0, needed[0] - dough[0]), Math.max(0, needed[1] - dough[1])];
}

/** A block that was made, against the dough that is to enclose it, the better of the two ways round. */
export interface Fit {
  needed: Size;
  short: Size;
  fits: boolean;
  /** The dough lies better when it is turned by a quarter: sizes are those of the turned dough. */
  turned: boolean;
  /** Roll the dough to this, which makes it so thick, mm. */
  rollTo: { size: Size; mm: number };
  /** Or trim the butter to this, which takes so many grams off, to be laid on thin spots. */
  trimTo: { size: Size; grams: number };
}

/** A dough is measured to half a centimetre, and less than half of that is no reason to roll again, cm. */
const CLOSE = 0.25;
/** Turning is worth its trouble where it spares so much of the rolling, as a share of the area. */
const WORTH_TURNING = 0.01;

const area = ([length, width]: Size) => length * width;

/**
 * Does the block that was made fit the dough, as it lies or turned by a quarter? Lengths in cm, thicknesses in mm, the
 * butter's density in g/cm³. Dough that is rolled larger grows thinner: its volume stays.
 */
export function fitBlock(
  style: LockInStyle,
  butter: { size: Size; mm: number },
  dough: { size: Size; mm: number },
  { seam, rim, density }: { seam: number; rim: number; density: number },
): Fit {
  const needed = neededDough(style, butter.size, seam, rim);
  const rolled = ([length, width]: Size): Size => [Math.max(length, needed[0]), Math.max(width, needed[1])];
  const quarter: Size = [dough.size[1], dough.size[0]];
  const fitsSo = (size: Size) => shortBy(size, needed).every((cm) => cm < CLOSE);
  const turned =
    !fitsSo(dough.size) &&
    (fitsSo(quarter) || area(rolled(quarter)) < area(rolled(dough.size)) * (1 - WORTH_TURNING));
  const own = turned ? quarter : dough.size;
  const size = rolled(own);
  const room = largestButter(style, own, seam, rim);
  const trimmed: Size = [Math.min(butter.size[0], room[0]), Math.min(butter.size[1], room[1])];
  return {
    ...{ needed, short: shortBy(own, needed), fits: fitsSo(own), turned },
    rollTo: { size, mm: (dough.mm * area(dough.size)) / area(size) },
    trimTo: {
      size: trimmed,
      grams: ((area(butter.size) - area(trimmed)) * butter.mm * density) / 10,
    },
  };
}
