import { ingredientBook } from '@/core/formula/ingredient';
import type { RecipeHouse } from '@/core/recipe/read-recipe';
import type { Kitchen } from '@/core/units/measures';
import type { Db } from './db/rows';
import { houseSettings } from './store/house';
import { ingredients } from './store/ingredients';

/** What recipes are read by on this bakery's pages: its ingredients, and the longest sheet that a table takes, cm. */
export async function recipeMeans(db: Db) {
  const [all, settings] = await Promise.all([ingredients(db), houseSettings(db)]);
  return { ingredients: all, benchCm: Math.max(settings.benchLength, settings.sheeterLength) };
}

/** The same, ready to read by. */
export async function recipeHouse(db: Db, kitchen: Kitchen): Promise<RecipeHouse> {
  const { ingredients: all, benchCm } = await recipeMeans(db);
  return { book: ingredientBook(all), kitchen, benchCm };
}
