import { effectiveEvents } from '@/core/record/undo';
import type { FloorEvent } from '@/core/record/events';
import { allergensOf } from '@/core/formula/analysis';
import type { Allergen, IngredientBook } from '@/core/formula/ingredient';
import { formulaOfDough, ingredientsAndFormulas } from './formulas';
import { type Db } from '../db/rows';

/** Allergens that a dough's own formula brings. */
export async function mixedIn(db: Db, doughId: number, book: IngredientBook): Promise<Allergen[]> {
  const version = await formulaOfDough(db, doughId);
  return version ? allergensOf(version.formula, book).map(({ allergen }) => allergen) : [];
}

/** Allergens of what was taken instead of, or added to, what a formula says. */
export function putIn(events: readonly FloorEvent[], book: IngredientBook): Allergen[] {
  return events.flatMap(({ data }) =>
    data?.kind === 'swapped' || data?.kind === 'adjusted' ? (book.get(data.ingredient)?.allergens ?? []) : [],
  );
}

const BRINGING = ['swapped', 'adjusted', 'scrap-taken'];

/**
 * Allergens that came into doughs beside what their formulas say, by dough: swapped or added ingredients, and trimmings of
 * other doughs. Doughs of which nothing of this is recorded are left out, and cost nothing.
 */
export async function broughtIn(
  db: Db,
  events: ReadonlyMap<number, readonly FloorEvent[]>,
): Promise<Map<number, Allergen[]>> {
  const touched = [...events].flatMap(([id, all]) =>
    all.some(({ data }) => data && BRINGING.includes(data.kind)) ? [{ id, own: effectiveEvents(all) }] : [],
  );
  if (touched.length === 0) return new Map();
  const book = await ingredientsAndFormulas(db);
  const found = touched.map(async ({ id, own }): Promise<[number, Allergen[]]> => {
    const trimmings = own.flatMap(({ data }) => (data?.kind === 'scrap-taken' ? [data.from] : []));
    const from = trimmings.map(async (other) => [
      ...(await mixedIn(db, other, book)),
      ...putIn(effectiveEvents(events.get(other) ?? []), book),
    ]);
    return [id, [...putIn(own, book), ...(await Promise.all(from)).flat()]];
  });
  return new Map(await Promise.all(found));
}
