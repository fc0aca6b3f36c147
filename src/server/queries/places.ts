import type { Place } from '@/core/heat/places';
import type { Today } from '@/core/route/windows';
import { rowsOf, type Db } from '../db/rows';
import { houseNow } from './clock';
import { houseValues } from './house';

interface ReadingRow {
  place: string;
  celsius: number;
  humidity: number | null;
  at: Date;
  source: 'probe' | 'typed';
  by: string | null;
  doubt: string | null;
}

const HOUR = 3_600_000;

/** All places with their temperatures as the house knows them at `now`. */
export async function places(db: Db, now: number): Promise<Place[]> {
  const [all, value, rows] = await Promise.all([
    rowsOf<Omit<Place, 'reading' | 'remark'>>(
      db,
      'SELECT id, label, kind, usual, lowest, highest FROM place ORDER BY position',
    ),
    houseValues(db),
    rowsOf<ReadingRow>(
      db,
      `SELECT r.place, r.celsius, r.humidity, r.at, r.source, p.name AS \`by\`, r.doubt
       FROM place JOIN place_reading r ON r.id IN (
         (SELECT id FROM place_reading WHERE place_reading.place = place.id AND at <= ? AND doubt IS NULL ORDER BY at DESC LIMIT 1),
         (SELECT id FROM place_reading WHERE place_reading.place = place.id AND at <= ? AND at > ? AND doubt IS NOT NULL ORDER BY at DESC LIMIT 1)
       )
       LEFT JOIN person p ON p.id = r.person_id`,
      [new Date(now), new Date(now), new Date(now - 24 * HOUR)],
    ),
  ]);
  const holds = { probe: value('probe_holds'), typed: value('typed_holds') };
  return all.map((place) => {
    const own = rows.filter((row) => row.place === place.id);
    const good = own.find(({ doubt }) => doubt === null);
    const doubted = own.find((row) => row.doubt !== null && row.at >= (good?.at ?? new Date(0)));
    const age = good ? (now - good.at.getTime()) / HOUR : Infinity;
    const fresh = good !== undefined && age <= holds[good.source];
    const reading = fresh
      ? {
          celsius: good.celsius,
          humidity: good.humidity,
          at: good.at.getTime(),
          source: good.source,
          by: good.by,
        }
      : null;
    const silent = good ? `No reading for ${Math.floor(age)} h; reckoning with the usual.` : null;
    return { ...place, reading, remark: doubted?.doubt ?? (fresh ? null : silent) };
  });
}

/** Temperatures to reckon with today: read where there is a reading, usual elsewhere. */
export function todayOf(known: readonly Place[]): Today {
  return Object.fromEntries(
    known.map(({ id, kind, usual, reading }) => [id, { kind, celsius: reading?.celsius ?? usual }]),
  );
}

/** Today's temperatures, as the house's clock has it. */
export async function today(db: Db): Promise<Today> {
  return todayOf(await places(db, await houseNow(db)));
}
