import {
  doughPercent,
  flourPercent,
  isPreferment,
  linesOf,
  rollInPercent,
  shareOf,
  type Formula,
} from './formula';
import { ALLERGENS, type Allergen, type IngredientBook } from './ingredient';

/** What a formula comes to. Percentages are of the flour, or of the whole where there is no flour. */
export interface Analysis {
  /** 0 where there is no flour: then only allergens and weights mean anything. */
  flour: number;
  /** Water of all that goes into the dough: milk, egg, butter and levain by their water; the roll-in is left out. */
  hydration: number;
  fat: number;
  sugar: number;
  salt: number;
  /** As instant yeast. */
  yeast: number;
  prefermentedFlour: number;
  dough: number;
  rollInOfDough: number;
  rollInOfFlour: number;
  /** Specific heat of the dough before butter, kJ/(kg·K). */
  heat: number;
  allergens: { allergen: Allergen; from: string[] }[];
  uncounted: string[];
}

const inDough = (kind: string) => kind !== 'roll-in';

/** Works out a formula's totals from its lines and the house's ingredients. */
export function analyse(formula: Formula, book: IngredientBook): Analysis {
  const lines = linesOf(formula, inDough);
  const dough = doughPercent(formula);
  const rollIn = rollInPercent(formula);
  const prefermented = shareOf(linesOf(formula, isPreferment), book, 'flour');
  const starters = shareOf(
    linesOf(formula, (kind) => inDough(kind) && !isPreferment(kind)).filter(
      ({ ingredient }) => book.get(ingredient)?.kind === 'starter',
    ),
    book,
    'flour',
  );
  const heat = lines.reduce(
    (sum, { ingredient, percent }) => sum + percent * (book.get(ingredient)?.heat ?? 0),
    0,
  );
  return {
    flour: flourPercent(formula, book),
    hydration: shareOf(lines, book, 'water'),
    fat: shareOf(linesOf(formula), book, 'fat'),
    sugar: shareOf(lines, book, 'sugar'),
    salt: shareOf(linesOf(formula), book, 'salt'),
    yeast: shareOf(lines, book, 'yeast'),
    prefermentedFlour: prefermented + starters,
    dough,
    rollInOfDough: dough > 0 ? (100 * rollIn) / dough : 0,
    rollInOfFlour: rollIn,
    heat: dough > 0 ? heat / dough : 0,
    allergens: allergensOf(formula, book),
    uncounted: linesOf(formula)
      .filter((line) => line.uncounted)
      .map(({ ingredient }) => book.get(ingredient)?.name ?? ingredient),
  };
}

/** Every allergen that goes in, with the ingredients that bring it, uncounted ones included. */
export function allergensOf(formula: Formula, book: IngredientBook): Analysis['allergens'] {
  const ingredients = [...new Set(linesOf(formula).map(({ ingredient }) => ingredient))].flatMap(
    (id) => book.get(id) ?? [],
  );
  return ALLERGENS.flatMap((allergen) => {
    const from = ingredients.filter(({ allergens }) => allergens.includes(allergen)).map(({ name }) => name);
    return from.length > 0 ? [{ allergen, from }] : [];
  });
}
