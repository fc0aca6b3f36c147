import { coded, type Coded } from '@/core/codes/coded';
import type { Verdict } from '@/core/learning/verdicts';
import type { RisePhase } from '@/core/process/route';
import type { AliveAnswer } from '@/core/record/events';
import { duration } from '@/core/units/format';
import type { Say } from '@/words/say';

/** What tells a rise, by its phase: not ready, ready, over. */
export const RISE_SIGNS: Record<RisePhase, Record<Verdict, Coded>> = {
  proof: {
    under: coded('bench.underDenseTheDentSprings'),
    right: coded('bench.wobblesLayersShowTheDent'),
    over: coded('bench.overSlackSinksWhenTouched'),
  },
  bulk: {
    under: coded('bench.underTightHardlyLarger'),
    right: coded('bench.domedAboutDoubledFullOf'),
    over: coded('bench.overFlatOnTopSmells'),
  },
  sponge: {
    under: coded('bench.underFewBubbles'),
    right: coded('bench.domedFullOfBubblesJust'),
    over: coded('bench.overSunkInTheMiddle'),
  },
  levain: {
    under: coded('bench.underFewBubblesAPiece'),
    right: coded('bench.risenAPieceFloatsIn'),
    over: coded('bench.overSunkThinAndSour'),
  },
};

/** What a rise is judged to be. */
export const verdictWords = (say: Say): Record<Verdict, string> => ({
  under: say('bench.notYet'),
  right: say('bench.justRight2'),
  over: say('bench.tooFar'),
});
export const VERDICTS: readonly Verdict[] = ['under', 'right', 'over'];
/** An answer in words: "look again in 45 min". */
export function aliveWords(
  say: Say,
  { answer, minutes, grams }: Pick<AliveAnswer, 'answer' | 'minutes' | 'grams'>,
): string {
  if (answer === 'ready') return say('bench.foundReady');
  if (answer === 'wait') return say('bench.notReadyLookAgainIn', { duration: duration(minutes ?? 0) });
  return answer === 'anew' ? say('bench.startedAnew') : say('bench.gOfYeastAdded', { grams: grams ?? 0 });
}
