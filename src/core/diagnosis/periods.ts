import { formatLocal, type Instant } from '../time/local';

/** What months are cut into for a chart. */
export type Period = 'day' | 'week';

const DAY = 24 * 3_600_000;

/**
 * The day of a moment, or the Monday of its week, where the bakery is.
 *
 * @example
 * periodOf(Date.UTC(2026, 10, 19, 4), 'UTC', 'week'); // '2026-11-16'
 */
export function periodOf(at: Instant, zone: string, period: Period): string {
  const day = formatLocal(at, zone).slice(0, 10);
  if (period === 'day') return day;
  const date = new Date(`${day}T00:00:00Z`);
  return new Date(date.getTime() - ((date.getUTCDay() + 6) % 7) * DAY).toISOString().slice(0, 10);
}
