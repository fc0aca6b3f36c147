import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import type { FatKind } from '../lamination/butter-window';

/** What is rolled in, by the fat that there is most of; butter of 82 % where the formula names none. */
export function rollInFat({ stages }: Formula, book: IngredientBook): FatKind {
  const fats = stages
    .filter(({ kind }) => kind === 'roll-in')
    .flatMap((stage) => stage.lines)
    .flatMap(({ ingredient, percent }) => {
      const found = book.get(ingredient);
      return found?.kind === 'fat' ? [{ found, percent }] : [];
    });
  const [most] = fats.sort((a, b) => b.percent - a.percent);
  if (!most) return 'butter-82';
  if (!most.found.allergens.includes('milk')) return 'margarine';
  return most.found.fat >= DRY_BUTTER ? 'butter-84' : 'butter-82';
}

/** Share of fat from which a butter is dry: it stays workable some degrees warmer. */
const DRY_BUTTER = 0.835;
