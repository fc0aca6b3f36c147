/**
 * A formula in baker's percent: every ingredient by the total flour weight, all flours together 100.
 * The roll-in fat is not part of the dough and is given apart, as percent of the dough before butter.
 */
export interface Formula {
  lines: FormulaLine[];
  /** Desired dough temperature after mixing, °C. */
  doughCelsius: number;
  /** Roll-in fat as percent of the dough before butter; 0 for doughs that are not laminated. */
  rollInPercent: number;
}

export interface FormulaLine {
  ingredient: string;
  percent: number;
  /** Share of the ingredient's weight that is water, 0 to 1. */
  water: number;
  isFlour?: boolean;
}

/** Weights in grams, in the order of the lines. */
export interface ScaledFormula {
  lines: { ingredient: string; grams: number }[];
  flourGrams: number;
  doughGrams: number;
  rollInGrams: number;
}

/** Water by weight in the usual liquids and fats, as counted towards hydration. */
export const WATER_SHARE = {
  water: 1,
  milk: 0.87,
  egg: 0.75,
  eggWhite: 0.88,
  yolk: 0.5,
  butter: 0.16,
  cream: 0.64,
} as const;

/** Sum of all percentages: what a dough weighs for 100 of flour. */
export function totalPercent(formula: Pick<Formula, 'lines'>): number {
  return formula.lines.reduce((sum, line) => sum + line.percent, 0);
}

/** Total hydration: water from all ingredients, in percent of flour. */
export function hydrationPercent(formula: Pick<Formula, 'lines'>): number {
  return formula.lines.reduce((sum, line) => sum + line.percent * line.water, 0);
}

/** Scales to a flour weight in grams. */
export function scaleByFlour(formula: Formula, flourGrams: number): ScaledFormula {
  const lines = formula.lines.map(({ ingredient, percent }) => ({
    ingredient,
    grams: (flourGrams * percent) / 100,
  }));
  const doughGrams = (flourGrams * totalPercent(formula)) / 100;
  return { lines, flourGrams, doughGrams, rollInGrams: (doughGrams * formula.rollInPercent) / 100 };
}

/** Scales to a weight of dough before butter, in grams. */
export function scaleByDough(formula: Formula, doughGrams: number): ScaledFormula {
  return scaleByFlour(formula, (100 * doughGrams) / totalPercent(formula));
}

/** Scales to a weight of dough ready to cut, roll-in fat included, in grams. */
export function scaleByFinished(formula: Formula, finishedGrams: number): ScaledFormula {
  return scaleByDough(formula, finishedGrams / (1 + formula.rollInPercent / 100));
}

/** Grams of dough ready to cut for pieces of one weight; `scrap` is the share of it lost to trimmings, 0 to below 1. */
export function doughForPieces(pieces: number, pieceGrams: number, scrap: number): number {
  return (pieces * pieceGrams) / (1 - scrap);
}

/** Yeast of one kind for another, by weight: fresh 1, active dry 0.4, instant 0.33. */
const YEAST_STRENGTH = { fresh: 1, activeDry: 0.4, instant: 0.33 } as const;

export function convertYeast(
  grams: number,
  from: keyof typeof YEAST_STRENGTH,
  to: keyof typeof YEAST_STRENGTH,
): number {
  return (grams / YEAST_STRENGTH[from]) * YEAST_STRENGTH[to];
}
