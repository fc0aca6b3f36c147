import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import { solve } from '@/core/planning/solve';
import { expandDough } from '@/core/route/expand';
import { planProblem, taskId, type Standing } from '@/core/route/problem';
import {
  addLocalDays,
  atLocalMinute,
  localMidnight,
  MINUTE,
  parseLocal,
  type Instant,
} from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import { hashPin } from '../auth/pin';
import { rowsOf, transaction, write, type Db } from '../db/rows';
import { machines, shifts } from '../queries/house';
import { currentProducts } from '../queries/products';
import { DOUGHS, HOUSE, MACHINES, OPENING, PEOPLE } from './bakery';
import { history } from './history';
import { FORMULAS } from './formulas';
import { PRODUCTS } from './products';

/** Moves of the engine for each dough of the demo: a number, not a time, so that the demo is the same everywhere. */
const MOVES_PER_DOUGH = 60;

/** Fills an empty database with the demo bakery; does nothing when it holds a bakery already. */
export async function seedDemo(pool: Pool): Promise<boolean> {
  const [there] = await rowsOf<{ id: number }>(pool, 'SELECT id FROM house');
  if (there) return false;
  const now = parseLocal(OPENING, HOUSE.zone) as Instant;
  await transaction(pool, async (db) => {
    await seedHouse(db, now);
    await seedProducts(db, addLocalDays(now, -30, HOUSE.zone));
    await seedDoughs(db, now);
    await seedReadings(db, now);
  });
  return true;
}

/** A house with its machines, and nobody in it. */
async function openHouse(db: Db, { name, zone }: { name: string; zone: string }): Promise<void> {
  await write(db, 'INSERT INTO house (id, name, time_zone) VALUES (1, ?, ?)', [name, zone]);
  await write(
    db,
    'INSERT INTO machine (id, label, capacity, unit, kg_at_once, changeover_minutes, position) VALUES ?',
    [
      MACHINES.map(({ id, label, capacity, unit, kg, changeover }, i) => [
        id,
        label,
        capacity,
        unit,
        kg,
        changeover,
        i,
      ]),
    ],
  );
}

/** A new bakery in an empty database: a first planner, and the usual machines and products to begin with. */
export async function newHouse(
  pool: Pool,
  house: { name: string; zone: string; planner: string; pin: string },
): Promise<void> {
  await transaction(pool, async (db) => {
    await openHouse(db, house);
    await seedProducts(db, Date.now());
    await write(db, "INSERT INTO person (name, role, team, pin_hash) VALUES (?, 'planner', 'plan', ?)", [
      house.planner,
      await hashPin(house.pin),
    ]);
  });
}

async function seedHouse(db: Db, now: Instant): Promise<void> {
  await openHouse(db, HOUSE);
  for (const { name, role, team, pin, shifts: pattern } of PEOPLE) {
    const { id } = await write(db, 'INSERT INTO person (name, role, team, pin_hash) VALUES (?, ?, ?, ?)', [
      ...[name, role, team, await hashPin(pin)],
    ]);
    if (!pattern) continue;
    await write(db, 'INSERT INTO shift (person_id, weekday, start_minute, end_minute) VALUES ?', [
      pattern.days.map((day) => [id, day, pattern.from, pattern.to]),
    ]);
  }
  await write(db, 'INSERT INTO demo_clock (id, shown_at, real_at, rate, paused) VALUES (1, ?, ?, 1, FALSE)', [
    ...[new Date(now), new Date()],
  ]);
}

async function seedProducts(db: Db, at: Instant): Promise<void> {
  const versionOf = new Map<string, number>();
  for (const [name, body] of Object.entries(FORMULAS)) {
    const { id } = await write(db, 'INSERT INTO formula (name) VALUES (?)', [name]);
    const version = await write(
      db,
      'INSERT INTO formula_version (formula_id, version, body, created_at) VALUES (?, 1, ?, ?)',
      [id, JSON.stringify(body), new Date(at)],
    );
    versionOf.set(name, version.id);
  }
  for (const { name, doughName, formula, ...body } of PRODUCTS) {
    const { id } = await write(db, 'INSERT INTO product (name, dough_name) VALUES (?, ?)', [name, doughName]);
    await write(
      db,
      'INSERT INTO product_version (product_id, version, formula_version_id, body, created_at) VALUES (?, 1, ?, ?, ?)',
      [id, versionOf.get(formula) ?? 0, JSON.stringify(body), new Date(at)],
    );
  }
}

/** Plans the doughs one after the other, each amid those before it, and records what would have happened by now. */
async function seedDoughs(db: Db, now: Instant): Promise<void> {
  const tuesday = localMidnight(addLocalDays(now, -2, HOUSE.zone), HOUSE.zone);
  const end = addLocalDays(now, 6, HOUSE.zone);
  const there = presences(await shifts(db), tuesday, end, HOUSE.zone);
  const pools = await machines(db);
  const ovenTrays = pools.find(({ id }) => id === 'oven')?.capacity ?? 1;
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
  for (const { outputs } of DOUGHS) {
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
    const withIds = [];
    for (const output of wanted) {
      const { id } = await write(
        db,
        'INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at) VALUES (?, ?, ?, ?)',
        [dough.id, output.product.versionId, output.pieces, new Date(output.dueAt)],
      );
      withIds.push({ id, ...output });
    }
    const expanded = expandDough(withIds, ovenTrays);
    const promises = withIds.map(({ id, dueAt, product }) => ({
      outputId: id,
      due: minute(dueAt),
      freshFor: product.freshFor,
    }));
    const problem = planProblem({ ...frame, name }, [{ id: dough.id, expanded, promises }], standing);
    let moves = 0;
    const solution = solve(problem, { seed: 1, shouldStop: () => ++moves > MOVES_PER_DOUGH });
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
      'INSERT INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at) VALUES ?',
      [steps.map(({ key, start, end: stop }) => [plan.id, dough.id, key, new Date(start), new Date(stop)])],
    );
    const events = history({ id: dough.id, expanded, steps }, there, now);
    if (events.length === 0) continue;
    await write(
      db,
      'INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, celsius, text, undoes) VALUES ?',
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

async function seedReadings(db: Db, now: Instant): Promise<void> {
  const places = {
    retarder: [3.6, 0.6],
    freezer: [-18.2, 0.7],
    proofer: [26.2, 0.4],
    oven: [184, 3],
    bakery: [21.8, 1.2],
  };
  const rows: (string | number | Date)[][] = [];
  for (let at = now - 2 * 24 * 60 * MINUTE; at <= now; at += 10 * MINUTE) {
    Object.entries(places).forEach(([place, [mean = 0, swing = 0]], i) => {
      const wave = Math.sin(at / (37 * MINUTE) + i) + 0.4 * Math.sin(at / (11 * MINUTE));
      rows.push([place, new Date(at), Math.round((mean + swing * wave) * 10) / 10]);
    });
  }
  await write(db, 'INSERT INTO place_reading (place, at, celsius) VALUES ?', [rows]);
}
