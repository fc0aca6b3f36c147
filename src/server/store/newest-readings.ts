import type { PlaceLimits } from '@/core/climate/excursions';
import type { Place } from '@/core/heat/places';
import { type Db, rowsOf, type SqlValue } from '../db/rows';

/** One reading of a place. */
export interface PlaceReading {
  celsius: number;
  humidity: number | null;
  at: number;
  source: 'probe' | 'typed';
  by: string | null;
  doubt: string | null;
}

/** A place with the newest that its probe has said, that somebody has told, and that was not believed. */
export interface PlaceReadings {
  place: Omit<Place, 'reading' | 'remark'> & {
    /** A needle: it says nothing of a place. */
    inDough: boolean;
  };
  limits: PlaceLimits;
  probe: PlaceReading | null;
  typed: PlaceReading | null;
  doubted: PlaceReading | null;
}

type PlaceRow = PlaceReadings['place'] & Pick<PlaceLimits, 'low' | 'high' | 'minutes'>;

/** What is not believed is told for a day. */
const DOUBT_TOLD = 24 * 3_600_000;

const COLUMNS = 'place, celsius, humidity, at, source, person_id, doubt';
/** Each one step into the index: readings are millions, and every page asks. */
const NEWEST = `(SELECT ${COLUMNS} FROM place_reading
  WHERE place = ? AND doubted = ? AND source = ? AND at > ? AND at <= ? ORDER BY at DESC LIMIT 1)`;

/** All places and needles in their order, with the newest readings of each up to `now`. */
export async function newestReadings(db: Db, now: number): Promise<PlaceReadings[]> {
  const places = await rowsOf<Omit<PlaceRow, 'inDough'> & { inDough: number }>(
    db,
    `SELECT id, label, kind, purpose, usual, lowest, highest, in_dough AS inDough, alarm_low AS low, alarm_high AS high,
       alarm_minutes AS minutes FROM place WHERE removed_at IS NULL ORDER BY position`,
  );
  if (places.length === 0) return [];
  const [ever, lately, until] = [new Date(0), new Date(now - DOUBT_TOLD), new Date(now)];
  const asked = places.flatMap(({ id }): SqlValue[][] => [
    [id, 0, 'probe', ever, until],
    [id, 0, 'typed', ever, until],
    [id, 1, 'probe', lately, until],
  ]);
  const rows = await rowsOf<Omit<PlaceReading, 'at'> & { place: string; at: Date }>(
    db,
    `SELECT r.place, r.celsius, r.humidity, r.at, r.source, r.doubt, p.name AS \`by\`
     FROM (${asked.map(() => NEWEST).join(' UNION ALL ')}) r LEFT JOIN person p ON p.id = r.person_id`,
    asked.flat(),
  );
  const said = rows.map(({ at, ...row }) => ({ ...row, at: at.getTime() }));
  return places.map(({ low, high, minutes, inDough, ...place }) => {
    const find = (source: PlaceReading['source'], doubted: boolean) =>
      said.find(
        (one) => one.place === place.id && one.source === source && (one.doubt !== null) === doubted,
      ) ?? null;
    return {
      place: { ...place, inDough: inDough === 1 },
      limits: { place: place.id, label: place.label, low, high, minutes },
      ...{ probe: find('probe', false), typed: find('typed', false), doubted: find('probe', true) },
    };
  });
}

/** The newest that is believed, whoever said it. */
export function believed({ probe, typed }: Pick<PlaceReadings, 'probe' | 'typed'>): PlaceReading | null {
  return probe && typed ? (probe.at >= typed.at ? probe : typed) : (probe ?? typed);
}
