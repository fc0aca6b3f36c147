import type { ReactNode } from 'react';
import { packedMessages } from '@/words/compile';
import type { Area } from '@/words/message';
import { WordsProvider } from './words';

/** Sends a page the messages of these areas, beside those that are there already. */
export function WordsOf({ areas, children }: { areas: readonly Area[]; children: ReactNode }) {
  return (
    <WordsProvider key={areas.join()} language="en" packed={packedMessages('en', areas)}>
      {children}
    </WordsProvider>
  );
}
