'use client';

import { Children, createContext, useContext, useMemo, type ReactNode } from 'react';
import type { Language, MessageKey, Messages, Value } from '@/words/message';
import { sayer, type Say, type Tag } from '@/words/say';

/** Says messages, also those with parts of a page in them. */
export type SayOnPage = Say & {
  rich: (key: MessageKey, values: Readonly<Record<string, Value | Tag<ReactNode>>>) => ReactNode;
};

const Words = createContext<SayOnPage | null>(null);

/** Gives a screen what it says: compiled messages of the areas that its parts speak from. */
export function WordsProvider({
  language,
  messages,
  children,
}: {
  language: Language;
  messages: Messages;
  children: ReactNode;
}) {
  const say = useMemo((): SayOnPage => {
    const plain = sayer(language, messages);
    return Object.assign(plain, {
      rich: (...of: Parameters<SayOnPage['rich']>) => Children.toArray(plain.parts<ReactNode>(...of)),
    });
  }, [language, messages]);
  return <Words.Provider value={say}>{children}</Words.Provider>;
}

/** Says messages in the reader's language. */
export function useWords(): SayOnPage {
  const say = useContext(Words);
  if (!say) throw new Error('A screen without words: put it inside a WordsProvider.');
  return say;
}
