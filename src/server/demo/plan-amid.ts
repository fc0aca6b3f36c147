import { randomUUID } from 'node:crypto';
import { solve } from '@/core/solver/solve';
import { expandDough } from '@/core/process/expand';
import { onMachines } from '@/core/process/on-machines';
import { planProblem, type Standing } from '@/core/schedule/problem';
import { NO_OBSERVATIONS, settleWindows } from '@/core/forecast/windows';
import { addLocalDays, atLocalMinute, type Instant, MINUTE } from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import { planSettled } from '../commands/plan-dough';
import { type Db, rowsOf, write } from '../db/rows';
import { risesOf, sizes } from '../store/doughs';
import { machines, shifts } from '../store/house';
import { today } from '../store/places';
import { currentProducts } from '../store/products';
import { type Promised, ZONE } from './bakery';

/** Moves of the engine for each dough of the demo: a number, not a time, so that the demo is the same everywhere. */
const MOVES_PER_DOUGH = 60;

/** What all doughs of the demo are planned with: minutes count from midnight of the first of its days. */
export async function demoHouse(db: Db, now: Instant, [first, last]: [Instant, Instant]) {
  const there = presences(await shifts(db), first, last, ZONE);
  const minute = (at: Instant) => Math.round((at - first) / MINUTE);
  const [planner] = await rowsOf<{ id: number }>(db, "SELECT id FROM person WHERE role = 'planner'");
  return {
    ...{ first, now, there, minute, madeBy: planner?.id ?? 1, takes: await sizes(db) },
    frame: { horizon: minute(last), crew: crewSteps(there, first), machines: await machines(db) },
    temperatures: await today(db),
    products: await currentProducts(db),
  };
}

export type DemoHouse = Awaited<ReturnType<typeof demoHouse>>;

/** The outputs that are promised, with their products and when they are due. */
export function wantedOf({ products, first }: DemoHouse, outputs: readonly Promised[]) {
  return outputs.map(({ product, pieces, day, time }) => {
    const [hour = 0, minutes = 0] = time.split(':').map(Number);
    const known = products.find(({ name }) => name === product);
    if (!known) throw new Error(`The demo has no product ${product}.`);
    const dueAt = atLocalMinute(addLocalDays(first, day, ZONE), hour * 60 + minutes, ZONE);
    return { product: known, pieces, dueAt };
  });
}

export type Wanted = ReturnType<typeof wantedOf>[number];

/** Enters a dough with its outputs. */
export async function orderDough(db: Db, house: DemoHouse, name: string, wanted: readonly Wanted[]) {
  const dough = await write(
    db,
    'INSERT INTO dough (client_id, name, created_at, created_by) VALUES (?, ?, ?, ?)',
    [...[randomUUID(), name, new Date(house.first), house.madeBy]],
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
export async function planAmid(
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
  const begin = isJustOrdered ? Math.ceil((house.now - house.first) / MINUTE) : 0;
  const { expanded, solution } = await planSettled(
    id,
    (times) => {
      const steps = new Map(
        [...times].map(([key, { start, minutes }]) => [key, { minutes, from: house.first + start * MINUTE }]),
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
