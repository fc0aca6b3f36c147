/** Ways to enclose a butter block; see `neededDough` for what each needs. */
export type LockInStyle = 'envelope' | 'half-lock' | 'middle' | 'two-thirds';

/** Length and width, cm. */
export type Size = readonly [length: number, width: number];

/** Dough [length, width] in cm that a butter block needs, with a seam and a rim. */
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
  }
}

/** By how many cm a dough is too small for a butter block, each way; 0 where it is large enough. */
export function shortBy(dough: Size, needed: Size): Size {
  return [Math.max(0, needed[0] - dough[0]), Math.max(0, needed[1] - dough[1])];
}
