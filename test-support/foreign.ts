import type { Language } from '@/words/message';
import { de } from '@/words/de';
import { en } from '@/words/en';
import { fr } from '@/words/fr';
import { USUAL_NAMES } from '@/words/usual/usual';

const CATALOGS = { en, de, fr };

/** The words of a text, small; names of values in messages count as words too. */
const wordsOf = (text: string): string[] =>
  [...text.toLowerCase().matchAll(/\p{L}{2,}/gu)].map(([word]) => word);

const vocabulary = (language: Language): Set<string> =>
  new Set(
    Object.values(CATALOGS[language])
      .flatMap((area) => Object.values(area as Record<string, string>))
      .flatMap(wordsOf),
  );

/**
 * Words of these texts that the English catalog has and this language's has not: what was not put into the reader's words.
 *
 * @param own - words that the bakery itself uses, in whatever language
 */
export function foreignWords(
  texts: readonly string[],
  language: Exclude<Language, 'en'>,
  own: readonly string[],
): string[] {
  const english = vocabulary('en');
  const known = vocabulary(language);
  for (const name of Object.values(USUAL_NAMES[language])) for (const word of wordsOf(name)) known.add(word);
  for (const word of own) known.add(word);
  return texts.flatMap((text) => {
    const foreign = wordsOf(text).filter((word) => english.has(word) && !known.has(word));
    return foreign.length > 0 ? [`${foreign.join(', ')} in “${text.trim().slice(0, 80)}”`] : [];
  });
}

/** All that a page says, read or heard; runs in the page, as its own text. */
export function textsOfPage(): string[] {
  const found: string[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const { parentElement, textContent } = walker.currentNode;
    if (parentElement && !['SCRIPT', 'STYLE'].includes(parentElement.tagName)) found.push(textContent ?? '');
  }
  for (const name of ['aria-label', 'title', 'placeholder'])
    for (const element of document.querySelectorAll(`[${name}]`))
      found.push(element.getAttribute(name) ?? '');
  return found;
}
