import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** Removes absences. */
export async function removeAbsences(db: Db, ids: readonly number[]): Promise<void> {
  await write(db, 'DELETE FROM absence WHERE id IN (?)', [ids]);
}

/** Absences to come that were read from a calendar, locked. */
export function absencesRead(db: Db, personId: number | null, machineId: string | null, now: number) {
  return rowsOf<{ id: number; source: string }>(
    db,
    `SELECT id, source FROM absence
     WHERE person_id <=> ? AND machine_id <=> ? AND source IS NOT NULL AND end_at > ? FOR UPDATE`,
    [personId, machineId, new Date(now)],
  );
}

/** A time in which a person is away, or units of a machine are out; null units: all of them. */
interface Absence {
  personId: number | null;
  machineId: string | null;
  units: number | null;
  from: Date;
  to: Date;
  note: string;
}

/** Writes down that a person is away or a machine is out. */
export async function insertAbsence(
  db: Db,
  { personId, machineId, units, from, to, note }: Absence,
): Promise<void> {
  await write(
    db,
    'INSERT INTO absence (person_id, machine_id, units, start_at, end_at, note) VALUES (?, ?, ?, ?, ?, ?)',
    [personId, machineId, units, from, to, note],
  );
}

/** Writes down that somebody works more. */
export async function insertExtraShift(
  db: Db,
  { personId, from, to, note }: { personId: number | null; from: Date; to: Date; note: string },
): Promise<void> {
  await write(db, 'INSERT INTO extra_shift (person_id, start_at, end_at, note) VALUES (?, ?, ?, ?)', [
    ...[personId, from, to, note],
  ]);
}

/** What kind of exception lies in which table. */
const TABLE = { extra: 'extra_shift', away: 'absence', down: 'absence' } as const;

/** Whom or what an exception is about, and from when to when; locked. Nobody where it is a machine. */
export function exceptionById(db: Db, kind: keyof typeof TABLE, id: number) {
  return rowOf<{ personId: number | null; start: Date; end: Date }>(
    db,
    `SELECT person_id AS personId, start_at AS start, end_at AS end FROM ${TABLE[kind]} WHERE id = ? FOR UPDATE`,
    [id],
  );
}

/** Removes an exception. */
export async function deleteException(db: Db, kind: keyof typeof TABLE, id: number): Promise<void> {
  await write(db, `DELETE FROM ${TABLE[kind]} WHERE id = ?`, [id]);
}

/** A busy time of a calendar: `source` names the event it came from. */
interface BusyTime {
  personId: number | null;
  machineId: string | null;
  start: Date;
  end: Date;
  note: string;
  source: string;
}

/** Writes busy times down; one of the same source is moved. */
export async function saveBusyTimes(db: Db, times: readonly BusyTime[]): Promise<void> {
  await write(
    db,
    `INSERT INTO absence (person_id, machine_id, start_at, end_at, note, source) VALUES ?
     ON DUPLICATE KEY UPDATE start_at = VALUES(start_at), end_at = VALUES(end_at), note = VALUES(note)`,
    [
      times.map(({ personId, machineId, start, end, note, source }) => [
        personId,
        machineId,
        start,
        end,
        note,
        source,
      ]),
    ],
  );
}
