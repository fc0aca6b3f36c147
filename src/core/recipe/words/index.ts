import type { AmountLanguage } from '../../units/words';
import { DE } from './de';
import { EN } from './en';
import { FR } from './fr';
import type { RecipeWords } from './recipe-words';

export const RECIPE_WORDS: Readonly<Record<AmountLanguage, RecipeWords>> = { en: EN, de: DE, fr: FR };

/**
 * The language of a recipe, by its small words; English where it has none.
 *
 * @example
 * languageOf('500 g Mehl mit der Milch mischen und ruhen lassen'); // 'de'
 */
export function languageOf(text: string): AmountLanguage {
  const count = (of: AmountLanguage) => text.match(RECIPE_WORDS[of].common)?.length ?? 0;
  const [best] = (['en', 'de', 'fr'] as const).toSorted((a, b) => count(b) - count(a));
  return best ?? 'en';
}
