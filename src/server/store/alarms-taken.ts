import { type Db, rowOf } from '../db/rows';

/** Who wrote the note of a handover. */
export function writerOfNote(db: Db, handoverId: number) {
  return rowOf<{ personId: number }>(db, 'SELECT person_id AS personId FROM handover WHERE id = ?', [
    handoverId,
  ]);
}

/** Who has taken the alarm. */
export function alarmTakenBy(db: Db, alarm: string) {
  return rowOf<{ id: number; name: string }>(
    db,
    'SELECT p.id, p.name FROM alarm_taken a JOIN person p ON p.id = a.person_id WHERE a.alarm = ?',
    [alarm],
  );
}
