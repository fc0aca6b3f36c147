import type { CalledProduct } from '@/core/bakery/product-names';
import type { Language } from '../message';
import { de } from './de';
import { fr } from './fr';

/**
 * Names of steps, checks and ingredients that come with Hefeteig, by how they are written in its templates. A bakery takes
 * them over as its own words; as long as they stay as they came, everybody reads them in their own language.
 */
export type UsualNames = Readonly<Record<string, string>>;

/** By language; templates are written in English. */
export const USUAL_NAMES: Readonly<Record<Exclude<Language, 'en'>, UsualNames>> = { de, fr };

/** What usual names are called in a language, one and several alike. */
export const usualIn = (language: Language): CalledProduct[] =>
  language === 'en'
    ? []
    : Object.entries(USUAL_NAMES[language]).map(([own, name]) => [own, { one: name, many: name }]);
