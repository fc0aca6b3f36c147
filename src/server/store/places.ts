import { keptWords } from '@/words/as-text';
import type { Board } from '@/core/wire/board';
import type { Place } from '@/core/heat/places';
import type { Today } from '@/core/forecast/windows';
import { houseNow } from './clock';
import { roomCourses } from './room-outlook';
import { houseSettings } from './house';
import { newestReadings, type PlaceReadings } from './newest-readings';
import { coded, type Coded } from '@/core/codes/coded';
import type { RoomCourse } from '@/core/climate/room-course';
import { type Db, rowsOf } from '../db/rows';

const HOUR = 3_600_000;

/** All places with their temperatures as the house knows them at `now`. */
export async function places(db: Db, now: number): Promise<Place[]> {
  const [newest, settings] = await Promise.all([newestReadings(db, now), houseSettings(db)]);
  return placesOf(newest, now, { probe: settings.probeHolds, typed: settings.typedHolds });
}

/** The same from readings at hand; `holds`: for how many hours each kind of reading is believed. */
export function placesOf(
  newest: readonly PlaceReadings[],
  now: number,
  holds: { probe: number; typed: number },
): Place[] {
  return newest
    .filter(({ place }) => !place.inDough)
    .map((one) => {
      const { id, label, kind, purpose, usual, lowest, highest } = one.place;
      const good = one.counts;
      const doubted =
        one.doubted && one.doubted.at >= (good?.at ?? 0) ? keptWords(one.doubted.doubt ?? '') : null;
      const age = good ? (now - good.at) / HOUR : Infinity;
      const fresh = good !== null && age <= holds[good.source];
      const silent = good ? coded('rooms.noReadingFor', { hours: Math.floor(age) }) : null;
      return {
        ...{ id, label, kind, purpose, usual, lowest, highest },
        reading: fresh
          ? {
              ...{ celsius: good.celsius, humidity: good.humidity, at: good.at },
              ...{ source: good.source, by: good.by },
            }
          : null,
        remark: doubted ?? (fresh ? toldRemark(one) : silent),
      };
    });
}

/** That what somebody typed counts though the probe says otherwise. */
function toldRemark({ counts, probe }: PlaceReadings): Coded | null {
  if (counts?.source !== 'typed' || !probe || probe.at <= counts.at) return null;
  return coded('rooms.toldCounts', { probe: { celsius: probe.celsius } });
}

/** The latest believed reading of each place that has one. */
export function latestOf(newest: readonly PlaceReadings[]): Board['places'] {
  return newest.flatMap((one) => {
    const said = one.place.inDough ? null : one.counts;
    if (!said) return [];
    const { id, label } = one.place;
    return [{ place: id, label, celsius: said.celsius, humidity: said.humidity, at: said.at }];
  });
}

/** Places that a dough can be in. */
export function roomsOf(newest: readonly PlaceReadings[]): Board['rooms'] {
  return newest.flatMap(({ place: { id, kind, purpose, inDough } }) =>
    inDough || purpose !== 'dough' ? [] : [{ id, kind }],
  );
}

/** Core probes with what each last said. */
export function coreProbesOf(newest: readonly PlaceReadings[]): Board['coreProbes'] {
  return newest.flatMap((one) => {
    const said = one.counts;
    const { id, label, inDough } = one.place;
    return inDough ? [{ id, label, celsius: said?.celsius ?? null, at: said?.at ?? 0 }] : [];
  });
}

/** Temperatures to reckon with: read where there is a reading, usual elsewhere; rooms with how they are expected to go on. */
export function todayOf(
  known: readonly Place[],
  courses: ReadonlyMap<string, RoomCourse> = new Map(),
): Today {
  return Object.fromEntries(
    known.map(({ id, kind, usual, reading }) => {
      const course = courses.get(id);
      return [id, { kind, celsius: reading?.celsius ?? usual, ...(course ? { course } : {}) }];
    }),
  );
}

/** Today's temperatures, as the house's clock has it. */
export async function today(db: Db): Promise<Today> {
  const now = await houseNow(db);
  const known = await places(db, now);
  return todayOf(known, await roomCourses(db, known, now));
}

/** Whether the house has this place, as one where dough stands or as a probe that goes into it. */
export async function hasPlace(db: Db, id: string, inDough: boolean): Promise<boolean> {
  const found = await rowsOf(db, 'SELECT id FROM place WHERE id = ? AND in_dough = ?', [id, inDough]);
  return found.length > 0;
}
