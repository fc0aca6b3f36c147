import { addLocalDays, clockTime } from '@/core/time/local';
import type { Times } from '@/words/times';
import type { TimeScale } from './geometry';

const MINUTE = 60_000;
const DAY = 1440;
/** Minutes between marks to choose from, and how far apart they have to be, px. */
const STEPS = [5, 10, 15, 30, 60, 180, 360, 720];
const APART = 26;
/** A day narrower than this has room for a short name only, px. */
const LONG_NAME = 110;

/** How the reader's language calls a day. */
type Names = Pick<Times, 'dayName' | 'longDayName'>;

export interface Mark {
  at: number;
  label: string;
}

/** Local midnights with the day's name, and the times between them worth a mark. */
export function marksOf(
  { from, to, width }: TimeScale,
  zone: string,
  names: Names,
): { days: Mark[]; times: Mark[] } {
  const perMinute = width / ((to - from) / MINUTE);
  const every = STEPS.find((step) => step * perMinute >= APART) ?? DAY;
  const nameOf = DAY * perMinute >= LONG_NAME ? names.longDayName : names.dayName;
  const days: Mark[] = [];
  const times: Mark[] = [];
  for (let day = addLocalDays(from, 0, zone); day < to; day = addLocalDays(day, 1, zone)) {
    if (day >= from) days.push({ at: day, label: nameOf(day, zone) });
    for (let minute = every; minute < DAY; minute += every) {
      const at = day + minute * MINUTE;
      if (at < from || at > to) continue;
      const clock = clockTime(at, zone);
      times.push({ at, label: every < 60 ? clock : clock.slice(0, 2) });
    }
  }
  // Within one day no midnight says which it is.
  if (days.length === 0) days.push({ at: from, label: names.longDayName(from, zone) });
  return { days, times };
}
