import { openPart } from '@/core/floor/open-part';
import type { PlanProblem } from '@/core/planning/problem';
import { planProblem } from '@/core/route/problem';
import { addLocalDays, localMidnight, MINUTE } from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import type { Db } from '../db/rows';
import { doughsDueFrom } from './doughs';
import { house, machines, shifts } from './house';

/** Days before today whose doughs may still be under way, and days after the last promise that a plan may use. */
const DAYS = { back: 2, ahead: 3 };

/** What is still open of all doughs, as one plan problem: minutes are counted from the local midnight `origin`. */
export async function wholeProblem(db: Db, now: number): Promise<{ problem: PlanProblem; origin: number }> {
  const { name, zone } = await house(db);
  const doughs = (await doughsDueFrom(db, addLocalDays(now, -DAYS.back, zone))).filter(({ steps }) =>
    steps.some(({ plannedEnd }) => plannedEnd > now),
  );
  const begun = doughs.flatMap(({ events }) => events.map(({ at }) => at));
  const origin = localMidnight(Math.min(now, ...begun), zone);
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const dues = doughs.flatMap(({ outputs }) => outputs.map(({ dueAt }) => dueAt));
  const until = addLocalDays(Math.max(now, ...dues), DAYS.ahead, zone);
  const frame = {
    name,
    horizon: minute(until),
    now: Math.ceil((now - origin) / MINUTE),
    crew: crewSteps(presences(await shifts(db), origin, until, zone), origin),
    machines: await machines(db),
  };
  const open = doughs.map((dough) => ({ dough, ...openPart(dough, now, minute) }));
  const problem = planProblem(
    frame,
    open.map(({ dough, expanded }) => ({
      id: dough.id,
      expanded,
      promises: dough.outputs.map(({ id, dueAt, freshFor }) => {
        return { outputId: id, due: Math.max(0, minute(dueAt)), freshFor };
      }),
    })),
    [],
  );
  problem.pins.push(...open.flatMap(({ pins }) => pins));
  return { problem, origin };
}
