import { clockTime, dayName, dayTime } from '@/core/time/local';

const DAY = 24 * 3_600_000;

/** A time as the floor reads it: the day is said only where it is not today. */
export function nearTime(at: number, now: number, zone: string): string {
  const today = Math.abs(at - now) < DAY && dayName(at, zone) === dayName(now, zone);
  return today ? clockTime(at, zone) : dayTime(at, zone);
}
