import { wholePlan, type WholePlan } from '@/core/schedule/whole-plan';
import { addLocalDays } from '@/core/time/local';
import type { Db } from '../db/rows';
import { staffedBetween } from './board';
import { doughsDueFrom, type Supposing } from './doughs';
import { house, machinePools, staffing } from './house';

/** Days before today whose doughs may still be under way. */
const BACK = 2;

/** Reads the whole plan; or as it would be, supposing something. */
export async function readWholePlan(db: Db, now: number, supposing: Supposing = {}): Promise<WholePlan> {
  const bakery = await house(db);
  const [from, to] = staffedBetween(now, bakery.zone);
  const [doughs, presences, machines] = await Promise.all([
    doughsDueFrom(db, addLocalDays(now, -BACK, bakery.zone), supposing),
    staffing(db, from, to, bakery.zone),
    machinePools(db, from, to),
  ]);
  return wholePlan({ house: bakery, doughs, presences, machines }, now);
}
