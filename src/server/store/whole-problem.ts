import { type PlanMeans, wholePlan, type WholePlan } from '@/core/schedule/whole-plan';
import { addLocalDays } from '@/core/time/local';
import { staffedBetween } from './board';
import { conditions } from './conditions';
import { doughsDueFrom, type Supposing } from './doughs';
import { equipment, house, machinePools, staffing } from './house';
import { type Db } from '../db/rows';

/** Days before today whose doughs may still be under way. */
const BACK = 2;

/** Reads what the whole plan is made from; or as it would be, supposing something. */
export async function readPlanMeans(db: Db, now: number, supposing: Supposing = {}): Promise<PlanMeans> {
  const bakery = await house(db);
  const [from, to] = staffedBetween(now, bakery.zone);
  const [doughs, presences, machines, { places }] = await Promise.all([
    doughsDueFrom(db, addLocalDays(now, -BACK, bakery.zone), supposing),
    staffing(db, from, to, bakery.zone),
    machinePools(db, from, to),
    equipment(db),
  ]);
  return {
    ...{ house: bakery, doughs, presences, equipment: { machines, places } },
    conditions: await conditions(db, now, { machines }),
  };
}

/** Reads the whole plan. */
export const readWholePlan = async (db: Db, now: number): Promise<WholePlan> =>
  wholePlan(await readPlanMeans(db, now), now);
