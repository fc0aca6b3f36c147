import type { PlaceKind } from '@/core/heat/places';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** What a place is called, between what its temperature can be, and what was read last. */
export interface PlaceBounds {
  id: string;
  label: string;
  lowest: number;
  highest: number;
  /** The newest reading, believed or not. */
  last: number | null;
}

/** Screens are told of readings that have not moved no more often than this, ms. */
const TOLD_EVERY = 60_000;

/** Writes down a temperature that somebody typed. */
export async function saveTypedReading(
  db: Db,
  {
    place,
    now,
    celsius,
    humidity,
    personId,
  }: { place: string; now: number; celsius: number; humidity: number | undefined; personId: number },
): Promise<void> {
  await write(
    db,
    `INSERT INTO place_reading (place, at, celsius, humidity, source, person_id) VALUES (?, ?, ?, ?, 'typed', ?)
       ON DUPLICATE KEY UPDATE celsius = VALUES(celsius), humidity = VALUES(humidity), source = 'typed',
         person_id = VALUES(person_id), doubt = NULL`,
    [place, new Date(now), celsius, humidity ?? null, personId],
  );
}

/** What a place is called, and between what its temperature can be. */
export function placeBounds(db: Db, place: string) {
  return rowOf<{ label: string; kind: PlaceKind; lowest: number; highest: number }>(
    db,
    'SELECT label, kind, lowest, highest FROM place WHERE id = ?',
    [place],
  );
}

/** Removes readings before a time. */
export function removeReadings(db: Db, until: Date) {
  return write(db, 'DELETE FROM place_reading WHERE at < ?', [until]);
}

/** Means of each minute of readings before a time. */
export async function insertMinutes(db: Db, until: Date): Promise<void> {
  await write(
    db,
    `INSERT INTO place_minute (place, minute, celsius, lowest, highest, humidity)
     SELECT place, FROM_UNIXTIME(UNIX_TIMESTAMP(at) DIV 60 * 60), AVG(celsius), MIN(celsius), MAX(celsius), AVG(humidity)
     FROM place_reading WHERE at < ? AND doubt IS NULL GROUP BY place, UNIX_TIMESTAMP(at) DIV 60
     ON DUPLICATE KEY UPDATE place_minute.minute = place_minute.minute`,
    [until],
  );
}

/** The oldest reading of each place. */
export function oldestReadings(db: Db) {
  return rowsOf<{ at: Date }>(db, 'SELECT MIN(at) AS at FROM place_reading GROUP BY place');
}

/** Whether screens were told of readings a short while ago. */
export function lastReadingsChange(db: Db, at: Date) {
  return rowsOf<{ id: number }>(
    db,
    "SELECT id FROM change_feed WHERE command = 'readings' AND at > ? ORDER BY id DESC LIMIT 1",
    [new Date(at.getTime() - TOLD_EVERY)],
  );
}

/** A reading of a probe, and why it is doubted where it is. */
export interface NewReading {
  place: string;
  at: Date;
  celsius: number;
  humidity: number | null;
  doubt: string | null;
}

/** Writes readings down; one that is there already stays. */
export async function insertReadings(db: Db, readings: readonly NewReading[]): Promise<void> {
  await write(
    db,
    'INSERT INTO place_reading (place, at, celsius, humidity, doubt) VALUES ? ON DUPLICATE KEY UPDATE at = at',
    [readings.map(({ place, at, celsius, humidity, doubt }) => [place, at, celsius, humidity, doubt])],
  );
}

/** Each place's name, bounds and last reading. */
export function boundsOfPlaces(db: Db) {
  return rowsOf<PlaceBounds>(
    db,
    `SELECT id, label, lowest, highest,
         (SELECT celsius FROM place_reading WHERE place = place.id ORDER BY at DESC LIMIT 1) AS last FROM place`,
  );
}
