/** Pieces cut from a sheet: what each should weigh and how far it may be off, grams; how thick and wide it was cut. */
export interface CutTarget {
  target: number;
  tolerance: number;
  mm: number;
  /** The base of a triangle, the width of a slice: the measure that can still be changed on a rolled sheet, cm. */
  base: number;
}

/** What weighed pieces say of the sheet. */
export interface ThicknessAdvice {
  mean: number;
  /** Grams that a piece is off, on average. */
  off: number;
  /** How thick the sheet really is, and how thick the next should be set, mm. */
  real: number;
  next: number;
  /** On this sheet: the base that gives the weight, cm. */
  base: number;
  verdict: 'within' | 'light' | 'heavy';
  words: string;
}

/** A gap or a ruler is set no finer than this. */
const GAP_STEP = 0.1;
const RULER_STEP = 0.1;

const rounded = (value: number, step: number) => Math.round(Math.round(value / step) * step * 1000) / 1000;

/**
 * What to change when cut pieces are too light or too heavy. Weight = area × thickness × density, so that at one area the
 * sheet is as much too thick as the pieces are too heavy; and at one thickness the base has to give way by as much.
 * Null where nothing was weighed.
 */
export function thicknessAdvice(
  { target, tolerance, mm, base }: CutTarget,
  weighings: readonly { count: number; grams: number }[],
): ThicknessAdvice | null {
  const count = weighings.reduce((sum, one) => sum + one.count, 0);
  if (count === 0) return null;
  const mean = weighings.reduce((sum, one) => sum + one.grams, 0) / count;
  const off = mean - target;
  const verdict: ThicknessAdvice['verdict'] =
    Math.abs(off) <= tolerance + 1e-9 ? 'within' : off < 0 ? 'light' : 'heavy';
  const found = {
    ...{ mean, off, verdict, real: rounded((mm * mean) / target, GAP_STEP) },
    next: rounded((mm * target) / mean, GAP_STEP),
    base: rounded((base * target) / mean, RULER_STEP),
  };
  return { ...found, words: words(found, mm) };
}

function words({ off, verdict, real, next, base }: Omit<ThicknessAdvice, 'words'>, mm: number): string {
  if (verdict === 'within') return 'Within the tolerance: the sheet is as thick as it should be.';
  const by = Math.round(Math.abs(off) * 10) / 10;
  const rest = `cut the rest ${base} cm wide`;
  return verdict === 'heavy'
    ? `${by} g too heavy: the sheet is about ${real} mm, not ${mm}. Roll it on, or ${rest}; set the next sheet to ${next} mm.`
    : `${by} g too light: the sheet is about ${real} mm, not ${mm}. It cannot be made thicker: ${rest}; set the next sheet to ${next} mm.`;
}
