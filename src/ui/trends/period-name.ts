import type { Say } from '@/words/say';

/** A day, or the Monday of a week, as it stands at an axis: from "2026-11-16". */
export const periodName = (say: Say, from: string): string =>
  say.dayMonth(Date.parse(`${from}T12:00:00Z`), 'UTC');
