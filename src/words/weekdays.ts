import type { Language } from './message';

/** A Monday: every later day of its week follows from it. */
const MONDAY = Date.UTC(2024, 0, 1);
const DAY = 24 * 3_600_000;

/**
 * Names the days of a week from Monday on, as a language calls them.
 *
 * @example
 * weekdays('en', 'short'); // ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
 */
export function weekdays(language: Language, length: 'short' | 'long'): string[] {
  const format = new Intl.DateTimeFormat(language, { weekday: length, timeZone: 'UTC' });
  return Array.from({ length: 7 }, (_, day) => format.format(MONDAY + day * DAY));
}
