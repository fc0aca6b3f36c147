import type { PlaceLimits } from '@/core/climate/excursions';
import type { Place } from '@/core/heat/places';
import { MINUTE } from '@/core/time/local';
import { houseSettings } from './house';
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
    /** A core probe: it says nothing of a place. */
    inDough: boolean;
  };
  limits: PlaceLimits;
  probe: PlaceReading | null;
  typed: PlaceReading | null;
  doubted: PlaceReading | null;
  /** What the house reckons with: the newest of them; what was typed counts for a while though the probe has spoken since. */
  counts: PlaceReading | null;
}

type PlaceRow = PlaceReadings['place'] & Pick<PlaceLimits, 'low' | 'high' | 'minutes'>;

/** What is not believed is told for a day. */
const DOUBT_TOLD = 24 * 3_600_000;

const COLUMNS = 'place, celsius, humidity, at, source, person_id, doubt';
/** Each one step into the index: readings are millions, and every page asks. */
const NEWEST = `(SELECT ${COLUMNS} FROM place_reading
  WHERE place = ? AND doubted = ? AND source = ? AND at > ? AND at <= ? ORDER BY at DESC LIMIT 1)`;

/** All places and core probes in their order, with the newest readings of each up to `now`. */
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
  const outlasts = (await houseSettings(db)).typedOutlasts * MINUTE;
  const said = rows.map(({ at, ...row }) => ({ ...row, at: at.getTime() }));
  return places.map(({ low, high, minutes, inDough, ...place }) => {
    const find = (source: PlaceReading['source'], doubted: boolean) =>
      said.find(
        (one) => one.place === place.id && one.source === source && (one.doubt !== null) === doubted,
      ) ?? null;
    const heard = { probe: find('probe', false), typed: find('typed', false) };
    return {
      place: { ...place, inDough: inDough === 1 },
      limits: { place: place.id, label: place.label, low, high, minutes },
      ...{ ...heard, doubted: find('probe', true), counts: counting(heard, now, outlasts) },
    };
  });
}

/** Which of two counts: what was typed last outlasts newer readings of the probe for so long, ms. */
export function counting(
  { probe, typed }: Pick<PlaceReadings, 'probe' | 'typed'>,
  now: number,
  outlasts: number,
): PlaceReading | null {
  if (!probe || !typed) return probe ?? typed;
  return typed.at > probe.at || now - typed.at < outlasts ? typed : probe;
}
