import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import type { Equipment } from '@/core/bakery/machines';
import { choicesOf, movedTo } from '@/core/process/on-machines';
import { windowMisses } from '@/core/schedule/window-misses';
import type { DoughRecord } from '@/core/record/dough';
import { forecastDough, type DoughForecast } from '@/core/forecast/forecast';
import { movedWindows } from '@/core/forecast/windows';
import { planUntilSettled, SETTLED } from '@/core/schedule/settle';
import type { Db } from '../db/rows';
import { conditions } from '../store/conditions';
import { doughById } from '../store/doughs';
import { equipment } from '../store/house';
import { searching } from '../searching';
import { command, Refusal, type SearchContext } from './command';
import { findOpenPart } from './plan-open-part';
import { lockBasis, movePlan, readBasis, type Basis, type StepPlacement } from './plan-version';
import { doughId } from './schemas';

interface FollowResult {
  basis: Basis;
  name: string;
  /** Where its steps are from now on; empty where its windows hold its plan already. */
  placed: StepPlacement[];
  settled: boolean;
}

/**
 * Plans what is left of a dough anew, amid all others, which keep their places: its waits are no longer what they were
 * when it was planned. One act, however many rounds it took. Late is better than wrong: promises are kept where they can be.
 */
export const followDough = command<
  { doughId: number },
  { name: string; settled: boolean; moved: number },
  FollowResult
>({
  name: 'follow-dough',
  schema: Joi.object({ doughId }),
  doughOf: (input) => input.doughId,
  search: (context, input) => searching(context, () => follow(context, input.doughId)),
  async run({ db, now, person }, { doughId: id }, { basis, name, placed, settled }) {
    await lockBasis(db, basis, [id]);
    const dough = await openDough(db, id);
    const moved = placed.filter(({ key, start, end, machines = [] }) => {
      const was = dough.steps.find((step) => step.key === key);
      const isOn = was && choicesOf(was).join() === machines.join();
      return was?.plannedStart !== start || was.plannedEnd !== end || !isOn;
    });
    if (moved.length > 0)
      await movePlan(db, moved, {
        now,
        personId: person.id,
        reason: coded('reasons.followsToday', { dough: name }),
      });
    return { name, settled, moved: moved.length };
  },
});

async function follow(context: SearchContext, id: number): Promise<FollowResult> {
  const { db, now } = context;
  const basis = await readBasis(db);
  const dough = await openDough(db, id);
  const [today, has] = await Promise.all([conditions(db, now), equipment(db)]);
  const forecast = (record: DoughRecord) => forecastDough(record, today, now);
  const start = forecast(dough);
  if (!hasWindowMisses(start)) return { basis, name: dough.name, placed: [], settled: true };
  const nothing = coded('refusals.noPlaceForItsNewWaits', { dough: dough.name });
  const found = await planUntilSettled(start, {
    plan: (open) => findOpenPart(context, { record: dough, forecast: open }, nothing),
    windowsOf: (placed) => forecast(placedAt(dough, placed, has)),
    moved: (before, after) => movedWindows(before, after, SETTLED).length > 0,
  });
  return { basis, name: dough.name, placed: found?.plan ?? [], settled: found?.settled ?? false };
}

/** A dough with the times and machines that were found for its steps. */
function placedAt(dough: DoughRecord, placed: readonly StepPlacement[], has: Equipment): DoughRecord {
  const found = new Map(placed.map((one) => [one.key, one]));
  const steps = dough.steps.map((step) => {
    const at = found.get(step.key);
    if (!at) return step;
    return movedTo({ ...step, plannedStart: at.start, plannedEnd: at.end }, at.machines ?? [], has);
  });
  return { ...dough, steps };
}

/** Whether another time can mend a wait; one in vain is not one of them. */
const hasWindowMisses = (dough: DoughForecast) => windowMisses(dough).some(({ by }) => by !== 0);

async function openDough(db: Db, id: number): Promise<DoughRecord> {
  const dough = await doughById(db, id);
  if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotInThe'), 'doughId');
  return dough;
}
