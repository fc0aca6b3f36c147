import { MINUTE } from '@/core/time/local';
import { type Db, insertOnce, rowOf, write } from '../db/rows';

/** For how long it is remembered who has taken an alarm, hours: one that still rings then calls again. */
export const REMEMBERED = 24;

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

/** Writes down who has taken an alarm: the first who does, or the next one when that is no longer remembered. */
export async function insertAlarmTaken(
  db: Db,
  { alarm, personId, at }: { alarm: string; personId: number; at: number },
): Promise<void> {
  if (await insertOnce(db, 'alarm_taken', { alarm, at: new Date(at), person_id: personId })) return;
  await write(db, 'UPDATE alarm_taken SET at = ?, person_id = ? WHERE alarm = ? AND at <= ?', [
    ...[new Date(at), personId, alarm],
    new Date(at - REMEMBERED * 60 * MINUTE),
  ]);
}
