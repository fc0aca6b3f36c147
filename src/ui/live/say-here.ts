'use client';

import type { Language } from '@/words/message';
import type { Say } from '@/words/say';

/** Lends out what the page says, to what is no part of a page: the outbox, a command's answer. */
function lending() {
  let lent: Say | null = null;
  return {
    lend: (say: Say) => {
      lent = say;
    },
    language: (): Language => lent?.language ?? 'en',
    say: (...message: Parameters<Say>): string => {
      if (!lent) throw new Error('Nothing is said before the page has its words.');
      return lent(...message);
    },
  };
}

const page = lending();

/** The language of the page; English before it has its words. */
export const languageOfPage = page.language;

/** Gives what is no part of a page the words of the page around it. */
export const lendWords = page.lend;

/** Says a message in the language of the page, from what is no part of it. Only areas that every page has. */
export const sayHere = page.say;
