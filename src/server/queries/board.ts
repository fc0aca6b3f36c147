import type { Board } from '@/core/floor/board';
import { addLocalDays } from '@/core/time/local';
import { presences } from '@/core/time/shifts';
import type { Db } from '../db/rows';
import { lastWeight } from '../intake';
import { doughsDueFrom } from './doughs';
import { rollingHouse } from './rolling';
import { house, latestReadings, machines, people, shifts } from './house';

/** Days before and after today for which a board knows who is there: as far as the plan can be moved and widened. */
const STAFFED = { back: 8, ahead: 15 };

/** Everything that plan and bench draw from: doughs that were due `daysBack` days before today, or later. */
export async function board(db: Db, now: number, daysBack: number): Promise<Board> {
  const [bakery, persons, pools, pattern, places, rolling, scale] = await Promise.all([
    house(db),
    people(db),
    machines(db),
    shifts(db),
    latestReadings(db, now),
    rollingHouse(db),
    lastWeight(db, now),
  ]);
  const from = addLocalDays(now, -daysBack, bakery.zone);
  return {
    house: bakery,
    people: persons,
    machines: pools,
    presences: presences(
      pattern,
      addLocalDays(now, -STAFFED.back, bakery.zone),
      addLocalDays(now, STAFFED.ahead, bakery.zone),
      bakery.zone,
    ),
    ...{ places, rolling, scale },
    doughs: await doughsDueFrom(db, from),
  };
}
