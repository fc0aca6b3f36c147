import { type Person, SKILLS } from '@/core/bakery/people';
import type { Equipment, Machine, MachineDetails, PlaceOfKind } from '@/core/bakery/machines';
import type { MachinePool } from '@/core/schedule/problem';
import {
  capacitySteps,
  crewSteps,
  type Presence,
  presences,
  type Shift,
  withExceptions,
} from '@/core/time/shifts';
import { KEPT_APART } from '@/core/demand/propose';
import type { Allergen } from '@/core/formula/ingredient';
import { METRIC, type ReaderUnits } from '@/core/units/reader';
import { type Settings, settingsOf } from '@/core/bakery/settings';
import { json } from '../db/json';
import { type Db, rowsOf, write } from '../db/rows';

export interface House {
  name: string;
  zone: string;
  /** How the house writes for whoever has chosen nothing else. */
  units: ReaderUnits;
  /** Allergens that are not made up at one table with others. */
  apart: readonly Allergen[];
}

export async function house(db: Db): Promise<House> {
  const found = await houseIfAny(db);
  if (!found) throw new Error('The database holds no bakery yet.');
  return found;
}

/** The bakery, or null in a database that was only just migrated. */
export async function houseIfAny(db: Db): Promise<House | null> {
  const [row] = await rowsOf<Pick<House, 'name' | 'zone'> & { units: unknown; apart: unknown }>(
    db,
    'SELECT name, time_zone AS zone, units, apart FROM house',
  );
  if (!row) return null;
  const { name, zone, units, apart } = row;
  return {
    ...{ name, zone, units: units === null ? METRIC : json<ReaderUnits>(units) },
    apart: apart === null ? KEPT_APART : json<Allergen[]>(apart),
  };
}

/** Thresholds of the house by name; see the notes in the table. */
/** What the house reckons with: what it has set, and the usual for all else. Names in the database are in snake case. */
export async function houseSettings(db: Db): Promise<Settings> {
  const rows = await rowsOf<{ name: string; value: number }>(db, 'SELECT name, value FROM house_value');
  return settingsOf(Object.fromEntries(rows.map(({ name, value }) => [camelCase(name), value])));
}

const camelCase = (name: string) => name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());

export async function people(db: Db): Promise<Person[]> {
  const rows = await rowsOf<Omit<Person, 'skills'> & { skills: string | null }>(
    db,
    `SELECT id, name, role, team,
       (SELECT GROUP_CONCAT(skill) FROM person_skill WHERE person_id = person.id) AS skills
     FROM person WHERE active ORDER BY FIELD(role, 'baker', 'planner', 'helper', 'viewer'), name`,
  );
  return rows.map(({ skills, ...person }) => {
    const own = SKILLS.filter((skill) => skills?.split(',').includes(skill));
    return own.length > 0 ? { ...person, skills: own } : person;
  });
}

/** Machines in the house's order. */
export async function machines(db: Db): Promise<Omit<Machine, 'outages'>[]> {
  const rows = await rowsOf<Omit<Machine, 'outages' | 'details'> & { details: unknown }>(
    db,
    `SELECT id, kind, label, capacity, unit, changeover_minutes AS changeover, kg_least AS kgLeast, kg_at_once AS kgAtOnce, decks,
       place_id AS place, details FROM machine WHERE removed_at IS NULL ORDER BY position`,
  );
  return rows.map(({ details, ...machine }) => ({
    ...machine,
    ...(details === null ? {} : { details: json<MachineDetails>(details) }),
  }));
}

/** Machines and places that doughs can be on and in. */
export async function equipment(db: Db): Promise<Equipment> {
  const [all, places] = await Promise.all([
    machines(db),
    rowsOf<PlaceOfKind>(
      db,
      "SELECT id, kind FROM place WHERE NOT in_dough AND purpose = 'dough' AND removed_at IS NULL ORDER BY position",
    ),
  ]);
  return { machines: all, places };
}

export function shifts(db: Db): Promise<Shift[]> {
  return rowsOf<Shift>(
    db,
    `SELECT person_id AS personId, weekday, start_minute AS startMinute, end_minute AS endMinute
     FROM shift JOIN person ON person.id = person_id AND active`,
  );
}

/** A person or machine that is not there for some time. */
export interface Absence {
  id: number;
  personId: number | null;
  machineId: string | null;
  /** Units of the machine that are out; null for all. */
  units: number | null;
  /** The deck of an oven that they are, counted from 1. */
  deck: number | null;
  /** It works, and takes so many times as long; null where it is out. */
  slower: number | null;
  start: number;
  end: number;
  note: string;
}

export interface ExtraShift extends Presence {
  id: number;
  note: string;
}

