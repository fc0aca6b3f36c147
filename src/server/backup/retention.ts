import { tz } from '@date-fns/tz';
import { format } from 'date-fns';

/** How many days, weeks and months keep a backup. */
export interface Retention {
  days: number;
  weeks: number;
  months: number;
}

export const USUAL_RETENTION: Retention = { days: 7, weeks: 5, months: 12 };

const UTC = { in: tz('UTC') };
/** What tells a day, a week that begins on Monday, and a month from others. */
const SPANS = { days: 'yyyy-MM-dd', weeks: 'RRRR-II', months: 'yyyy-MM' } as const;

/**
 * Backups that are kept: the newest one of each of the last days, weeks and months that have one, in UTC. The newest of all
 * is always among them.
 *
 * @param made - when each backup was made, ms, in any order
 *
 * @example
 * kept([monday, tuesdayMorning, tuesdayNight], { days: 1, weeks: 1, months: 1 }); // Set { tuesdayNight }
 */
export function kept(made: readonly number[], retention: Retention): Set<number> {
  const newestFirst = [...made].sort((a, b) => b - a);
  const of = (span: keyof Retention): number[] => {
    const newest = new Map<string, number>();
    for (const at of newestFirst) {
      const key = format(at, SPANS[span], UTC);
      if (!newest.has(key)) newest.set(key, at);
    }
    return [...newest.values()].slice(0, retention[span]);
  };
  return new Set([...newestFirst.slice(0, 1), ...of('days'), ...of('weeks'), ...of('months')]);
}
