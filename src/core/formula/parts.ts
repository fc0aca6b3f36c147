import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
import type { Formula } from './formula';
import { linesOf } from './formula';
import { ALLERGENS, ingredientBook, type Ingredient, type IngredientBook } from './ingredient';

/** A formula of the house that others may use as an ingredient. */
export interface NamedFormula {
  id: number;
  name: string;
  formula: Formula;
}

export const formulaRef = (id: number) => `formula:${id}`;

/** A formula that is made of itself, by way of others: the names in order, first and last alike. */
export class CircleError extends Fault {
  constructor(readonly names: string[]) {
    super(coded('formulas.isMadeOfItself', { names: names[0] ?? '', names2: names.join(' → ') }));
  }
}

/**
 * The house's ingredients with its own formulas among them, each as the mean of its parts. A formula that contains
 * itself throws `CircleError`.
 */
export function bookWithFormulas(
  ingredients: readonly Ingredient[],
  formulas: readonly NamedFormula[],
): IngredientBook {
  const plain = ingredientBook(ingredients);
  const byRef = new Map(formulas.map((formula) => [formulaRef(formula.id), formula]));
  const made = new Map<string, Ingredient>();
  const make = (ref: string, above: string[]): Ingredient | undefined => {
    const known = plain.get(ref) ?? made.get(ref);
    if (known) return known;
    const named = byRef.get(ref);
    if (!named) return undefined;
    if (above.includes(named.name))
      throw new CircleError([...above.slice(above.indexOf(named.name)), named.name]);
    const lines = linesOf(named.formula);
    const parts = lines.map((line) => ({ line, part: make(line.ingredient, [...above, named.name]) }));
    const whole = lines.reduce((sum, { percent }) => sum + percent, 0) || 1;
    const mean = (of: (part: Ingredient) => number) =>
      parts.reduce((sum, { line, part }) => sum + (part ? (of(part) * line.percent) / whole : 0), 0);
    const ingredient: Ingredient = {
      ...{ id: ref, name: named.name, also: [], kind: 'other', density: null },
      ...{ water: mean((p) => p.water), fat: mean((p) => p.fat), sugar: mean((p) => p.sugar) },
      ...{ salt: mean((p) => p.salt), flour: mean((p) => p.flour), yeast: mean((p) => p.yeast) },
      heat: mean((p) => p.heat),
      allergens: ALLERGENS.filter((allergen) => parts.some(({ part }) => part?.allergens.includes(allergen))),
      ...(parts.some(({ part }) => !part || part.allergensUnknown) ? { allergensUnknown: true } : {}),
    };
    made.set(ref, ingredient);
    return ingredient;
  };
  return ingredientBook([...ingredients, ...[...byRef.keys()].flatMap((ref) => make(ref, []) ?? [])]);
}
