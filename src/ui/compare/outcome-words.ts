import { isGood } from '@/core/diagnosis/common-ground';
import type { BatchSummary } from '@/core/diagnosis/summary';
import type { Say } from '@/words/say';

/** Whether a batch came out as it should, in a word. */
export function outcomeWords(say: Say, batch: Pick<BatchSummary, 'mean' | 'seen' | 'counted'>): string {
  const good = isGood(batch);
  if (good === null) return say('compare.notJudged');
  return good ? say('compare.isGood') : say('compare.isNotGood');
}
