import type { Metadata } from 'next';
import { wordsHere } from '@/server/reader';
import type { MessageKey } from '@/words/message';

/** Gives a page its title, in the reader's language. */
export const titled = (key: MessageKey) => async (): Promise<Metadata> => ({
  title: (await wordsHere())(key),
});
