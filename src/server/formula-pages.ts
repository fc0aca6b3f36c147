import type { Db } from './db/rows';
import { sizes } from './store/doughs';
import { currentFormulas, formulaRanges, productsByFormula } from './store/formulas';
import { ingredients } from './store/ingredients';

/** What every page about formulas needs. */
export async function formulaPages(db: Db) {
  const [formulas, all, ranges, takes, products] = await Promise.all([
    currentFormulas(db),
    ingredients(db),
    formulaRanges(db),
    sizes(db),
    productsByFormula(db),
  ]);
  return {
    ...{ formulas, ingredients: all, ranges, bowlGrams: takes.bowlKg * 1000, products },
    named: formulas.map(({ formulaId, name, formula }) => ({ id: formulaId, name, formula })),
  };
}
