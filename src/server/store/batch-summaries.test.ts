import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { parseLocal } from '@/core/time/local';
import { freshDatabase } from '../../../test-support/house';
import { rowsOf, write } from '../db/rows';
import { OPENING, ZONE } from '../demo/bakery';
import { seedDemo } from '../demo/seed';
import { learntTimes } from '../learnt-times';
import { sideBySide } from '../side-by-side';
import { batchSummaries } from './batch-summaries';

const NOW = parseLocal(OPENING, ZONE) ?? 0;
const MONTH = { from: NOW - 35 * 24 * 3_600_000, to: NOW };
let house: Awaited<ReturnType<typeof freshDatabase>>;

beforeAll(async () => {
  house = await freshDatabase();
  await seedDemo(house.pool, { month: true });
});
afterAll(() => house.close());

const idOf = async (name: string) =>
  (await rowsOf<{ id: number }>(house.pool, 'SELECT id FROM dough WHERE name = ?', [name]))[0]?.id ?? 0;

describe('batches in numbers', () => {
  it('are worked out once, the newest first, no more than somebody waits for', async () => {
    await write(house.pool, 'DELETE FROM batch_summary', []);
    const first = await batchSummaries(house.pool, MONTH, { now: NOW, most: 3 });
    expect(first.left).toBeGreaterThan(60);
    expect(first.batches.length).toBeGreaterThanOrEqual(3);
    const second = await batchSummaries(house.pool, MONTH, { now: NOW, most: 200 });
    expect(second.left).toBe(0);
    expect(second.batches.length).toBeGreaterThan(70);
    expect([...second.batches].sort((a, b) => a.doneAt - b.doneAt)).toEqual(second.batches);
    expect(await batchSummaries(house.pool, MONTH, { now: NOW, most: 0 })).toEqual(second);
  });

  it('follow what is recorded later', async () => {
    const id = await idOf('Crescent 30');
    const before = (await batchSummaries(house.pool, MONTH, { now: NOW })).batches.find(
      ({ doughId }) => doughId === id,
    );
    await write(
      house.pool,
      `INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, data)
       SELECT UUID(), dough_id, step_key, kind, at + INTERVAL 1 HOUR, person_id,
         '{"kind":"marked","marks":{"rise":1,"crumb":1},"seen":["flat"]}'
       FROM floor_event WHERE dough_id = ? AND kind = 'marks' LIMIT 1`,
      [id],
    );
    const after = (await batchSummaries(house.pool, MONTH, { now: NOW })).batches.find(
      ({ doughId }) => doughId === id,
    );
    expect(before?.seen).toEqual([]);
    expect(after?.seen).toEqual(['flat']);
    expect(after?.mean).toBeLessThan(before?.mean ?? 0);
  });

  it('are of one product where one is asked for', async () => {
    const { batches } = await batchSummaries(house.pool, { ...MONTH, product: 1 }, { now: NOW });
    expect(new Set(batches.map(({ product }) => product)).size).toBe(1);
    expect(batches.length).toBeGreaterThan(20);
  });
});

describe('batches side by side', () => {
  it('one alone is put beside the last good ones of its product', async () => {
    const id = await idOf('Crescent 33');
    const { product, batches, ground, good, judged } = await sideBySide(house.pool, {
      doughs: [id],
      now: NOW,
    });
    expect(product?.name).toBe('Butter crescent');
    expect(batches[0]?.dough.name).toBe('Crescent 33');
    expect(batches).toHaveLength(4);
    expect(batches.slice(1).every(({ summary }) => (summary.mean ?? 0) > 4)).toBe(true);
    expect(good).toBeLessThan(judged);
    expect(ground.length).toBeGreaterThan(8);
  });

  it('several are compared by the product that most of them have; the others are offered', async () => {
    const doughs = await Promise.all(['Crescent 33', 'Crescent 34', 'Danish 9'].map(idOf));
    const compared = await sideBySide(house.pool, { doughs, now: NOW });
    expect(compared.batches.map(({ dough }) => dough.name)).toEqual(['Crescent 33', 'Crescent 34']);
    expect(compared.others.map(({ name }) => name)).toEqual(expect.arrayContaining(['Poppy danish']));
    const other = compared.others[0]?.id;
    expect((await sideBySide(house.pool, { doughs, product: other, now: NOW })).product?.id).toBe(other);
  });

  it('nothing is compared of doughs that are not there, or not finished', async () => {
    const open = await idOf('Crescent 40');
    expect((await sideBySide(house.pool, { doughs: [999_999], now: NOW })).product).toBeNull();
    expect((await sideBySide(house.pool, { doughs: [], now: NOW })).product).toBeNull();
    expect((await sideBySide(house.pool, { doughs: [open], now: NOW })).batches).toEqual([]);
  });
});

describe('what the house has learnt', () => {
  it('is told with what it was good for, the largest gain first', async () => {
    const learnt = await learntTimes(house.pool);
    expect(learnt.length).toBeGreaterThan(2);
    expect(learnt[0]).toMatchObject({ product: 'Butter crescent', phase: 'proof' });
    expect(learnt[0]?.offLearnt).toBeLessThan(learnt[0]?.offWritten ?? 0);
  });
});
