import type { HouseBook } from '@/core/floor/house-book';
import type { Skill } from '@/core/floor/skills';
import { MINUTE } from '@/core/time/local';
import { rowsOf, type Db } from '../db/rows';
import { absences, extraShifts, machines, people, shifts } from './house';

const DAY = 24 * 60 * MINUTE;
/** Days of exceptions that are shown. */
const SHOWN = { back: 1, ahead: 60 };

/** People with skills and shifts, machines, and what is different on single days. */
export async function houseBook(db: Db, now: number): Promise<HouseBook> {
  const [from, to] = [now - SHOWN.back * DAY, now + SHOWN.ahead * DAY];
  const [everybody, pattern, skills, pools, away, more] = await Promise.all([
    people(db),
    shifts(db),
    rowsOf<{ personId: number; skill: Skill }>(db, 'SELECT person_id AS personId, skill FROM person_skill'),
    machines(db),
    absences(db, from, to),
    extraShifts(db, from, to),
  ]);
  return {
    people: everybody.map((person) => ({
      ...person,
      skills: skills.filter(({ personId }) => personId === person.id).map(({ skill }) => skill),
      shifts: pattern.filter(({ personId }) => personId === person.id),
    })),
    machines: pools,
    exceptions: [
      ...away.map((one) => ({ ...one, kind: 'away' as const })),
      ...more.map((one) => ({ ...one, kind: 'extra' as const, machineId: null, units: null })),
    ].sort((a, b) => a.start - b.start),
  };
}
