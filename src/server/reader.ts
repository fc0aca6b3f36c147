import { cookies, headers } from 'next/headers';
import { wordsIn } from '@/words/compile';
import { LANGUAGE_COOKIES, type LanguageOf } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';
import type { Say } from '@/words/say';
import { give } from './auth/cookie';
import type { Db } from './db/rows';
import { calledHere } from './store/product-names';

/** How long a browser remembers what is read at it, s. */
const KEEP_SECONDS = 400 * 24 * 3600;

const isLanguage = (text: string | undefined): text is Language =>
  LANGUAGES.some((language) => language === text);

/**
 * The first language of a browser's own list that there is a catalog of, English where there is none.
 *
 * @example asked('fr-CH, de;q=0.8'); // 'fr'
 */
export function asked(accepted: string | null): Language {
  const wanted = (accepted ?? '')
    .split(',')
    .map((part) => {
      const [tag = '', quality = ''] = part.trim().split(';q=');
      return { language: tag.slice(0, 2).toLowerCase(), weight: quality === '' ? 1 : Number(quality) };
    })
    .sort((a, b) => b.weight - a.weight);
  return wanted.map(({ language }) => language).find(isLanguage) ?? 'en';
}

/** What is read on the screen that asks: the person's language, then the tablet's, then the browser's. */
export async function languageHere(): Promise<Language> {
  const kept = await cookies();
  const chosen = [LANGUAGE_COOKIES.person, LANGUAGE_COOKIES.tablet]
    .map((name) => kept.get(name)?.value)
    .find(isLanguage);
  return chosen ?? asked((await headers()).get('accept-language'));
}

/** Says every message in the language of the screen that asks. */
export const wordsHere = async (): Promise<Say> => wordsIn(await languageHere());

/** Says every message in a language, the bakery's products by what they are called there. */
export const houseWordsIn = async (db: Db, language: Language): Promise<Say> =>
  wordsIn(language, await calledHere(db, language));

/** The same in the language of the screen that asks. */
export const houseWordsHere = async (db: Db): Promise<Say> => houseWordsIn(db, await languageHere());

/** From now on this browser shows what the person or the tablet reads; null: what it would show without that. */
export async function readsHere(of: LanguageOf, language: Language | null): Promise<void> {
  await give(LANGUAGE_COOKIES[of], language ?? '', language ? KEEP_SECONDS : 0);
}
