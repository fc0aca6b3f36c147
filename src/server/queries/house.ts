import type { Machine, Person } from '@/core/floor/board';
import type { Shift } from '@/core/time/shifts';
import { rowsOf, type Db } from '../db/rows';

export interface House {
  name: string;
  zone: string;
}

export async function house(db: Db): Promise<House> {
  const found = await houseIfAny(db);
  if (!found) throw new Error('The database holds no bakery yet.');
  return found;
}

/** The bakery, or null in a database that was only just migrated. */
export async function houseIfAny(db: Db): Promise<House | null> {
  const [row] = await rowsOf<House>(db, 'SELECT name, time_zone AS zone FROM house');
  return row ? { name: row.name, zone: row.zone } : null;
}

/** Thresholds of the house by name; see the notes in the table. */
export async function houseValues(db: Db): Promise<(name: string) => number> {
  const rows = await rowsOf<{ name: string; value: number }>(db, 'SELECT name, value FROM house_value');
  const values = new Map(rows.map(({ name, value }) => [name, value]));
  return (name) => {
    const value = values.get(name);
    if (value === undefined) throw new Error(`The house has no value ${name}.`);
    return value;
  };
}

export function people(db: Db): Promise<Person[]> {
  return rowsOf<Person>(db, 'SELECT id, name, role, team FROM person WHERE active ORDER BY role DESC, name');
}

export function machines(db: Db): Promise<(Machine & { kgAtOnce: number | null })[]> {
  return rowsOf(
    db,
    'SELECT id, label, capacity, unit, changeover_minutes AS changeover, kg_at_once AS kgAtOnce FROM machine ORDER BY position',
  );
}

export function shifts(db: Db): Promise<Shift[]> {
  return rowsOf<Shift>(
    db,
    `SELECT person_id AS personId, weekday, start_minute AS startMinute, end_minute AS endMinute
     FROM shift JOIN person ON person.id = person_id AND active`,
  );
}

/** The latest reading of each place. */
export async function latestReadings(
  db: Db,
  now: number,
): Promise<{ place: string; celsius: number; humidity: number | null; at: number }[]> {
  const rows = await rowsOf<{ place: string; celsius: number; humidity: number | null; at: Date }>(
    db,
    `SELECT r.place, r.celsius, r.humidity, r.at FROM place JOIN place_reading r ON r.id = (
       SELECT id FROM place_reading WHERE place_reading.place = place.id AND at <= ? AND doubt IS NULL ORDER BY at DESC LIMIT 1)
     ORDER BY r.place`,
    [new Date(now)],
  );
  return rows.map(({ at, ...reading }) => ({ ...reading, at: at.getTime() }));
}
