import { en } from '@/words/en';
import { messagesOf, wordsIn } from '@/words/compile';
import type { Area } from '@/words/message';

/** Says every message in English. */
export const say = wordsIn('en');

/** Every message there is in English, as a screen is sent it. */
export const ALL_MESSAGES = messagesOf('en', Object.keys(en) as Area[]);
