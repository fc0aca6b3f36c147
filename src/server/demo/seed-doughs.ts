import type { FloorEvent } from '@/core/record/events';
import { taskId } from '@/core/process/step-ref';
import type { Standing } from '@/core/schedule/problem';
import { addLocalDays, type Instant, localMidnight, MINUTE } from '@/core/time/local';
import { type Db, write } from '../db/rows';
import { doughToCheck, keepFinished } from '../store/doughs';
import { WEEK, ZONE } from './bakery';
import { history } from './history';
import { demoHouse, orderDough, planAmid, wantedOf } from './plan-amid';

/** Plans the doughs one after the other, each amid those before it, and records what would have happened by now. */
export async function seedDoughs(db: Db, now: Instant): Promise<void> {
  const tuesday = localMidnight(addLocalDays(now, -2, ZONE), ZONE);
  const house = await demoHouse(db, now, [tuesday, addLocalDays(now, 6, ZONE)]);
  const plan = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(now - 14 * 60 * MINUTE), house.madeBy, 'The week planned'],
  ]);
  const placed: Standing[] = [];
  const counts = new Map<string, number>();
  for (const dough of WEEK.doughs) {
    const wanted = wantedOf(house, dough.outputs);
    const kind = wanted[0]?.product.doughName ?? 'Dough';
    counts.set(kind, (counts.get(kind) ?? FIRST_NUMBERS[kind] ?? 0) + 1);
    const name = `${kind} ${counts.get(kind)}`;
    const { id, outputs } = await orderDough(db, house, name, wanted);
    const { expanded, times } = await planAmid(house, { id, name, outputs }, dough.justOrdered, placed);
    const steps = expanded.steps.map((step) => {
      const [start = 0, stop = 0] = times[taskId(id, step.key)] ?? [];
      placed.push({ id: taskId(id, step.key), dough: name, start, end: stop, uses: step.uses });
      return { ...step, start: tuesday + start * MINUTE, end: tuesday + stop * MINUTE };
    });
    await write(
      db,
      'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at) VALUES ?',
      [steps.map(({ key, start, end: stop }) => [plan.id, id, key, new Date(start), new Date(stop)])],
    );
    await insertPast(db, history({ id, expanded, steps }, house.there, now));
    const kept = await doughToCheck(db, id);
    if (kept) await keepFinished(db, kept);
  }
}

/** Enters what was recorded. */
export async function insertPast(db: Db, events: readonly FloorEvent[]): Promise<void> {
  if (events.length === 0) return;
  await write(
    db,
    'INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, celsius, text, undoes, data) VALUES ?',
    [
      events.map(({ id, doughId, stepKey, kind, at, personId, celsius, text, undoes, data }) => [
        ...[id, doughId, stepKey, kind, new Date(at), personId, celsius, text, undoes],
        data === null ? null : JSON.stringify(data),
      ]),
    ],
  );
}

/** The last number of each kind before the demo begins, since a bakery has a past. */
const FIRST_NUMBERS: Record<string, number> = {
  Crescent: 37,
  Danish: 11,
  Brioche: 25,
  Levain: 2,
  'Chocolate roll': 20,
};
