import type { Trouble } from '@/core/wire/trouble';
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
  deck?: number | null;
  slower?: number | null;
  from: Date;
  to: Date;
  note: string;
  /** Who reported it from the floor. */
  reportedBy?: number;
}

/** Writes down that a person is away or a machine is out. */
export function insertAbsence(
  db: Db,
  { personId, machineId, units, deck = null, slower = null, from, to, note, reportedBy = 0 }: Absence,
) {
  return write(
    db,
    `INSERT INTO absence (person_id, machine_id, units, deck, slower, start_at, end_at, note, reported_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, NULLIF(?, 0))`,
    [personId, machineId, units, deck, slower, from, to, note, reportedBy],
  );
}

const TROUBLE = `SELECT id, machine_id AS machineId, person_id AS personId, units, deck, slower, start_at AS since, end_at AS until, note
     FROM absence`;

type TroubleRow = Omit<Trouble, 'since' | 'until'> & { since: Date; until: Date };

const troubleOf = ({ since, until, ...row }: TroubleRow): Trouble => ({
  ...row,
  since: since.getTime(),
  until: until.getTime(),
});

/** Machines that are out now, and people who were reported as not able to work; holidays are no trouble. */
export async function troublesNow(db: Db, now: number): Promise<Trouble[]> {
  const rows = await rowsOf<TroubleRow>(
    db,
    `${TROUBLE} WHERE start_at <= ? AND end_at > ? AND (machine_id IS NOT NULL OR reported_by IS NOT NULL) ORDER BY start_at, id`,
    [new Date(now), new Date(now)],
  );
  return rows.map(troubleOf);
}

/** One of them, locked; null where there is none of that number. */
export async function lockedTrouble(db: Db, id: number): Promise<Trouble | null> {
  const row = await rowOf<TroubleRow>(db, `${TROUBLE} WHERE id = ? FOR UPDATE`, [id]);
  return row ? troubleOf(row) : null;
}

/** Lets an absence end earlier. */
export async function shortenAbsence(db: Db, id: number, to: number): Promise<void> {
  await write(db, 'UPDATE absence SET end_at = ? WHERE id = ?', [new Date(to), id]);
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
