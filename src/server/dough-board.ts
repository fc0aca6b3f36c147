import { NO_CALLS, type Board } from '@/core/floor/board';
import { presences } from '@/core/time/shifts';
import { pool } from './db/pool';
import { doughById } from './queries/doughs';
import { house, latestReadings, machines, people, shifts } from './queries/house';
import { rollingHouse } from './queries/rolling';

const DAY = 24 * 3_600_000;

/** A board with one dough on it, by the number in an address; null where there is none. */
export async function doughBoard(text: string, now: number): Promise<Board | null> {
  const id = Number(text);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) return null;
  const [bakery, persons, pools, places, pattern, rolling] = await Promise.all([
    house(db),
    people(db),
    machines(db),
    latestReadings(db, now),
    shifts(db),
    rollingHouse(db),
  ]);
  const times = dough.steps.flatMap((step) => [step.plannedStart, step.plannedEnd]);
  return {
    house: bakery,
    people: persons,
    machines: pools,
    presences: presences(pattern, Math.min(...times) - DAY, Math.max(...times) + DAY, bakery.zone),
    ...{ places, rolling, scale: null, calls: NO_CALLS },
    doughs: [dough],
  };
}
