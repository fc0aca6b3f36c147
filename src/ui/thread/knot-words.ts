import type { Say } from '@/words/say';
import type { KnotWords } from './geometry';

/** What knots are called in the reader's language. */
export const knotWords = (say: Say): KnotWords => ({
  'lock-in': say('thread.knotLock'),
  sheet: say('thread.knotCut'),
  mix: say('thread.knotMix'),
  shape: say('thread.knotShape'),
  divide: say('thread.knotDivide'),
  butter: say('thread.knotButter'),
  filling: say('thread.knotFilling'),
  levain: say('thread.knotLevain'),
});
