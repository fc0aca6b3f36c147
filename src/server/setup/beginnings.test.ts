import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { problemErrors } from '../../../test-data/plan/check.mjs';
import { freshDatabase, ok } from '../../../test-support/house';
import { inEnglish } from '../../../test-support/words';
import { SETTLED } from '@/core/schedule/settle';
import { clashes } from '@/core/solver/clashes';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import type { Person } from '@/core/bakery/people';
import { draftOfFile, fileOfDraft } from '@/core/exchange/products-file';
import { productFaults } from '@/core/process/product-faults';
import { stateOf } from '@/core/record/dough';
import { isHandsOn } from '@/core/record/state';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { runCommand } from '../commands/run';
import { productToEdit } from '../product-pages';
import { doughById, doughsDueFrom } from '../store/doughs';
import { people } from '../store/house';
import { currentProducts } from '../store/products';
import { setUp } from '../store/set-up';
import { readWholePlan } from '../store/whole-problem';
import { BEGINNINGS } from './beginnings';
import { openBakery } from './open-house';
import { SHELF } from './shelf';

const ZONE = 'Europe/Berlin';
/** One product of each way of working. */
const WAYS = SHELF.map(({ products }) => products[0]?.name ?? '');
const EVERYTHING = {
  machines: MACHINE_KINDS.map((kind) => ({ id: kind, kind, label: kind })),
  people: [{ role: 'baker' as const }],
  isStaffed: true,
};

describe('the shelf', () => {
  it.each(SHELF.flatMap(({ products }) => products.map((one) => [one.name, one] as const)))(
    '%s is complete, and the same in a file again',
    (_, product) => {
      const { about, ...plain } = product;
      const names = SHELF.flatMap(({ formulas }) => formulas.map(({ name }) => name));
      const by = { formulaId: 1, schemeId: product.scheme === null ? null : 1 };
      const draft = draftOfFile(product, by, (name) => names.indexOf(name));
      expect(productFaults(draft, EVERYTHING).map(({ at, message }) => [at, inEnglish(message)])).toEqual([]);
      const { formula, scheme } = product;
      expect(fileOfDraft(draft, { formula, scheme }, (id) => names[id])).toEqual(plain);
      expect(about).toMatch(/^[A-Z].{10,110}$/);
    },
  );

  it('has names that nobody confuses', () => {
    const names = BEGINNINGS.map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    expect(names.length).toBeGreaterThanOrEqual(26);
  });
});

