import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import type { StockKind } from '@/core/process/output-way';
import { stateOf } from '@/core/record/dough';
import { rowsOf } from '../db/rows';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { runCommand } from '../commands/run';
import { doughById, doughsDueFrom } from './doughs';
import { freePieces, keepables, stockNow } from './stock';
import { mixSheet } from './mix';
import { orderBook } from './orders';
import { currentProducts } from './products';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  mara = house.person('Mara');
  now = await house.now();
}, 240_000);
afterAll(() => house.close());

const ZONE = 'Europe/Berlin';
const due = (days: number) => `${formatLocal(addLocalDays(now, days, ZONE), ZONE).slice(0, 10)}T15:00`;
const idOf = async (name: string) =>
  (await currentProducts(house.pool)).find((product) => product.name === name)?.productId ?? 0;
interface Wish {
  product: string;
  pieces: number;
  days: number;
  way?: string;
}
const add = async (...wishes: Wish[]) => {
  const outputs = await Promise.all(
    wishes.map(async ({ product, pieces, days, way }) => ({
      ...{ productId: await idOf(product), pieces, due: due(days) },
      ...(way ? { way } : {}),
    })),
  );
  return runCommand('add-dough', mara, { clientId: randomUUID(), outputs });
};
const added = (...wishes: Wish[]) => ok<{ id: number }>(add(...wishes));
const stockOf = async (product: string) => {
  const item = `p${await idOf(product)}`;
  return (await stockNow(house.pool)).find((one) => one.item === item)?.amount ?? 0;
};
const freeOf = async (product: string) =>
  (await freePieces(house.pool, await doughsDueFrom(house.pool, now), now)).get(await idOf(product)) ?? 0;
const record = (doughId: number, stepKey: string, kind: string, more: object = {}) =>
  runCommand('record-event', mara, { id: randomUUID(), doughId, stepKey, kind, ...more });

/** Starts and ends the next step of hands that may begin; what is left are waits that end by the next start. */
async function workOn(doughId: number, until: (key: string) => boolean): Promise<string> {
  for (;;) {
    const dough = await doughById(house.pool, doughId);
    if (!dough) throw new Error('no dough');
    const state = stateOf(dough);
    const next = dough.steps.find(
      ({ key, step }) =>
        step.work && state.steps.get(key)?.status === 'open' && state.steps.get(key)?.startable,
    );
    if (!next) throw new Error(`nothing can begin of ${dough.steps.map(({ key }) => key).join()}`);
    await ok(record(doughId, next.key, 'start'));
    await ok(record(doughId, next.key, 'finish'));
    if (until(next.key)) return next.key;
  }
}

describe('pieces for the freezer', () => {
  it('come from one dough with fresh ones, and are in stock by the tap of whoever bagged them; undone, they are not', async () => {
    const before = await stockOf('Butter crescent');
    const { id } = await added(
      { product: 'Butter crescent', pieces: 60, days: 3 },
      { product: 'Butter crescent', pieces: 40, days: 3, way: 'to-freezer' },
    );
    const bag = await workOn(id, (key) => key.endsWith('.bag'));
    expect(await stockOf('Butter crescent')).toBe(before + 40);
    const finish = (await doughById(house.pool, id))?.events.findLast(
      (event) => event.stepKey === bag && event.kind === 'finish',
    );
    await ok(record(id, bag, 'undo', { undoes: finish?.id }));
    expect(await stockOf('Butter crescent')).toBe(before);
    await ok(record(id, bag, 'finish'));
    expect(await stockOf('Butter crescent')).toBe(before + 40);
  });

  it('are no supply of an order before they are frozen', async () => {
    const { id } = await added({ product: 'Raisin snail', pieces: 45, days: 4, way: 'to-freezer' });
    const book = await orderBook(house.pool, now);
    expect(book.left.some(({ doughId }) => doughId === id)).toBe(false);
    expect(book.demand.flatMap(({ from }) => from).some(({ doughId }) => doughId === id)).toBe(false);
  });
});

describe('pieces from the freezer', () => {
  it('are planned by their own short way, promised to nobody else, and out of stock by a tap', async () => {
    const product = 'Butter crescent';
    const [stock, free] = [await stockOf(product), await freeOf(product)];
    expect(free).toBeGreaterThanOrEqual(30);
    const { id } = await added({ product, pieces: 30, days: 2, way: 'from-freezer' });
    const dough = await doughById(house.pool, id);
    expect(dough?.steps.some(({ step }) => step.kind === 'mix')).toBe(false);
    expect(dough && (await mixSheet(house.pool, dough))).toBeNull();
    expect(dough?.steps.filter(({ outputId }) => outputId === null).map(({ key }) => key)).toEqual([
      'take-out',
    ]);
    expect([await stockOf(product), await freeOf(product)]).toEqual([stock, free - 30]);
    const book = await orderBook(house.pool, now);
    const supplied = [...book.left, ...book.demand.flatMap(({ from }) => from)];
    expect(supplied.some(({ doughId }) => doughId === id)).toBe(true);
    await workOn(id, (key) => key === 'take-out');
    expect([await stockOf(product), await freeOf(product)]).toEqual([stock - 30, free - 30]);
  });

  it('must be there: more than are free is refused with how many there are', async () => {
    const free = await freeOf('Butter crescent');
    const refused = await refusal(
      add({ product: 'Butter crescent', pieces: free + 1, days: 2, way: 'from-freezer' }),
    );
    expect([refused.field, refused.message]).toEqual([
      'outputs.0.pieces',
      expect.stringContaining(String(free)),
    ]);
  });

  it('do not come from a dough that is mixed', async () => {
    const mixed = add(
      { product: 'Butter crescent', pieces: 15, days: 3 },
      { product: 'Butter crescent', pieces: 15, days: 3, way: 'from-freezer' },
    );
    expect((await refusal(mixed)).field).toBe('outputs.1.productId');
  });
});

