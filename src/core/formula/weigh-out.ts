import { linesOf, percentOf, type Formula } from './formula';

/** An ingredient of what is weighed out; no grams where it is not weighed. */
export interface WeighedLine {
  ingredient: string;
  grams: number | null;
}

/**
 * The ingredients of so many grams of a formula as a whole, all stages together, in its order.
 *
 * @param grams - of all of it, what is not weighed left out of account
 */
export function weighOut(formula: Formula, grams: number): WeighedLine[] {
  const whole = percentOf(formula);
  return linesOf(formula).map(({ ingredient, percent, uncounted }) => ({
    ingredient,
    grams: uncounted || whole <= 0 ? null : (grams * percent) / whole,
  }));
}
