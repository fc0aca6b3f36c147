import { randomUUID } from 'node:crypto';
import { solve } from '@/core/solver/solve';
import { expandDough } from '@/core/process/expand';
import { onMachines } from '@/core/process/on-machines';
import { taskId } from '@/core/process/step-ref';
import { planProblem, type Standing } from '@/core/schedule/problem';
import { NO_OBSERVATIONS, settleWindows } from '@/core/forecast/windows';
import { addLocalDays, atLocalMinute, localMidnight, MINUTE, type Instant } from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import { planSettled } from '../commands/plan-dough';
import { rowsOf, write, type Db } from '../db/rows';
import { risesOf, sizes } from '../store/doughs';
import { machines, shifts } from '../store/house';
import { today } from '../store/places';
import { currentProducts } from '../store/products';
import { DOUGHS, HOUSE } from './bakery';
import { history } from './history';

/** Moves of the engine for each dough of the demo: a number, not a time, so that the demo is the same everywhere. */
const MOVES_PER_DOUGH = 60;

/** Plans the doughs one after the other, each amid those before it, and records what would have happened by now. */
export async function seedDoughs(db: Db, now: Instant): Promise<void> {
  const tuesday = localMidnight(addLocalDays(now, -2, HOUSE.zone), HOUSE.zone);
  const end = addLocalDays(now, 6, HOUSE.zone);
  const there = presences(await shifts(db), tuesday, end, HOUSE.zone);
  const pools = await machines(db);
  const [takes, temperatures] = [await sizes(db), await today(db)];
  const products = await currentProducts(db);
  const minute = (at: Instant) => Math.round((at - tuesday) / MINUTE);
  const frame = { horizon: minute(end), now: 0, crew: crewSteps(there, tuesday), machines: pools };
  const [planner] = await rowsOf<{ id: number }>(db, "SELECT id FROM person WHERE role = 'planner'");
  const madeBy = planner?.id ?? 1;
  const plan = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(now - 14 * 60 * MINUTE), madeBy, 'The week planned'],
  ]);
  const standing: Standing[] = [];
  const counts = new Map<string, number>();
  for (const { outputs, justOrdered } of DOUGHS) {
    const wanted = outputs.map(({ product, pieces, day, time }) => {
      const [hour = 0, minutes = 0] = time.split(':').map(Number);
      const known = products.find(({ name }) => name === product);
      if (!known) throw new Error(`The demo has no product ${product}.`);
      return {
        product: known,
        pieces,
        dueAt: atLocalMinute(addLocalDays(tuesday, day, HOUSE.zone), hour * 60 + minutes, HOUSE.zone),
      };
    });
    const kind = wanted[0]?.product.doughName ?? 'Dough';
    counts.set(kind, (counts.get(kind) ?? FIRST_NUMBERS[kind] ?? 0) + 1);
    const name = `${kind} ${counts.get(kind)}`;
    const dough = await write(
      db,
      'INSERT INTO dough (client_id, name, created_at, created_by) VALUES (?, ?, ?, ?)',
      [...[randomUUID(), name, new Date(tuesday), madeBy]],
    );
    const withIds: ((typeof wanted)[number] & { id: number })[] = [];
    for (const output of wanted) {
      const { id } = await write(
        db,
        'INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at) VALUES (?, ?, ?, ?)',
        [dough.id, output.product.versionId, output.pieces, new Date(output.dueAt)],
      );
      withIds.push({ id, ...output });
    }
    const base = onMachines(expandDough(withIds, takes), takes.equipment);
    const promises = withIds.map(({ id, dueAt, product }) => ({
      outputId: id,
      due: minute(dueAt),
      freshFor: product.freshFor,
    }));
    const { expanded, solution } = await planSettled(
      dough.id,
      (steps) => settleWindows(base, risesOf(withIds), temperatures, { ...NO_OBSERVATIONS, steps }),
      (settled) => {
        const problem = planProblem(
          { ...frame, name, now: justOrdered ? Math.ceil((now - tuesday) / MINUTE) : 0 },
          [{ id: dough.id, expanded: settled, promises }],
          standing,
        );
        let moves = 0;
        return Promise.resolve(solve(problem, { seed: 1, shouldStop: () => ++moves > MOVES_PER_DOUGH }));
      },
    );
    if (solution?.plan.status !== 'feasible') throw new Error(`The demo's ${name} found no place.`);
    const { times } = solution.plan;
    const steps = expanded.steps.map((step) => {
      const id = taskId(dough.id, step.key);
      const [start = 0, stop = 0] = times[id] ?? [];
      standing.push({ id, dough: name, start, end: stop, uses: step.uses });
      return { ...step, start: tuesday + start * MINUTE, end: tuesday + stop * MINUTE };
    });
    await write(
      db,
      'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at) VALUES ?',
      [steps.map(({ key, start, end: stop }) => [plan.id, dough.id, key, new Date(start), new Date(stop)])],
    );
    const events = history({ id: dough.id, expanded, steps }, there, now);
    if (events.length === 0) continue;
    await write(
      db,
      'INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, celsius, text, undoes, data) VALUES ?',
      [
        events.map((e) => [
          e.id,
          e.doughId,
          e.stepKey,
          e.kind,
          new Date(e.at),
          e.personId,
          e.celsius,
          e.text,
          e.undoes,
          e.data === null ? null : JSON.stringify(e.data),
        ]),
      ],
    );
  }
}

/** The last number of each kind before the demo begins, since a bakery has a past. */
const FIRST_NUMBERS: Record<string, number> = {
  Crescent: 37,
  Danish: 11,
  Brioche: 5,
  Levain: 2,
  'Chocolate roll': 20,
};
