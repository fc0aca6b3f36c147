'use client';

import { useEffect, useMemo, useState } from 'react';
import { Fault } from '@/core/codes/fault';
import type { Coded, Words } from '@/core/codes/coded';
import { type Ingredient, type IngredientBook, ingredientBook } from '@/core/formula/ingredient';
import { readRecipeText } from '@/core/recipe/read-recipe';
import type { RecipeReading } from '@/core/recipe/reading';
import { recipeProduct } from '@/core/recipe/recipe-product';
import type { Assumed } from '@/core/recipe/recipe-steps';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';

const KEY = 'hefeteig-recipe';

/** A recipe as it stands on the page. */
interface Kept {
  text: string;
  name: string;
  settled: string[];
}

const NOTHING: Kept = { text: '', name: '', settled: [] };

function readKept(): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<Kept> | null;
    return typeof kept?.text === 'string' ? { ...NOTHING, ...kept } : NOTHING;
  } catch {
    // A browser that keeps nothing, or something else under this name, offers nothing.
    return NOTHING;
  }
}

/** What a text is read as, with what the house adds to make a product of it or what keeps it from that. */
interface Read {
  reading: RecipeReading;
  assumed: Assumed[];
  lack: Coded | null;
}

/** What a text is read as, or what is wrong with it; null while there is none. */
export type Outcome = Read | { trouble: Coded } | null;

function made(
  reading: RecipeReading,
  book: IngredientBook,
  say: (words: Words) => string,
): Pick<Read, 'assumed' | 'lack'> {
  try {
    return { assumed: recipeProduct(reading, { name: reading.title ?? '', book, say }).assumed, lack: null };
  } catch (error) {
    if (error instanceof Fault) return { assumed: [], lack: error.fault };
    throw error;
  }
}

/** A recipe's text and what it is read as; kept on this device until it is made a product. */
export function useRecipe({ ingredients, benchCm }: { ingredients: readonly Ingredient[]; benchCm: number }) {
  const [recipe, setRecipe] = useState(NOTHING);
  const say = useWords();
  const [{ kitchen }] = useUnits();
  const book = useMemo(() => ingredientBook(ingredients), [ingredients]);
  useEffect(() => {
    const kept = readKept();
    if (kept.text !== '') queueMicrotask(() => setRecipe((now) => (now.text === '' ? kept : now)));
  }, []);
  const outcome = useMemo((): Outcome => {
    if (recipe.text.trim() === '') return null;
    try {
      const reading = readRecipeText(recipe.text, { book, kitchen, benchCm });
      return { reading, ...made(reading, book, say.coded) };
    } catch (error) {
      if (error instanceof Fault) return { trouble: error.fault };
      throw error;
    }
  }, [recipe.text, book, kitchen, benchCm, say]);
  const change = (part: Partial<Kept>) => {
    const next = { ...recipe, ...part };
    setRecipe(next);
    localStorage.setItem(KEY, JSON.stringify(next));
  };
  return { recipe, change, outcome, kitchen, forget: () => localStorage.removeItem(KEY) };
}
