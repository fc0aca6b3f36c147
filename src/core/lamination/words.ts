import { coded, type Coded } from '../codes/coded';
import type { Fold, LockIn } from './stack';

export const FOLD_WORDS: Record<Fold, Coded> = {
  half: coded('lamination.halfFold'),
  letter: coded('lamination.letterFold'),
  book: coded('lamination.bookFold'),
};

export const LOCK_IN_WORDS: Record<LockIn, Coded> = {
  envelope: coded('lamination.envelope'),
  'half-lock': coded('lamination.halfLock'),
  middle: coded('lamination.bothSidesToTheMiddle'),
  cross: coded('lamination.cross'),
  'two-thirds': coded('lamination.butterOnTwoThirds'),
};

/** How each is done, in a few words. */
export const HOW_TO: Record<Fold | LockIn, Coded> = {
  half: coded('lamination.oneEndOntoTheOther'),
  letter: coded('lamination.inThreeOneEndOver'),
  book: coded('lamination.bothEndsToALine'),
  envelope: coded('lamination.butterLaidAsADiamond'),
  'half-lock': coded('lamination.butterOnOneHalfThe'),
  middle: coded('lamination.bothSidesMeetOverThe'),
  cross: coded('lamination.butterOnTheThickCentre'),
  'two-thirds': coded('lamination.bareThirdInFirstThen'),
};

/** Rolling by hand, in the order of work. */
export const BY_HAND = [
  coded('lamination.fromTheMiddleOutwardsFirst'),
  coded('lamination.pressTheEndsBeforeYou'),
  coded('lamination.turnItOverNowAnd'),
  coded('lamination.cornersSquareMeasureAgainAfter'),
];
