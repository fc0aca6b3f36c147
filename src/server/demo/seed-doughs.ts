import { randomUUID } from 'node:crypto';
import type { FloorEvent } from '@/core/record/events';
import { solve } from '@/core/solver/solve';
import { expandDough } from '@/core/process/expand';
import { onMachines } from '@/core/process/on-machines';
import { taskId } from '@/core/process/step-ref';
import { planProblem, type Standing } from '@/core/schedule/problem';
import { NO_OBSERVATIONS, settleWindows } from '@/core/forecast/windows';
import { addLocalDays, atLocalMinute, type Instant, localMidnight, MINUTE } from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import { planSettled } from '../commands/plan-dough';
import { type Db, rowsOf, write } from '../db/rows';
import { doughToCheck, keepFinished, risesOf, sizes } from '../store/doughs';
import { machines, shifts } from '../store/house';
import { today } from '../store/places';
import { currentProducts } from '../store/products';
import { WEEK, ZONE } from './bakery';
import { history } from './history';

/** Moves of the engine for each dough of the demo: a number, not a time, so that the demo is the same everywhere. */
const MOVES_PER_DOUGH = 60;

/** What all doughs of the demo are planned with. */
async function demoHouse(db: Db, now: Instant) {
  const tuesday = localMidnight(addLocalDays(now, -2, ZONE), ZONE);
  const end = addLocalDays(now, 6, ZONE);
  const there = presences(await shifts(db), tuesday, end, ZONE);
  const minute = (at: Instant) => Math.round((at - tuesday) / MINUTE);
  const [planner] = await rowsOf<{ id: number }>(db, "SELECT id FROM person WHERE role = 'planner'");
  return {
    ...{ tuesday, now, there, minute, madeBy: planner?.id ?? 1, takes: await sizes(db) },
    frame: { horizon: minute(end), crew: crewSteps(there, tuesday), machines: await machines(db) },
    temperatures: await today(db),
    products: await currentProducts(db),
  };
}

type DemoHouse = Awaited<ReturnType<typeof demoHouse>>;
type DemoDough = (typeof WEEK.doughs)[number];

/** Plans the doughs one after the other, each amid those before it, and records what would have happened by now. */
export async function seedDoughs(db: Db, now: Instant): Promise<void> {
  const house = await demoHouse(db, now);
  const plan = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(now - 14 * 60 * MINUTE), house.madeBy, 'The week planned'],
  ]);
  const placed: Standing[] = [];
  const counts = new Map<string, number>();
  for (const dough of WEEK.doughs) {
    const wanted = wantedOf(house, dough);
    const kind = wanted[0]?.product.doughName ?? 'Dough';
    counts.set(kind, (counts.get(kind) ?? FIRST_NUMBERS[kind] ?? 0) + 1);
    const name = `${kind} ${counts.get(kind)}`;
    const { id, outputs } = await orderDough(db, house, name, wanted);
    const { expanded, times } = await planAmid(house, { id, name, outputs }, dough.justOrdered, placed);
    const steps = expanded.steps.map((step) => {
      const [start = 0, stop = 0] = times[taskId(id, step.key)] ?? [];
      placed.push({ id: taskId(id, step.key), dough: name, start, end: stop, uses: step.uses });
      return { ...step, start: house.tuesday + start * MINUTE, end: house.tuesday + stop * MINUTE };
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

function wantedOf({ products, tuesday }: DemoHouse, { outputs }: DemoDough) {
  return outputs.map(({ product, pieces, day, time }) => {
    const [hour = 0, minutes = 0] = time.split(':').map(Number);
    const known = products.find(({ name }) => name === product);
    if (!known) throw new Error(`The demo has no product ${product}.`);
    const dueAt = atLocalMinute(addLocalDays(tuesday, day, ZONE), hour * 60 + minutes, ZONE);
    return { product: known, pieces, dueAt };
  });
}

type Wanted = ReturnType<typeof wantedOf>[number];

async function orderDough(db: Db, house: DemoHouse, name: string, wanted: readonly Wanted[]) {
  const dough = await write(
    db,
    'INSERT INTO dough (client_id, name, created_at, created_by) VALUES (?, ?, ?, ?)',
    [...[randomUUID(), name, new Date(house.tuesday), house.madeBy]],
  );
  const outputs: (Wanted & { id: number })[] = [];
  for (const output of wanted) {
    const { id } = await write(
      db,
      'INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at) VALUES (?, ?, ?, ?)',
      [dough.id, output.product.versionId, output.pieces, new Date(output.dueAt)],
    );
    outputs.push({ id, ...output });
  }
  return { id: dough.id, outputs };
}

/** Finds the place of a dough amid those that have theirs; one that was only just ordered begins no earlier than now. */
async function planAmid(
  house: DemoHouse,
  { id, name, outputs }: { id: number; name: string; outputs: readonly (Wanted & { id: number })[] },
  isJustOrdered: boolean | undefined,
  placed: readonly Standing[],
) {
  const { minute, takes, temperatures } = house;
  const base = onMachines(expandDough(outputs, takes), takes.equipment);
  const promises = outputs.map(({ id: outputId, dueAt, product }) => ({
    ...{ outputId, due: minute(dueAt), freshFor: product.freshFor },
  }));
  const begin = isJustOrdered ? Math.ceil((house.now - house.tuesday) / MINUTE) : 0;
  const { expanded, solution } = await planSettled(
    id,
    (times) => {
      const steps = new Map(
        [...times].map(([key, { start, minutes }]) => [
          key,
          { minutes, from: house.tuesday + start * MINUTE },
        ]),
      );
      return settleWindows(base, risesOf(outputs), temperatures, { ...NO_OBSERVATIONS, steps });
    },
    (settled) => {
      const frame = { ...house.frame, name, now: begin };
      const problem = planProblem(frame, [{ id, expanded: settled, promises }], placed);
      let moves = 0;
      return Promise.resolve(solve(problem, { seed: 1, shouldStop: () => ++moves > MOVES_PER_DOUGH }));
    },
  );
  if (solution?.plan.status !== 'feasible') throw new Error(`The demo's ${name} found no place.`);
  return { expanded, times: solution.plan.times };
}

async function insertPast(db: Db, events: readonly FloorEvent[]): Promise<void> {
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
  Brioche: 5,
  Levain: 2,
  'Chocolate roll': 20,
};
