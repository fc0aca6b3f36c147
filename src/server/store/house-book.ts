import type { HouseBook } from '@/core/bakery/house-book';
import { MINUTE } from '@/core/time/local';
import { absences, extraShifts, machines, people, shifts } from './house';
import { type Db } from '../db/rows';
import { languages } from './people';
import { senders } from './devices';
import { housePlaces } from './house-places';

const DAY = 24 * 60 * MINUTE;
/** Days of exceptions that are shown. */
const SHOWN = { back: 1, ahead: 60 };

/** People with skills and shifts, machines, and what is different on single days. */
export async function houseBook(db: Db, now: number): Promise<HouseBook> {
  const [from, to] = [now - SHOWN.back * DAY, now + SHOWN.ahead * DAY];
  const [everybody, reads, pattern, pools, away, more, places, own] = await Promise.all([
    people(db),
    languages(db),
    shifts(db),
    machines(db),
    absences(db, from, to),
    extraShifts(db, from, to),
    housePlaces(db),
    senders(db),
  ]);
  return {
    people: everybody.map((person) => ({
      ...person,
      skills: person.skills ?? [],
      language: reads.get(person.id) ?? null,
      shifts: pattern.filter(({ personId }) => personId === person.id),
    })),
    ...{ machines: pools, places, senders: own },
    exceptions: [
      ...away.map((one) => ({ ...one, kind: 'away' as const })),
      ...more.map((one) => ({ ...one, kind: 'extra' as const, machineId: null, units: null })),
    ].sort((a, b) => a.start - b.start),
  };
}
