import type { Board } from '@/core/wire/board';
import { addLocalDays } from '@/core/time/local';
import { calls } from './calls';
import { todayBy } from './conditions';
import { doughsDueFrom } from './doughs';
import { thawsFor } from './orders';
import { ovenDecks } from './decks';
import { rollingHouse } from './rolling';
import { lastWeight } from './scale';
import { latestOf, coreProbesOf, roomsOf } from './places';
import { newestReadings } from './newest-readings';
import { house, machinePools, people, staffing } from './house';
import { type Db } from '../db/rows';

/** Days before and after today for which a board knows who is there: as far as the plan can be moved and widened. */
const STAFFED = { back: 8, ahead: 15 };

/** Doughs that were due so many days ago and are not over yet are still shown: somebody says how they ended. */
const OPEN_DAYS = 14;

/** From when to when a board knows who is there. */
export function staffedBetween(now: number, zone: string): [from: number, to: number] {
  return [addLocalDays(now, -STAFFED.back, zone), addLocalDays(now, STAFFED.ahead, zone)];
}

/** Everything that plan and bench draw from: doughs that were due `daysBack` days before today, or later, and older ones that are open. */
export async function board(db: Db, now: number, daysBack: number): Promise<Board> {
  const bakery = await house(db);
  const span = staffedBetween(now, bakery.zone);
  const [persons, pools, presences, newest, decks, rolling, scale, doughs] = await Promise.all([
    people(db),
    machinePools(db, ...span),
    staffing(db, ...span, bakery.zone),
    newestReadings(db, now),
    ovenDecks(db),
    rollingHouse(db),
    lastWeight(db, now),
    doughsDueFrom(db, addLocalDays(now, -daysBack, bakery.zone), {
      openFrom: addLocalDays(now, -OPEN_DAYS, bakery.zone),
    }),
  ]);
  const [called, thaws] = await Promise.all([calls(db, now, newest), thawsFor(db, doughs, now)]);
  return {
    house: bakery,
    people: persons,
    machines: pools,
    presences,
    ...{ places: latestOf(newest), coreProbes: coreProbesOf(newest), decks, rolling, scale },
    rooms: roomsOf(newest),
    today: await todayBy(db, newest, now),
    calls: { ...called, thaws },
    doughs,
  };
}
