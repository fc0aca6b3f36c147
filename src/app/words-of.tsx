import type { ReactNode } from 'react';
import { languageHere } from '@/server/reader';
import { packedMessages } from '@/words/compile';
import type { Area } from '@/words/message';
import { WordsProvider } from '@/ui/kit/words';

/** Sends a page the messages of these areas in the reader's language, beside those that are there already. */
export async function WordsOf({ areas, children }: { areas: readonly Area[]; children: ReactNode }) {
  const language = await languageHere();
  return (
    <WordsProvider key={areas.join()} language={language} packed={packedMessages(language, areas)}>
      {children}
    </WordsProvider>
  );
}
