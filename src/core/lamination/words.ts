import type { Fold, LockIn } from './stack';

export const FOLD_WORDS: Record<Fold, string> = {
  half: 'half fold',
  letter: 'letter fold',
  book: 'book fold',
};

export const LOCK_IN_WORDS: Record<LockIn, string> = {
  envelope: 'envelope',
  'half-lock': 'half lock',
  middle: 'both sides to the middle',
  cross: 'cross',
  'two-thirds': 'butter on two thirds',
};

/** How each is done, in a few words. */
export const HOW_TO: Record<Fold | LockIn, string> = {
  half: 'one end onto the other, edges flush',
  letter: 'in three: one end over the middle, the other on top',
  book: 'both ends to a line off the middle, then shut it like a book',
  envelope: 'butter laid as a diamond, corners of the dough over it, seams pinched',
  'half-lock': 'butter on one half, the other over it, rims pressed shut',
  middle: 'both sides meet over the butter; pinch the seam and the ends',
  cross: 'butter on the thick centre, four thin flaps over it',
  'two-thirds': 'bare third in first, then the buttered third over it',
};

/** Rolling by hand, in the order of work. */
export const BY_HAND = [
  'from the middle outwards, first the width, then the length',
  'press the ends before you roll over them',
  'turn it over now and then; firm, even strokes',
  'corners square; measure again after a minute, it shrinks back',
];
