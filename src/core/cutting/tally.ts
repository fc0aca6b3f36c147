import { coded, type Coded } from '../codes/coded';

/** A dough that is divided: what each piece should weigh, how far it may be off, and how many there are to be. */
export interface Divide {
  target: number;
  tolerance: number;
  pieces: number;
  /** Grams of dough on the bench. */
  dough: number;
}

/** What was weighed so far, against what should be. Weights in grams. */
export interface Tally {
  count: number;
  grams: number;
  mean: number | null;
  /** Pieces of weighings whose mean was off by more than the tolerance. */
  off: number;
  left: number;
  /** What each of the rest may weigh if the dough is to be used up. */
  restEach: number | null;
  words: Coded;
}

/** Adds up weighings of one or several pieces each. */
export function tally(
  { target, tolerance, pieces, dough }: Divide,
  weighings: readonly { count: number; grams: number }[],
): Tally {
  const count = weighings.reduce((sum, one) => sum + one.count, 0);
  const grams = weighings.reduce((sum, one) => sum + one.grams, 0);
  const off = weighings
    .filter((one) => Math.abs(one.grams / one.count - target) > tolerance + 1e-9)
    .reduce((sum, one) => sum + one.count, 0);
  const left = Math.max(0, pieces - count);
  const mean = count > 0 ? grams / count : null;
  const restEach = left > 0 ? (dough - grams) / left : null;
  return {
    count,
    grams,
    mean,
    off,
    left,
    restEach,
    words: advice(target, tolerance, { mean, restEach, left }),
  };
}

/** Grams: the mean of what was weighed, what each of the pieces left would be, and what is left. */
interface Rest {
  mean: number | null;
  restEach: number | null;
  left: number;
}

function advice(target: number, tolerance: number, { mean, restEach, left }: Rest): Coded {
  if (mean === null) return coded('cutting.eachGMoreOrLess', { target, tolerance });
  const byMean = Math.round((mean - target) * 10) / 10;
  if (Math.abs(mean - target) > tolerance) {
    return coded('cutting.onAverageGTooHeavy', { grams: Math.abs(byMean), isHeavy: byMean > 0 });
  }
  if (left > 0 && restEach !== null && restEach < target - tolerance) {
    return coded('cutting.theDoughLeftGivesThe', { left, restEach: Math.round(restEach) });
  }
  return left === 0 ? coded('cutting.allWeighed') : coded('cutting.withinTheTolerance');
}

/** How a single weighing stands: within, too light or too heavy, by grams a piece. */
export function weighed(
  { target, tolerance }: Pick<Divide, 'target' | 'tolerance'>,
  { count, grams }: { count: number; grams: number },
): { verdict: 'within' | 'light' | 'heavy'; by: number } {
  const by = grams / count - target;
  return { by, verdict: Math.abs(by) <= tolerance + 1e-9 ? 'within' : by < 0 ? 'light' : 'heavy' };
}
