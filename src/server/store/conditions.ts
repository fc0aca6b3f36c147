import { type Conditions, probeReadings } from '@/core/forecast/conditions';
import type { Machine } from '@/core/bakery/machines';
import type { Today } from '@/core/forecast/windows';
import { ovenDecks } from './decks';
import { houseSettings, machinePools } from './house';
import { newestReadings, type PlaceReadings } from './newest-readings';
import { coreProbesOf, placesOf, todayOf } from './places';
import { roomCourses } from './room-outlook';
import { type Db } from '../db/rows';

/** Hours before and after now in which outages of machines count for a forecast. */
const OUTAGES = 15 * 24;
const HOUR = 3_600_000;

/** Today's temperatures by readings at hand. */
export async function todayBy(db: Db, newest: readonly PlaceReadings[], now: number): Promise<Today> {
  const settings = await houseSettings(db);
  const known = placesOf(newest, now, { probe: settings.probeHolds, typed: settings.typedHolds });
  return todayOf(known, await roomCourses(db, known, now));
}

/** The bakery as it is at `now`, as far as forecasts depend on it. */
export async function conditions(
  db: Db,
  now: number,
  known: { newest?: readonly PlaceReadings[]; machines?: readonly Machine[] } = {},
): Promise<Conditions> {
  const newest = known.newest ?? (await newestReadings(db, now));
  const machines = known.machines ?? (await machinePools(db, now - OUTAGES * HOUR, now + OUTAGES * HOUR));
  const [places, decks] = await Promise.all([todayBy(db, newest, now), ovenDecks(db, machines)]);
  return { places, probes: probeReadings(coreProbesOf(newest)), decks, machines };
}
