import { NO_CALLS, type Board } from '@/core/wire/board';
import { presences } from '@/core/time/shifts';
import { pool } from './db/pool';
import { todayBy } from './store/conditions';
import { ovenDecks } from './store/decks';
import { doughById } from './store/doughs';
import { newestReadings } from './store/newest-readings';
import { latestOf, coreProbesOf, roomsOf } from './store/places';
import { house, machinePools, people, shifts } from './store/house';
import { rollingHouse } from './store/rolling';

const DAY = 24 * 3_600_000;
/** How far back and ahead machines that are out matter to a dough. */
const OUTAGES = 7 * DAY;

/** A board with one dough on it, by the number in an address; null where there is none. */
export async function doughBoard(text: string, now: number): Promise<Board | null> {
  const id = Number(text);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) return null;
  const [bakery, persons, pools, newest, decks, pattern, rolling] = await Promise.all([
    house(db),
    people(db),
    machinePools(db, now - OUTAGES, now + OUTAGES),
    newestReadings(db, now),
    ovenDecks(db),
    shifts(db),
    rollingHouse(db),
  ]);
  const times = dough.steps.flatMap((step) => [step.plannedStart, step.plannedEnd]);
  return {
    house: bakery,
    people: persons,
    machines: pools,
    presences: presences(pattern, Math.min(...times) - DAY, Math.max(...times) + DAY, bakery.zone),
    rooms: roomsOf(newest),
    today: await todayBy(db, newest, now),
    ...{
      places: latestOf(newest),
      coreProbes: coreProbesOf(newest),
      decks,
      rolling,
      scale: null,
      calls: NO_CALLS,
    },
    doughs: [dough],
  };
}
