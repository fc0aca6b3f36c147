import type { Metadata } from 'next';
import { wordsIn } from '@/words/compile';
import type { MessageKey } from '@/words/message';

/** The title of a page, from the catalog. */
export const titled = (key: MessageKey): Metadata => ({
  title: wordsIn('en')(key),
});
