import { type Ingredient, type IngredientBook } from '@/core/formula/ingredient';
import { scale } from '@/core/formula/scale';
import { type Amounts, stepAmounts } from '@/core/process/step-amounts';
import type { DoughRecord } from '@/core/record/dough';
import type { DoughAmounts } from '@/core/wire/amounts';
import { currentFormulas, formulaOfDough, ingredientsAndFormulas } from './formulas';
import type { Db } from '../db/rows';

type Weighed = Pick<DoughRecord, 'id' | 'kg' | 'outputs' | 'steps'>;

/** Fresh yeast is weaker than dried, and is kept cold. */
const FRESH = 0.5;

/** Whether an ingredient comes from the cold: milk, eggs, butter, starter, fresh yeast. */
const isCold = ({ kind, water, yeast }: Ingredient): boolean =>
  kind === 'dairy' ||
  kind === 'egg' ||
  kind === 'starter' ||
  (kind === 'fat' && water > 0) ||
  (kind === 'yeast' && yeast < FRESH);

/** What is weighed out at the steps of these doughs, by dough. */
export async function amountsOf(db: Db, doughs: readonly Weighed[]): Promise<Map<number, DoughAmounts>> {
  const [book, formulas] = await Promise.all([ingredientsAndFormulas(db), currentFormulas(db)]);
  const byId = new Map(formulas.map(({ formulaId, formula }) => [formulaId, formula]));
  const found = await Promise.all(
    doughs.map(async (dough): Promise<[number, DoughAmounts]> => {
      const isMixed = dough.steps.some(({ step }) => step.kind === 'mix');
      const version = isMixed ? await formulaOfDough(db, dough.id) : null;
      const net = dough.outputs.reduce((sum, { pieces, piece }) => sum + pieces * piece.grams, 0);
      const scaled = version && scale(version.formula, book, { by: 'finished', grams: dough.kg * 1000, net });
      return [
        dough.id,
        named(
          stepAmounts(dough, scaled, (id) => byId.get(id)),
          book,
        ),
      ];
    }),
  );
  return new Map(found);
}

function named(steps: ReadonlyMap<string, Amounts[]>, book: IngredientBook): DoughAmounts {
  const ids = [...new Set([...steps.values()].flat().flatMap(({ lines }) => lines.map((l) => l.ingredient)))];
  const known = ids.flatMap((id) => {
    const ingredient = book.get(id);
    return ingredient ? [ingredient] : [];
  });
  return {
    steps: Object.fromEntries(steps),
    names: Object.fromEntries(known.map(({ id, name }) => [id, name])),
    cold: known.filter(isCold).map(({ id }) => id),
  };
}
