import { dayOf } from '@/core/demand/orders';
import { addLocalDays, MINUTE, parseLocal } from '@/core/time/local';
import { type RoomCourse, roomCourse, type RoomDay, type Temperature } from '@/core/climate/room-course';
import type { Place } from '@/core/heat/places';
import { type Db, rowsOf, write } from '../db/rows';
import { house, houseSettings } from './house';

const HOUR = 60 * MINUTE;
/** So far back a course looks, hours: the same hours of the day before, and the weather that a room still feels. */
const BACK = 30;
/** So far ahead what is known of the weather counts, hours. */
const AHEAD = 72;

/** Rooms that dough stands in, which follow the weather and not a thermostat. */
const isRoom = ({ kind, purpose }: Pick<Place, 'kind' | 'purpose'>) => kind === 'room' && purpose === 'dough';

/** How the rooms among these places are expected to go on from `now`, by place. */
export async function roomCourses(
  db: Db,
  known: readonly Pick<Place, 'id' | 'kind' | 'purpose' | 'usual' | 'reading'>[],
  now: number,
): Promise<ReadonlyMap<string, RoomCourse>> {
  const rooms = known.filter(isRoom);
  if (rooms.length === 0) return new Map();
  const [{ zone }, settings, told, outdoors, probes] = await Promise.all([
    house(db),
    houseSettings(db),
    roomDays(db, now),
    outdoorHours(db, now),
    lastDay(db, rooms.map(({ id }) => id), now), // prettier-ignore
  ]);
  const habit = { follows: settings.roomFollows, lag: settings.roomLag };
  return new Map(
    rooms.flatMap(({ id, usual, reading }) => {
      const outlook = {
        told: told.filter(({ place }) => place === id),
        outdoors,
        probe: probes.filter(({ place }) => place === id),
      };
      const course = roomCourse(outlook, { now, celsius: reading?.celsius ?? usual, zone, habit });
      return course ? [[id, course] as const] : [];
    }),
  );
}

/** What was told of rooms, from yesterday on. */
export async function roomDays(db: Db, now: number): Promise<(RoomDay & { place: string; by: string })[]> {
  const { zone } = await house(db);
  const rows = await rowsOf<{ place: string; day: string; coolest: number; warmest: number; by: string }>(
    db,
    `SELECT r.place, DATE_FORMAT(r.day, '%Y-%m-%d') AS day, r.coolest + 0e0 AS coolest, r.warmest + 0e0 AS warmest, p.name AS \`by\`
     FROM room_day r JOIN person p ON p.id = r.person_id WHERE r.day >= ? ORDER BY r.day`,
    [dayOf(addLocalDays(now, -1, zone), zone)],
  );
  return rows.map(({ day, ...row }) => ({ ...row, day: parseLocal(`${day}T12:00`, zone) ?? now }));
}

/** The last word on a room and a day. */
export async function saveRoomDay(
  db: Db,
  { place, day, coolest, warmest, now, personId }: {
    place: string;
    day: string;
    coolest: number;
    warmest: number;
    now: number;
    personId: number;
  }, // prettier-ignore
): Promise<void> {
  await write(
    db,
    `INSERT INTO room_day (place, day, coolest, warmest, at, person_id) VALUES (?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE coolest = VALUES(coolest), warmest = VALUES(warmest), at = VALUES(at), person_id = VALUES(person_id)`,
    [place, day, coolest, warmest, new Date(now), personId],
  );
}

/** Takes back what was told of a room and a day. */
export async function removeRoomDay(db: Db, place: string, day: string): Promise<void> {
  await write(db, 'DELETE FROM room_day WHERE place = ? AND day = ?', [place, day]);
}

/** What is known of the weather about now. */
async function outdoorHours(db: Db, now: number): Promise<Temperature[]> {
  const rows = await rowsOf<{ at: Date; celsius: number }>(
    db,
    'SELECT at, celsius + 0e0 AS celsius FROM outdoors WHERE at BETWEEN ? AND ? ORDER BY at',
    [new Date(now - BACK * HOUR), new Date(now + AHEAD * HOUR)],
  );
  return rows.map(({ at, celsius }) => ({ at: at.getTime(), celsius }));
}

/** From when to when a weather file says anything of what is to come; null where it says nothing. */
export async function weatherUntil(db: Db, now: number): Promise<number | null> {
  const [row] = await rowsOf<{ until: Date | null }>(
    db,
    'SELECT MAX(at) AS until FROM outdoors WHERE at > ?',
    [new Date(now)],
  );
  return row?.until?.getTime() ?? null;
}

/** Keeps the hours of a weather file, each in the place of what an earlier one said of it. */
export async function saveOutdoors(db: Db, hours: readonly Temperature[]): Promise<void> {
  await write(
    db,
    'INSERT INTO outdoors (at, celsius) VALUES ? ON DUPLICATE KEY UPDATE celsius = VALUES(celsius)',
    [hours.map(({ at, celsius }) => [new Date(at), celsius])],
  );
}

/** What the probes of rooms said in the last day, as means of hours. */
async function lastDay(
  db: Db,
  places: readonly string[],
  now: number,
): Promise<(Temperature & { place: string })[]> {
  const rows = await rowsOf<{ place: string; hour: number; celsius: number }>(
    db,
    `SELECT place, UNIX_TIMESTAMP(at) DIV 3600 AS hour, AVG(celsius) AS celsius FROM place_reading
     WHERE place IN (?) AND at > ? AND at <= ? AND doubt IS NULL AND source = 'probe' GROUP BY 1, 2 ORDER BY 2`,
    [[...places], new Date(now - BACK * HOUR), new Date(now)],
  );
  return rows.map(({ place, hour, celsius }) => ({ place, at: (Number(hour) + 0.5) * HOUR, celsius }));
}
