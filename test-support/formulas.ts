import type { Formula } from '@/core/formula/formula';
import { ingredientBook } from '@/core/formula/ingredient';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';

/** The ingredients that every bakery begins with. */
export const book = ingredientBook(USUAL_INGREDIENTS);
/** Lines of ingredients by their ids, in percent of the flour. */
export const lines = (rows: Record<string, number>) =>
  Object.entries(rows).map(([ingredient, percent]) => ({ ingredient, percent }));

/** A levain dough with its roll-in. */
export const LEVAIN_CRESCENT: Formula = {
  doughCelsius: 25,
  stages: [
    { kind: 'levain', lines: lines({ 'ripe-levain': 4, 'wheat-flour': 10, water: 10 }) },
    {
      kind: 'dough',
      lines: lines({
        'wheat-flour': 88,
        water: 24,
        milk: 20,
        sugar: 11,
        salt: 2,
        butter: 5,
        'instant-yeast': 0.8,
      }),
    },
    { kind: 'roll-in', lines: lines({ butter: 47 }) },
  ],
};
