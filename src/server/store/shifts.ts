import type { Shift } from '@/core/time/shifts';
import { type Db, rowsOf, write } from '../db/rows';

/** A shift that comes every week. */
export type WeeklyShift = Omit<Shift, 'personId'>;

/** Gives a person weekly shifts. */
export async function insertShifts(db: Db, shifts: WeeklyShift[], personId: number): Promise<void> {
  await write(db, 'INSERT INTO shift (person_id, weekday, start_minute, end_minute) VALUES ?', [
    shifts.map(({ weekday, startMinute, endMinute }) => [personId, weekday, startMinute, endMinute]),
  ]);
}

/** Takes a person's weekly shifts away. */
export async function removeShifts(db: Db, personId: number): Promise<void> {
  await write(db, 'DELETE FROM shift WHERE person_id = ?', [personId]);
}

/** A person's weekly shifts. */
export function shiftsOf(db: Db, personId: number) {
  return rowsOf<WeeklyShift>(
    db,
    `SELECT weekday, start_minute AS startMinute, end_minute AS endMinute FROM shift WHERE person_id = ?
         ORDER BY weekday, start_minute`,
    [personId],
  );
}
