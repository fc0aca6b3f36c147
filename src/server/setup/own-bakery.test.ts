import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { freshDatabase, ok, refusal } from '../../../test-support/house';
import { Refusal } from '../commands/command';
import { runCommand } from '../commands/run';
import { houseBook } from '../store/house-book';
import { houseSettings, people } from '../store/house';
import { valueChanges } from '../store/house-values';
import { places } from '../store/places';
import { currentProducts } from '../store/products';
import { setUp } from '../store/set-up';
import { openBakery } from './open-house';

const ZONE = 'Europe/Berlin';
let house: Awaited<ReturnType<typeof freshDatabase>>;
let planner: Person;

beforeAll(async () => {
  house = await freshDatabase();
}, 120_000);
afterAll(() => house.close());

const add = (kind: string, label: string, capacity: number, more: object = {}) =>
  runCommand('save-machine', planner, { id: '', kind, label, capacity, changeover: 0, ...more });
const machines = async () => (await houseBook(house.pool, Date.now())).machines;

describe('an empty database', () => {
  it('becomes a bakery with its first planner, and nothing of the demo', async () => {
    const open = { name: 'Corner bakery', zone: ZONE, planner: 'Nora', pin: '735190' };
    // Two at once: one opens it, the other is told of it.
    const [one, other] = await Promise.allSettled([
      openBakery(house.pool, open),
      openBakery(house.pool, open),
    ]);
    expect([one.status, other.status].sort()).toEqual(['fulfilled', 'rejected']);
    const reason: unknown =
      one.status === 'rejected' ? one.reason : other.status === 'rejected' && other.reason;
    expect(reason).toBeInstanceOf(Refusal);
    planner = (await people(house.pool))[0] as Person;
    expect(planner).toMatchObject({ name: 'Nora', role: 'planner' });
    expect(await setUp(house.pool)).toEqual({
      ...{ machines: 0, people: 1, onShifts: 0, products: 0, doughs: 0, lacking: [] },
    });
  });

  it('is opened once', async () => {
    const again = { name: 'Other', zone: ZONE, planner: 'Tom', pin: '735190' };
    await expect(openBakery(house.pool, again)).rejects.toMatchObject({
      words: { code: 'refusals.thisDatabaseHolds', values: { bakery: 'Corner bakery' } },
    });
    expect(await people(house.pool)).toHaveLength(1);
  });
});

describe('its machines', () => {
  it('are added, each with a place of its own inside where it has a temperature', async () => {
    await ok(add('mixer', 'Small mixer', 1, { kgLeast: 1.5, kgAtOnce: 8 }));
    await ok(add('oven', 'Deck oven', 4, { decks: 2 }));
    await ok(add('oven', 'Little oven', 2));
    const [mixer, deck, little] = await machines();
    expect(mixer).toMatchObject({ id: 'mixer', kgLeast: 1.5, kgAtOnce: 8, unit: 'bowl', place: null });
    expect(deck).toMatchObject({ id: 'oven', decks: 2, place: 'oven' });
    expect(little).toMatchObject({ id: 'oven-2', place: 'oven-2' });
    expect((await places(house.pool, Date.now())).find(({ id }) => id === 'oven-2')).toMatchObject({
      ...{ label: 'Little oven', kind: 'oven' },
    });
  });

  it('have a kind, a name of their own, and a bowl whose least is no more than its most', async () => {
    expect((await refusal(add('kettle', 'Kettle', 1))).message).toBe('Choose the type of machine.');
    expect((await refusal(add('oven', 'Deck oven', 1))).field).toBe('label');
    const bowl = await refusal(add('mixer', 'Odd mixer', 1, { kgLeast: 9, kgAtOnce: 8 }));
    expect(bowl).toMatchObject({ field: 'kgLeast', message: 'The least load must not be above the most.' });
    expect((await refusal(add('mixer', 'Odd mixer', 1, { kgAtOnce: -3 }))).field).toBe('kgAtOnce');
    expect(await machines()).toHaveLength(3);
  });

  it('are taken out of use, and their names are free again', async () => {
    await ok(runCommand('remove-machine', planner, { id: 'oven-2' }));
    expect((await machines()).map(({ id }) => id)).toEqual(['mixer', 'oven']);
    expect((await refusal(runCommand('remove-machine', planner, { id: 'oven-2' }))).field).toBe('id');
    await ok(add('oven', 'Little oven', 3));
    expect((await machines()).map(({ id }) => id)).toEqual(['mixer', 'oven', 'oven-3']);
  });
});

describe('its products', () => {
  it('come from the shelf with formula and lamination, once', async () => {
    await ok(runCommand('take-beginning', planner, { name: 'Butter crescent' }));
    const [product] = await currentProducts(house.pool);
    expect(product).toMatchObject({ name: 'Butter crescent', doughName: 'Crescent' });
    expect(product?.scheme).not.toBeNull();
    const again = await refusal(runCommand('take-beginning', planner, { name: 'Butter crescent' }));
    expect(again.message).toMatch(/Butter crescent is not among the templates, or you already have it/);
    await ok(runCommand('take-beginning', planner, { name: 'Chocolate roll' }));
    expect(new Set((await currentProducts(house.pool)).map((one) => one.formulaVersionId)).size).toBe(1);
  });

  it('say which machines are still lacking', async () => {
    const { lacking } = await setUp(house.pool);
    expect(lacking.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['bench', 'retarder', 'proofer']));
    expect(lacking.find(({ kind }) => kind === 'retarder')?.products).toContain('Butter crescent');
  });

  it('are planned once machines and shifts are there', async () => {
    for (const [kind, label, capacity] of [
      ['bench', 'Bench', 1],
      ['sheeter', 'Rolling pin', 1],
      ['retarder', 'Fridge', 12],
      ['proofer', 'Cabinet', 8],
      ['tray', 'Trays', 20],
    ] as const)
      await ok(add(kind, label, capacity));
    const week = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, startMinute: 300, endMinute: 1080 }));
    await ok(runCommand('save-shifts', planner, { personId: planner.id, shifts: week }));
    expect(await setUp(house.pool)).toMatchObject({ lacking: [], onShifts: 1 });
    const product = (await currentProducts(house.pool)).find(({ name }) => name === 'Butter crescent');
    const due = `${formatLocal(addLocalDays(Date.now(), 4, ZONE), ZONE).slice(0, 10)}T12:00`;
    await ok(
      runCommand('add-dough', planner, {
        clientId: randomUUID(),
        outputs: [{ productId: product?.productId, pieces: 24, due }],
      }),
    );
    expect(await setUp(house.pool)).toMatchObject({ doughs: 1 });
  }, 120_000);
});

describe('its values', () => {
  it('are set within what can be meant, and remember who set them', async () => {
    await ok(runCommand('set-value', planner, { name: 'blockKg', value: '4.5' }));
    expect((await houseSettings(house.pool)).blockKg).toBe(4.5);
    expect((await valueChanges(house.pool)).blockKg).toMatchObject({ by: 'Nora' });
    const { message } = await refusal(runCommand('set-value', planner, { name: 'blockKg', value: 900 }));
    expect(message).toBe('Enter a value from 0.5 kg to 60 kg.');
    expect(
      (await refusal(runCommand('set-value', planner, { name: 'blockKg', value: 'much' }))).message,
    ).toBe('Enter a number.');
    expect((await houseSettings(house.pool)).blockKg).toBe(4.5);
  });

  it('are as usual again when they are emptied', async () => {
    await ok(runCommand('set-value', planner, { name: 'blockKg', value: null }));
    expect((await houseSettings(house.pool)).blockKg).toBe(6);
  });
});
