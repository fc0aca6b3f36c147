import type { ReactNode } from 'react';
import { languageHere } from '@/server/reader';
import { packedMessages } from '@/words/compile';
import type { Area, Language } from '@/words/message';
import { WordsProvider } from '@/ui/kit/words';

interface Props {
  areas: readonly Area[];
  /** For what is made for somebody else to read; left out, the reader's own. */
  language?: Language;
  children: ReactNode;
}

/** Sends a page the messages of these areas in the reader's language, beside those that are there already. */
export async function WordsOf({ areas, language: wanted, children }: Props) {
  const language = wanted ?? (await languageHere());
  return (
    <WordsProvider
      key={`${language} ${areas.join()}`}
      language={language}
      packed={packedMessages(language, areas)}
    >
      {children}
    </WordsProvider>
  );
}
