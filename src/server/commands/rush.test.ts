import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { lastWords } from '../store/handovers';
import { orderBook } from '../store/orders';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
}, 240_000);
afterAll(() => house.close());

const order = () => ({
  ...{ clientId: randomUUID(), customer: 'Fire brigade', productId: 1, pieces: 40 },
  due: '2026-11-19T11:00',
});

describe('a rush order', () => {
  it('is taken by a baker while no planner is there, and is known at once to go short', async () => {
    const now = await house.now();
    expect((await orderBook(house.pool, now)).bakersTakeOrders).toBe(true);
    await ok(runCommand('add-order', house.person('Jonas'), order()));
    const { demand, short } = await orderBook(house.pool, now);
    expect(demand.find(({ customer }) => customer === 'Fire brigade')).toMatchObject({ pieces: 40 });
    const own = short.find(({ order: { customer } }) => customer === 'Fire brigade');
    // What doughs make beyond what is ordered is theirs; the rest nobody can make by then.
    expect(
      (own?.missing ?? 0) +
        (demand.find(({ customer }) => customer === 'Fire brigade')?.from ?? []).reduce(
          (sum, { pieces }) => sum + pieces,
          0,
        ),
    ).toBe(40);
  });

  it('is the planner’s where the house says so, or a planner is on shift', async () => {
    await ok(runCommand('set-value', house.person('Mara'), { name: 'repairsByBakers', value: 0 }));
    expect((await refusal(runCommand('add-order', house.person('Jonas'), order()))).message).toMatch(
      /planners take/,
    );
    await ok(runCommand('add-order', house.person('Mara'), order()));
  });
});

describe('an ingredient that ran out', () => {
  it('is in the note for the next shift, with what needs it', async () => {
    const report = (ingredient: string) =>
      runCommand('report-out-of', house.person('Jonas'), { id: randomUUID(), ingredient });
    const { needed } = await ok<{ needed: number }>(report('milk'));
    expect(needed).toBeGreaterThan(1);
    const [note] = await lastWords(house.pool, await house.now());
    expect(note?.words).toMatch(/^Out of milk\. Needed for .+, first \w{3} \d\d:\d\d\.$/);
    expect(note?.by).toBe('Jonas');
    expect((await refusal(report('unobtainium'))).field).toBe('ingredient');
  });
});
