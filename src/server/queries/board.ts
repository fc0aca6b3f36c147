import type { Board } from '@/core/floor/board';
import { addLocalDays } from '@/core/time/local';
import type { Db } from '../db/rows';
import { lastWeight } from '../intake';
import { calls } from './calls';
import { doughsDueFrom } from './doughs';
import { rollingHouse } from './rolling';
import { house, latestReadings, machinePools, people, staffing } from './house';

/** Days before and after today for which a board knows who is there: as far as the plan can be moved and widened. */
const STAFFED = { back: 8, ahead: 15 };

/** From when to when a board knows who is there. */
export function staffedBetween(now: number, zone: string): [from: number, to: number] {
  return [addLocalDays(now, -STAFFED.back, zone), addLocalDays(now, STAFFED.ahead, zone)];
}

/** Everything that plan and bench draw from: doughs that were due `daysBack` days before today, or later. */
export async function board(db: Db, now: number, daysBack: number): Promise<Board> {
  const bakery = await house(db);
  const span = staffedBetween(now, bakery.zone);
  const [persons, pools, presences, places, rolling, scale, called] = await Promise.all([
    people(db),
    machinePools(db, ...span),
    staffing(db, ...span, bakery.zone),
    latestReadings(db, now),
    rollingHouse(db),
    lastWeight(db, now),
    calls(db, now),
  ]);
  const from = addLocalDays(now, -daysBack, bakery.zone);
  return {
    house: bakery,
    people: persons,
    machines: pools,
    presences,
    ...{ places, rolling, scale, calls: called },
    doughs: await doughsDueFrom(db, from),
  };
}
