import { type DoorOpening, type Unrecorded, unrecorded } from '@/core/shopfloor/catch-up';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Instant } from '@/core/time/local';

/** What somebody has entered of a dough: when steps were over, and what was not done. Null: no time that can be. */
export interface Answers {
  ends: ReadonlyMap<string, Instant | null>;
  without: ReadonlySet<string>;
}

/** Nothing was changed of what is offered. */
export const NO_ANSWERS: Answers = { ends: new Map(), without: new Set() };

/** What was done of a dough, by the answers so far. */
export function answered(
  dough: DoughForecast,
  now: Instant,
  { ends, without }: Answers,
  doors: readonly DoorOpening[],
): Unrecorded[] {
  const entered = new Map([...ends].flatMap(([key, at]) => (at === null ? [] : [[key, at] as const])));
  return unrecorded(dough, now, { ends: entered, without, doors });
}
