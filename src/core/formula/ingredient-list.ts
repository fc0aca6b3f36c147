import { linesOf, percentOf, type Formula } from './formula';
import type { Allergen, IngredientBook } from './ingredient';

/** An ingredient as a label lists it. */
export interface ListedIngredient {
  name: string;
  /** What of it went in; 0 where it is not weighed. */
  grams: number;
  allergens: readonly Allergen[];
  /** Nobody has said what it contains. */
  undeclared: boolean;
}

/** Something that is in the goods: a formula of which so many grams are in them, or one thing by its own name. */
export type ListedPart =
  { formula: Formula; grams: number } | { name: string; grams: number; allergens: readonly Allergen[] };

/**
 * All ingredients of what is in the goods, by weight as they went in, the heaviest first, as a label has to list them. Formulas that
 * are ingredients of others are taken apart; the same ingredient of several parts is listed once. What nobody weighs is listed last,
 * and not at all where an ingredient is in its name that is listed already.
 *
 * @param formulaOf - the formula behind an ingredient that is one of the house's own
 *
 * @example
 * ingredientList([{ formula: dough, grams: 60 }, { formula: poppyFilling, grams: 20 }], { book, formulaOf });
 * // wheat flour 32 g, butter 14 g, milk 12 g, poppy seed 8 g, …
 */
export function ingredientList(
  parts: readonly ListedPart[],
  { book, formulaOf }: { book: IngredientBook; formulaOf: (ingredient: string) => Formula | undefined },
): ListedIngredient[] {
  const listed = new Map<string, ListedIngredient>();
  const add = (key: string, one: ListedIngredient) => {
    const before = listed.get(key);
    listed.set(key, before ? { ...before, grams: before.grams + one.grams } : one);
  };
  const takeApart = (formula: Formula, grams: number): void => {
    const whole = percentOf(formula);
    for (const { ingredient, percent, uncounted } of linesOf(formula)) {
      const own = uncounted || whole <= 0 ? 0 : (grams * percent) / whole;
      const made = formulaOf(ingredient);
      if (made) {
        takeApart(made, own);
        continue;
      }
      const known = book.get(ingredient);
      add(ingredient, {
        ...{ name: known?.name ?? ingredient, grams: own, allergens: known?.allergens ?? [] },
        undeclared: !known || known.allergensUnknown === true,
      });
    }
  };
  for (const part of parts) if ('formula' in part) takeApart(part.formula, part.grams);
  const words = (name: string) => ` ${name.toLowerCase()} `;
  for (const part of parts) {
    if ('formula' in part) continue;
    // “Poppy seed in the middle” says where, not what: poppy seed is listed already.
    const isListed = [...listed.values()].some(({ name }) => words(part.name).includes(words(name)));
    if (part.grams > 0 || !isListed) add(part.name.toLowerCase(), { ...part, undeclared: false });
  }
  return [...listed.values()].sort((a, b) => b.grams - a.grams || a.name.localeCompare(b.name));
}
