import {
  doughPercent,
  flourPercent,
  isPreferment,
  linesOf,
  mixedInto,
  rollInPercent,
  shareOf,
  type Formula,
  type FormulaLine,
  type StageKind,
} from './formula';
import { ALLERGENS, type Allergen, type IngredientBook, type IngredientKind } from './ingredient';

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
  /** Ingredients of which nobody has said what they contain. */
  undeclared: string[];
  uncounted: string[];
  /** Kinds of what is not weighed: salt to taste is no salt that is missing. */
  uncountedKinds: IngredientKind[];
}

/**
 * Works out a formula's totals from its lines and the house's ingredients. Hydration, fat, sugar and salt are those of the
 * dough with its roll-in, per cent of the flour in the dough: fillings and finishes beside it count for labels alone, and
 * flour that is creamed into the butter is no flour that takes up water.
 */
export function analyse(formula: Formula, book: IngredientBook): Analysis {
  const inDough = mixedInto(formula);
  const withRollIn = (kind: StageKind) => inDough(kind) || kind === 'roll-in';
  const lines = linesOf(formula, inDough);
  const flour = shareOf(lines, book, 'flour');
  /** Percent of the flour that is in the dough; of the whole where there is none. */
  const ofFlour = (
    part: 'water' | 'fat' | 'sugar' | 'salt' | 'yeast' | 'flour',
    from: readonly FormulaLine[],
  ) => shareOf(from, book, part) * (flour > 0 ? 100 / flour : 1);
  const dough = doughPercent(formula);
  const rollIn = rollInPercent(formula);
  const prefermented = ofFlour('flour', linesOf(formula, isPreferment));
  const starters = ofFlour(
    'flour',
    linesOf(formula, (kind) => inDough(kind) && !isPreferment(kind)).filter(
      ({ ingredient }) => book.get(ingredient)?.kind === 'starter',
    ),
  );
  const uncounted = linesOf(formula).filter((line) => line.uncounted);
  const heat = lines.reduce(
    (sum, { ingredient, percent }) => sum + percent * (book.get(ingredient)?.heat ?? 0),
    0,
  );
  return {
    flour: flourPercent(formula, book),
    hydration: ofFlour('water', lines),
    fat: ofFlour('fat', linesOf(formula, withRollIn)),
    sugar: ofFlour('sugar', lines),
    salt: ofFlour('salt', linesOf(formula, withRollIn)),
    yeast: ofFlour('yeast', lines),
    prefermentedFlour: prefermented + starters,
    dough,
    rollInOfDough: dough > 0 ? (100 * rollIn) / dough : 0,
    rollInOfFlour: flour > 0 ? (100 * rollIn) / flour : rollIn,
    heat: dough > 0 ? heat / dough : 0,
    allergens: allergensOf(formula, book),
    undeclared: undeclaredIn(formula, book),
    uncounted: uncounted.map(({ ingredient }) => book.get(ingredient)?.name ?? ingredient),
    uncountedKinds: uncounted.flatMap(({ ingredient }) => book.get(ingredient)?.kind ?? []),
  };
}

/** True where something makes the dough rise that is no commercial yeast: a levain stage, or a starter in the dough. */
export function hasLeaven(formula: Formula, book: IngredientBook): boolean {
  return (
    formula.stages.some(({ kind }) => kind.includes('levain')) ||
    linesOf(formula, mixedInto(formula)).some(
      ({ ingredient, percent }) => percent > 0 && book.get(ingredient)?.kind === 'starter',
    )
  );
}

/** Ingredients of a formula of which nobody has said what they contain: its label is incomplete. */
export function undeclaredIn(formula: Formula, book: IngredientBook): string[] {
  const ids = [...new Set(linesOf(formula).map(({ ingredient }) => ingredient))];
  return ids.flatMap((id) => {
    const known = book.get(id);
    return !known || known.allergensUnknown ? [known?.name ?? id] : [];
  });
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