/** Absences that reach into a span. */
export async function absences(db: Db, from: number, to: number): Promise<Absence[]> {
  const rows = await rowsOf<Omit<Absence, 'start' | 'end'> & { startAt: Date; endAt: Date }>(
    db,
    `SELECT id, person_id AS personId, machine_id AS machineId, units, deck, slower, start_at AS startAt, end_at AS endAt, note
     FROM absence WHERE end_at > ? AND start_at < ? ORDER BY start_at, id`,
    [new Date(from), new Date(to)],
  );
  return rows.map(({ startAt, endAt, ...row }) => ({
    ...row,
    start: startAt.getTime(),
    end: endAt.getTime(),
  }));
}

/** Shifts beyond the weekly pattern that reach into a span. */
export async function extraShifts(db: Db, from: number, to: number): Promise<ExtraShift[]> {
  const rows = await rowsOf<{ id: number; personId: number; startAt: Date; endAt: Date; note: string }>(
    db,
    `SELECT extra_shift.id, person_id AS personId, start_at AS startAt, end_at AS endAt, note
     FROM extra_shift JOIN person ON person.id = person_id AND active
     WHERE end_at > ? AND start_at < ? ORDER BY start_at`,
    [new Date(from), new Date(to)],
  );
  return rows.map(({ startAt, endAt, ...row }) => ({
    ...row,
    start: startAt.getTime(),
    end: endAt.getTime(),
  }));
}

/** Who is there when, exceptions counted. */
export async function staffing(db: Db, from: number, to: number, zone: string): Promise<Presence[]> {
  const [pattern, more, away] = await Promise.all([
    shifts(db),
    extraShifts(db, from, to),
    absences(db, from, to),
  ]);
  const gone = away.flatMap(({ personId, start, end }) =>
    personId === null ? [] : { personId, start, end },
  );
  return withExceptions(presences(pattern, from, to, zone), more, gone);
}

/** Everybody, and whether they are there at the moment `now`. */
export async function whoIsOnShift(db: Db, now: number): Promise<(Person & { here: boolean })[]> {
  const { zone } = await house(db);
  const [everybody, there] = await Promise.all([people(db), staffing(db, now, now + 1, zone)]);
  const here = new Set(there.map(({ personId }) => personId));
  return everybody.map((person) => ({ ...person, here: here.has(person.id) }));
}

/** Who accepts a repair of the plan now: planners alone, by the house's choice; a planner who is on shift; or bakers too. */
export async function whoAcceptsRepairs(db: Db, now: number): Promise<'planners' | 'bakers' | Person> {
  const [{ repairsByBakers }, everybody] = await Promise.all([houseSettings(db), whoIsOnShift(db, now)]);
  if (repairsByBakers < 1) return 'planners';
  return everybody.find(({ role, here }) => role === 'planner' && here) ?? 'bakers';
}

/** Machines with what of them is out between two moments. */
export async function machinePools(db: Db, from: number, to: number): Promise<Machine[]> {
  const [pools, out] = await Promise.all([machines(db), absences(db, from, to)]);
  return pools.map((pool) => ({ ...pool, outages: outagesOf(out, pool.id), ...slowOf(out, pool.id) }));
}

/** When and how much of a machine is out; why is for the house's book alone. */
const outagesOf = (out: readonly Absence[], machine: string) =>
  out
    .filter(({ machineId, slower }) => machineId === machine && slower === null)
    .map(({ start, end, units, deck }) => ({ start, end, units, ...(deck === null ? {} : { deck }) }));

/** When a machine takes longer, where it does at all. */
function slowOf(out: readonly Absence[], machine: string): Pick<Machine, 'slow'> {
  const slow = out.flatMap(({ machineId, slower, start, end }) =>
    machineId === machine && slower !== null ? [{ start, end, times: slower }] : [],
  );
  return slow.length > 0 ? { slow } : {};
}

/** What a plan may use between two moments: hands and machines over time, in minutes from `origin`. */
export async function means(
  db: Db,
  origin: number,
  until: number,
  zone: string,
): Promise<{ crew: [number, number][]; machines: MachinePool[] }> {
  const [there, pools] = await Promise.all([
    staffing(db, origin, until, zone),
    machinePools(db, origin, until),
  ]);
  return {
    crew: crewSteps(there, origin),
    machines: pools.map((pool) => ({
      ...pool,
      steps: capacitySteps(pool.capacity, pool.outages ?? [], origin),
    })),
  };
}

/** Changes what the house is called, where it is, how it writes and what it keeps apart. */
export async function changeHouse(db: Db, { name, zone, units, apart }: House): Promise<void> {
  await write(db, 'UPDATE house SET name = ?, time_zone = ?, units = ?, apart = ?', [
    ...[name, zone, JSON.stringify(units), JSON.stringify(apart)],
  ]);
}
