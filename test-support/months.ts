import type { BatchSummary } from '@/core/diagnosis/summary';
import { summariesOf } from '@/core/diagnosis/summary';
import { playedBatch } from '@/core/double/played-batch';
import { crescentDough } from './crescent';

export const DAY = 24 * 3_600_000;

/** A batch a day for so many days, mixed in turn by night and by day and by two people, with a few seconds each. */
export const monthOf = (
  days: number,
  mishap: (day: number) => Parameters<typeof playedBatch>[1] = () => ({}),
): BatchSummary[] =>
  Array.from({ length: days }, (_, day) => {
    const { record, heard } = playedBatch(crescentDough(300 + day), mishap(day), 300 + day);
    return summariesOf(record, heard).map((one) => ({
      ...{ ...one, doneAt: day * DAY, mixedAt: day * DAY + (day % 2) * 15 * 3_600_000, mixedBy: day % 2 },
      counted: { good: 36, second: 3, waste: 1 },
    }));
  }).flat();
