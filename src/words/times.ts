import { clockTime, formatLocal, weekday, type Instant } from '@/core/time/local';
import type { Language } from './message';
import { weekdays } from './weekdays';

/** How a language writes days and months; a moment is shown as the wall clock of a zone shows it. */
export interface Times {
  /** `Fri` */
  dayName: (at: Instant, zone: string) => string;
  /** `Friday` */
  longDayName: (at: Instant, zone: string) => string;
  /** `Fri 04:30` */
  dayTime: (at: Instant, zone: string) => string;
  /** For what is weeks away: `27 Oct`. */
  dayMonth: (at: Instant, zone: string) => string;
  /** A moment that may be weeks ago: `Fri 27 Oct 04:30`. */
  dateTime: (at: Instant, zone: string) => string;
  /** For what others keep: `27 Oct 2026`. */
  fullDate: (at: Instant, zone: string) => string;
}

const NOON = 12 * 3_600_000;

/** Short names of months from January on. */
function months(language: Language): string[] {
  const format = new Intl.DateTimeFormat(language, { month: 'short', timeZone: 'UTC' });
  return Array.from({ length: 12 }, (_, month) => format.format(Date.UTC(2024, month, 1) + NOON));
}

/** A day of a month as each language writes it. */
const DAY_MONTH: Record<Language, (day: number, month: string) => string> = {
  de: (day, month) => `${day}. ${month}`,
  en: (day, month) => `${day} ${month}`,
  fr: (day, month) => `${day} ${month}`,
};

/**
 * How a language writes days and months.
 *
 * @example timesIn('en').dayTime(at, 'Europe/Vienna'); // 'Fri 04:30'
 */
export function timesIn(language: Language): Times {
  const [short, long, names] = [weekdays(language, 'short'), weekdays(language, 'long'), months(language)];
  const dayName = (at: Instant, zone: string) => short[weekday(at, zone) - 1] ?? '';
  const dayMonth = (at: Instant, zone: string) => {
    const [, month = '1', day = '1'] = formatLocal(at, zone).slice(0, 10).split('-');
    return DAY_MONTH[language](Number(day), names[Number(month) - 1] ?? '');
  };
  return {
    dayName,
    longDayName: (at, zone) => long[weekday(at, zone) - 1] ?? '',
    dayTime: (at, zone) => `${dayName(at, zone)} ${clockTime(at, zone)}`,
    dayMonth,
    dateTime: (at, zone) => `${dayName(at, zone)} ${dayMonth(at, zone)} ${clockTime(at, zone)}`,
    fullDate: (at, zone) => `${dayMonth(at, zone)} ${formatLocal(at, zone).slice(0, 4)}`,
  };
}
