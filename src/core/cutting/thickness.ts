import { pieceGrams, type PieceSize } from './piece';
import { thicknessFor } from './solve';

/** Pieces cut from a sheet: how they are cut, what each should weigh and how far it may be off, grams. */
export interface CutTarget {
  size: PieceSize;
  /** What the sheet was rolled to, mm. */
  mm: number;
  /** g/cm³. */
  density: number;
  /** Dough in a piece. */
  target: number;
  tolerance: number;
  /** What is in it already when it is weighed: the filling of a log, grams a piece. */
  filling?: number;
}

/** What weighed pieces say of the sheet. */
export interface ThicknessAdvice {
  /** Dough in a piece, and by how much that is off, grams, on average. */
  mean: number;
  off: number;
  /** How thick the sheet really is, and how thick the next should be, mm. */
  real: number;
  next: number;
  /** On this sheet: the base that gives the weight, cm. */
  base: number;
  /** `size`: the sheet is as thick as it should be, so the piece is cut too large or too small. */
  verdict: 'within' | 'light' | 'heavy' | 'size';
}

/** A gap or a ruler is set no finer than this. */
const STEP = 0.1;
const rounded = (value: number) => Math.round(Math.round(value / STEP) * STEP * 1000) / 1000;

/**
 * What to change when cut pieces are too light or too heavy. Weight = area × thickness × density; at one thickness the base
 * has to give way by as much as a piece is off. Null where nothing was weighed.
 */
export function thicknessAdvice(
  { size, mm, density, target, tolerance, filling = 0 }: CutTarget,
  weighings: readonly { count: number; grams: number }[],
): ThicknessAdvice | null {
  const count = weighings.reduce((sum, one) => sum + one.count, 0);
  if (count === 0) return null;
  const mean = weighings.reduce((sum, one) => sum + one.grams, 0) / count - filling;
  const off = mean - target;
  const real = rounded(thicknessFor(size, mean, density));
  const next = rounded(thicknessFor(size, target, density));
  const isAsRolled = Math.abs(mean - pieceGrams(size, mm, density)) <= tolerance + 1e-9;
  const verdict: ThicknessAdvice['verdict'] =
    Math.abs(off) <= tolerance + 1e-9 ? 'within' : isAsRolled ? 'size' : off < 0 ? 'light' : 'heavy';
  return { mean, off, verdict, real, next, base: rounded((size.base * target) / mean) };
}