describe('a bakery that begins with the shelf', () => {
  let house: Awaited<ReturnType<typeof freshDatabase>>;
  let planner: Person;
  beforeAll(async () => {
    house = await freshDatabase();
    await openBakery(house.pool, { name: 'Corner bakery', zone: ZONE, planner: 'Nora', pin: '735190' });
    planner = (await people(house.pool))[0] as Person;
    const sizes: Partial<Record<string, [number, object?]>> = {
      mixer: [1, { kgLeast: 1, kgAtOnce: 20 }],
      oven: [6, { decks: 2 }],
      ...{ bench: [2], rack: [60], tray: [60], tin: [80], retarder: [30], freezer: [10], proofer: [14] },
    };
    // One freezer and no blast freezer beside it: the rules of a plan are checked without choices.
    for (const kind of MACHINE_KINDS.filter((one) => one !== 'blast')) {
      const [capacity, more] = sizes[kind] ?? [1];
      await ok(
        runCommand('save-machine', planner, { id: '', kind, label: kind, capacity, changeover: 0, ...more }),
      );
    }
    // Somebody is there by day and by night.
    await ok(
      runCommand('save-person', planner, {
        id: null,
        name: 'Tom',
        role: 'baker',
        team: 'dough',
        pin: '4711',
        skills: [],
        active: true,
      }),
    );
    const night = (await people(house.pool)).find(({ name }) => name === 'Tom')?.id;
    const week = (startMinute: number, endMinute: number) =>
      [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, startMinute, endMinute }));
    await ok(runCommand('save-shifts', planner, { personId: planner.id, shifts: week(360, 1140) }));
    await ok(runCommand('save-shifts', planner, { personId: night, shifts: week(1080, 420) }));
    for (const { name } of BEGINNINGS) await ok(runCommand('take-beginning', planner, { name }));
  }, 240_000);
  afterAll(() => house.close());

  it('has all that they are made by, and lacks nothing', async () => {
    const products = await currentProducts(house.pool);
    expect(products.map(({ name }) => name).sort()).toEqual(BEGINNINGS.map(({ name }) => name).sort());
    for (const { name, scheme } of BEGINNINGS)
      expect(products.find((one) => one.name === name)?.scheme?.name ?? null, name).toBe(scheme);
    expect(products.filter(({ undeclared }) => undeclared.length > 0)).toEqual([]);
    expect((await setUp(house.pool)).lacking).toEqual([]);
  });

  it.each(WAYS)(
    'plans %s over its days, every step in its window, and shows it in its editor',
    async (name) => {
      const product = (await currentProducts(house.pool)).find((one) => one.name === name);
      const due = `${formatLocal(addLocalDays(Date.now(), 5, ZONE), ZONE).slice(0, 10)}T12:00`;
      const { id } = await ok<{ id: number }>(
        runCommand('add-dough', planner, {
          clientId: randomUUID(),
          outputs: [{ productId: product?.productId, pieces: 36, due }],
        }),
      );
      const dough = (await doughsDueFrom(house.pool, Date.now())).find((one) => one.id === id);
      expect(dough?.steps.length).toBeGreaterThan(8);
      const edited = await productToEdit(house.pool, product?.productId ?? 0);
      expect(edited?.draft.name).toBe(name);
    },
    60_000,
  );

  it('keeps every plan rule with all of them at once', async () => {
    const { problem, present } = await readWholePlan(house.pool, Date.now());
    expect(problemErrors(problem)).toEqual([]);
    // A window may have moved by as little as ends the search for it.
    expect(
      clashes(problem, present).filter((clash) => !('by' in clash) || Math.abs(clash.by) > SETTLED),
    ).toEqual([]);
  });

  it.each(WAYS)('is worked to the count of %s, step by step, and read back', async (name) => {
    const all = await doughsDueFrom(house.pool, Date.now());
    const id = all.find((one) => one.outputs.some(({ product }) => product === name))?.id ?? 0;
    const record = (stepKey: string, kind: string, more: object = {}) =>
      ok(runCommand('record-event', planner, { id: randomUUID(), doughId: id, stepKey, kind, ...more }));
    const bakes: { key: string; pieces: number }[] = [];
    for (;;) {
      const dough = await doughById(house.pool, id);
      if (!dough) throw new Error(`${name} is not in the plan`);
      const state = stateOf(dough);
      if (state.finished) break;
      const next = dough.steps.find((step) => {
        const own = state.steps.get(step.key);
        if (step.step.ends === 'tap') return own?.status === 'running';
        return isHandsOn(step) && own?.status === 'open' && own.startable;
      });
      if (!next) throw new Error(`nothing of ${name} can be done`);
      if (next.step.ends === 'tap') bakes.push({ key: next.key, pieces: next.load?.pieces ?? 0 });
      else await record(next.key, 'start');
      await record(next.key, 'finish');
    }
    expect(bakes.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(36);
    for (const { key, pieces } of bakes)
      await record(key, 'count', { data: { kind: 'counted', good: pieces - 1, second: 1, waste: 0 } });
    const worked = await doughById(house.pool, id);
    const counted = [...(worked ? stateOf(worked).steps.values() : [])]
      .flatMap(({ records }) => records)
      .flatMap(({ data }) => (data.kind === 'counted' ? data.good + data.second : []));
    expect(counted.reduce((sum, pieces) => sum + pieces, 0)).toBe(36);
  });
});
