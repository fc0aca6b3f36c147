import { tz, TZDate } from '@date-fns/tz';
import { addDays, startOfDay } from 'date-fns';

/** Milliseconds since 1970 in UTC: how the program keeps every moment. */
export type Instant = number;

export const MINUTE = 60_000;

/** Clocks change on quarters of an hour, nowhere in between. */
const QUARTER = 15 * MINUTE;
/** Offsets of a zone from UTC by quarter of an hour, ms: the calendar is slow, and screens ask it for the same hours all day. */
const offsets = new Map<string, number>();
const MOST_OFFSETS = 20_000;

/** A date whose UTC fields are what the wall clock of the zone shows at `at`. */
function wallClock(at: Instant, zone: string): Date {
  const key = `${zone} ${Math.floor(at / QUARTER)}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    offset = -new TZDate(at, zone).getTimezoneOffset() * MINUTE;
    if (offsets.size >= MOST_OFFSETS) offsets.clear();
    offsets.set(key, offset);
  }
  return new Date(at + offset);
}

/** The local midnight that begins the day of `at` in the bakery's IANA time zone. */
export function localMidnight(at: Instant, zone: string): Instant {
  return startOfDay(at, { in: tz(zone) }).getTime();
}

/** The local midnight `days` days after that of `at`; 23 or 25 hours apart where the clocks change. */
export function addLocalDays(at: Instant, days: number, zone: string): Instant {
  return startOfDay(addDays(at, days, { in: tz(zone) }), { in: tz(zone) }).getTime();
}

/** The moment a local wall clock shows `minute` minutes past midnight on the day of `day`. */
export function atLocalMinute(day: Instant, minute: number, zone: string): Instant {
  const date = new TZDate(day, zone);
  return new TZDate(
    date.getFullYear(),
    date.getMonth(),
    date.getDate(),
    Math.floor(minute / 60),
    minute % 60,
    zone,
  ).getTime();
}

/** The next moment after `now` at which a local wall clock shows `minute` minutes past midnight. */
export function nextLocalMinute(now: Instant, minute: number, zone: string): Instant {
  const today = atLocalMinute(now, minute, zone);
  return today > now ? today : atLocalMinute(addLocalDays(now, 1, zone), minute, zone);
}

/** Day of the week, 1 Monday to 7 Sunday. */
export function weekday(at: Instant, zone: string): number {
  return ((wallClock(at, zone).getUTCDay() + 6) % 7) + 1;
}

/** Reads `2026-11-21T06:30` as a wall-clock time in the zone; null where it is not one. */
export function parseLocal(text: string, zone: string): Instant | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/.exec(text);
  if (!match) return null;
  const [year, month, day, hour, minute] = match.slice(1).map(Number) as [
    number,
    number,
    number,
    number,
    number,
  ];
  if (month < 1 || month > 12 || hour > 23 || minute > 59) return null;
  const date = new TZDate(year, month - 1, day, hour, minute, zone);
  return date.getDate() === day ? date.getTime() : null;
}

/** Writes a moment as `2026-11-21T06:30` wall-clock time, as form fields want it. */
export function formatLocal(at: Instant, zone: string): string {
  return wallClock(at, zone).toISOString().slice(0, 16);
}

/** `04:30` */
export function clockTime(at: Instant, zone: string): string {
  return formatLocal(at, zone).slice(11);
}

/** `06:30`, for a minute of the day. */
export function clockOfDay(minute: number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

/** The minute of the day of `6:30`, as bakers write it: `0630`, `06.30` and `6h30` too; null where it is none. */
export function minuteOfDay(text: string): number | null {
  const match = /^(\d{1,2})[:.h ]?(\d{2})$/.exec(text.trim());
  const [hour, minute] = [Number(match?.[1]), Number(match?.[2])];
  return match && hour < 24 && minute < 60 ? hour * 60 + minute : null;
}
