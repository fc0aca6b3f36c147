import type { Verdict } from '@/core/learning/verdicts';
import type { RisePhase } from '@/core/process/route';
import type { AliveAnswer } from '@/core/record/events';
import { duration } from '@/core/units/format';
import type { Say } from '@/words/say';

/** What tells a rise, by its phase: under, just right, over. */
export const signs = (say: Say): Record<RisePhase, Record<Verdict, string>> => ({
  proof: {
    under: say('bench.underDenseTheDentSprings'),
    right: say('bench.wobblesLayersShowTheDent'),
    over: say('bench.overSlackSinksWhenTouched'),
  },
  bulk: {
    under: say('bench.underTightHardlyLarger'),
    right: say('bench.domedAboutDoubledFullOf'),
    over: say('bench.overFlatOnTopSmells'),
  },
  sponge: {
    under: say('bench.underFewBubbles'),
    right: say('bench.domedFullOfBubblesJust'),
    over: say('bench.overSunkInTheMiddle'),
  },
  levain: {
    under: say('bench.underFewBubblesAPiece'),
    right: say('bench.risenAPieceFloatsIn'),
    over: say('bench.overSunkThinAndSour'),
  },
});
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
  if (answer === 'ready') return 'ready';
  if (answer === 'wait') return say('bench.notReadyLookAgainIn', { duration: duration(minutes ?? 0) });
  return answer === 'anew' ? say('bench.startedAnew') : say('bench.gOfYeastAdded', { grams: grams ?? 0 });
}