const doughOf = async (product: string, kind: StockKind) => {
  const own = (await keepables(house.pool)).find(({ name }) => name === product);
  return (await stockNow(house.pool)).find((one) => one.item === own?.dough && one.kind === kind);
};

describe('dough that is kept', () => {
  it('is part of a dough, in stock by weight when it is wrapped, and becomes another product another day', async () => {
    const { id } = await added(
      { product: 'Butter crescent', pieces: 60, days: 2 },
      { product: 'Chocolate roll', pieces: 48, days: 2, way: 'dough-to-cold' },
    );
    await workOn(id, (key) => key.endsWith('.keep'));
    const lot = await doughOf('Butter crescent', 'cold-dough');
    const dough = await doughById(house.pool, id);
    const output = dough?.outputs.find(({ way }) => way === 'dough-to-cold');
    expect(lot?.amount).toBe(Math.round(1000 * (output?.doughKg ?? 0)));
    expect(lot?.amount).toBeGreaterThan(2000);
    // The rest of the dough is rolled out for what is fresh.
    expect(dough?.steps.some(({ step }) => step.kind === 'sheet')).toBe(true);

    const next = await added({ product: 'Butter crescent', pieces: 24, days: 1, way: 'dough-from-cold' });
    const made = await doughById(house.pool, next.id);
    expect(made?.steps.some(({ step }) => step.kind === 'mix' || step.turn !== undefined)).toBe(false);
    const taken = Math.round(1000 * (made?.outputs[0]?.doughKg ?? 0));
    await workOn(next.id, (key) => key === 'fetch');
    expect((await doughOf('Chocolate roll', 'cold-dough'))?.amount).toBe((lot?.amount ?? 0) - taken);
  });

  it('is refused where there is less than that takes, or where it is too old by then', async () => {
    const much = await refusal(
      add({ product: 'Butter crescent', pieces: 400, days: 1, way: 'dough-from-cold' }),
    );
    expect(much.field).toBe('outputs.0.pieces');
    expect(much.message).toMatch(
      /This needs .+ kg of dough\. In cold storage .+ kg of Crescent dough is free/,
    );
    // Two days in the cold, and no more.
    const old = await refusal(
      add({ product: 'Butter crescent', pieces: 12, days: 9, way: 'dough-from-cold' }),
    );
    expect(old.message).toMatch(/0 g|0\.0 kg/);
    const other = await refusal(
      add({ product: 'Brioche knot', pieces: 12, days: 3, way: 'dough-from-cold' }),
    );
    expect(other.message).toMatch(/Brioche dough/);
  });

  it('is thrown away with a reason, which the house remembers', async () => {
    const productId = await idOf('Butter crescent');
    const before = (await doughOf('Butter crescent', 'cold-dough'))?.amount ?? 0;
    const discard = (more: object) =>
      runCommand('move-stock', mara, {
        ...{ productId, kind: 'cold-dough', amount: -500, note: 'got warm', discarded: true },
        ...more,
      });
    expect((await refusal(discard({ note: '' }))).field).toBe('note');
    expect((await refusal(discard({ amount: 500 }))).field).toBe('amount');
    expect((await refusal(discard({ amount: -before - 1 }))).message).toMatch(/There is only/);
    expect((await refusal(discard({ amount: 0 }))).field).toBe('amount');
    expect((await refusal(discard({ kind: 'soup' }))).field).toBe('kind');
    await ok(discard({}));
    expect((await doughOf('Butter crescent', 'cold-dough'))?.amount).toBe(before - 500);
    const [record] = await rowsOf<{ subject: string; becomes: string }>(
      house.pool,
      "SELECT subject, becomes FROM audit WHERE command = 'move-stock' ORDER BY id DESC LIMIT 1",
    );
    expect(JSON.stringify(record)).toMatch(/Butter%20crescent.*500.*got warm/);
  });
});

describe('every product of the demo', () => {
  it('can be frozen, as pieces and as dough, and baked from either', async () => {
    const products = await currentProducts(house.pool);
    for (const { name } of products) {
      await ok(add({ product: name, pieces: 30, days: 5, way: 'to-freezer' }));
      await ok(add({ product: name, pieces: 15, days: 6, way: 'from-freezer' }));
      await ok(add({ product: name, pieces: 40, days: 7, way: 'dough-to-freezer' }));
      await ok(add({ product: name, pieces: 15, days: 9, way: 'dough-from-freezer' }));
    }
  });
});
