'use client';

import {
  createContext,
  Fragment,
  isValidElement,
  type ReactNode,
  useContext,
  useMemo,
  useState,
} from 'react';
import type { CalledProduct } from '@/core/bakery/product-names';
import type { Language, MessageKey, Messages, Value } from '@/words/message';
import { lendWords } from '../live/say-here';
import { ReaderLanguage, useUnits } from '../live/units';
import { type Say, sayer, type Tag } from '@/words/say';

/** Says messages, also those with parts of a page in them. */
export type SayOnPage = Say & {
  rich: (key: MessageKey, values: Readonly<Record<string, Value | Tag<ReactNode>>>) => ReactNode;
};

/** What stands in a row, each with a key of its own. */
const keyed = (parts: readonly ReactNode[]): ReactNode[] =>
  parts.map((part, i) =>
    isValidElement(part) || Array.isArray(part) ? <Fragment key={i}>{part}</Fragment> : part,
  );

/** Tags that are given parts with keys, as a page wants them of whatever stands in a row. */
const withKeys = (values: Parameters<SayOnPage['rich']>[1]): Parameters<SayOnPage['rich']>[1] =>
  Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      typeof value === 'function' ? (words: ReactNode[]) => value(keyed(words)) : value,
    ]),
  );

/** Words that may have parts of a page in them. */
const onPage = (plain: Say): SayOnPage =>
  Object.assign(plain, {
    rich: (key: MessageKey, values: Parameters<SayOnPage['rich']>[1]) => {
      const parts = plain.parts<ReactNode>(key, withKeys(values));
      return Array.isArray(parts) ? keyed(parts) : parts;
    },
  });

const Words = createContext<{ say: SayOnPage; messages: Messages } | null>(null);

const Called = createContext<readonly CalledProduct[]>([]);

/** Gives screens what the bakery's products are called in the reader's language. */
export function CalledProvider({
  called,
  children,
}: {
  called: readonly CalledProduct[];
  children: ReactNode;
}) {
  // Names stay what they were while a page is there, however often its data is fetched anew.
  const [all] = useState(called);
  return <Called.Provider value={all}>{children}</Called.Provider>;
}

/** Gives a screen what it says: compiled messages of the areas that its parts speak from, beside those around it. */
export function WordsProvider({
  language,
  packed,
  children,
}: {
  language: Language;
  /** The messages, as a text. */
  packed: string;
  children: ReactNode;
}) {
  const around = useContext(Words)?.messages;
  // Messages stay what they were while a page is there, however often its data is fetched anew.
  const [all] = useState((): Messages => ({ ...around, ...(JSON.parse(packed) as Messages) }));
  const called = useContext(Called);
  const [units] = useUnits();
  const words = useMemo(() => {
    const say = onPage(sayer(language, all, { units, called }));
    // Before anything of the page is drawn or runs that may have to say something.
    lendWords(say);
    return { say, messages: all };
  }, [all, called, language, units]);
  return (
    <ReaderLanguage.Provider value={language}>
      <Words.Provider value={words}>{children}</Words.Provider>
    </ReaderLanguage.Provider>
  );
}

/** Messages and names of one language, for what others than the reader read: a label, a print. */
export interface PackedWords {
  language: Language;
  packed: string;
  called: readonly CalledProduct[];
}

/** Says messages in the languages of those who read what is printed, in their order. */
export function usePrintedWords(languages: readonly PackedWords[]): SayOnPage[] {
  const [units] = useUnits();
  return useMemo(
    () =>
      languages.map(({ language, packed, called }) =>
        onPage(sayer(language, JSON.parse(packed) as Messages, { units, called })),
      ),
    [languages, units],
  );
}

/** Says messages in the reader's language. */
export function useWords(): SayOnPage {
  const words = useContext(Words);
  if (!words) throw new Error('A screen without words: put it inside a WordsProvider.');
  return words.say;
}
