import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { dayOf } from '@/core/demand/orders';
import { write } from '../db/rows';
import { runCommand } from '../commands/run';
import { doughsDueFrom } from './doughs';
import { orderBook } from './orders';
import { keepPastOrders, pastOrders } from './past-orders';

let house: Awaited<ReturnType<typeof demoHouse>>;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  now = await house.now();
}, 240_000);
afterAll(() => house.close());

const later = (minutes: number) =>
  write(house.pool, 'UPDATE demo_clock SET shown_at = DATE_ADD(shown_at, INTERVAL ? MINUTE)', [minutes]);
const zone = 'Europe/Berlin';
const shortNow = async () => orderBook(house.pool, await house.now());

describe('orders that go short', () => {
  it('are those of a dough that is lost too late for another one: by customer, and told once', async () => {
    const before = await shortNow();
    // The demo week has an order that its planner took too late.
    expect(before.short.map(({ missing, order }) => [missing, order.customer])).toEqual([[0, 'Music club']]);
    const order = before.demand.find(({ from, dueAt }) => from.length > 0 && dueAt < now + 6 * 3_600_000);
    if (!order) throw new Error('Something is due this morning.');
    const [source] = order.from;
    const lost = uuidv7();
    await ok(
      runCommand('record-event', house.person('Jonas'), {
        ...{ id: lost, doughId: source?.doughId, stepKey: null, kind: 'lost', text: 'dropped' },
        data: { kind: 'lost', output: null, pieces: null },
      }),
    );
    const { short, told } = await shortNow();
    const own = short.find(
      (one) => one.order.source.id === order.source.id && one.order.dueAt === order.dueAt,
    );
    expect(own).toMatchObject({ missing: order.pieces, late: 0, order: { customer: order.customer } });
    expect(own?.missingBy).toBeGreaterThan(order.dueAt);
    expect(told).toEqual([]);

    const tell = {
      source: { kind: order.source.kind, id: order.source.id, day: dayOf(order.dueAt, zone) },
      ...{ missing: own?.missing, late: 0, lateUntil: null },
    };
    await ok(runCommand('mark-told', house.person('Ida'), tell));
    expect((await shortNow()).told).toMatchObject([
      { by: 'Ida', missing: order.pieces, source: tell.source },
    ]);
    await ok(runCommand('mark-told', house.person('Ida'), { ...tell, told: false }));
    expect((await shortNow()).told).toEqual([]);
    expect(
      (await refusal(runCommand('mark-told', house.person('Ida'), { ...tell, missing: -1 }))).message,
    ).toBeTruthy();
    expect(
      (await refusal(runCommand('mark-told', { ...house.person('Ida'), role: 'helper' }, tell))).message,
    ).toBeTruthy();

    await ok(
      runCommand('record-event', house.person('Jonas'), {
        ...{ id: uuidv7(), doughId: source?.doughId, stepKey: null, kind: 'undo', undoes: lost },
      }),
    );
    expect((await shortNow()).short).toEqual(before.short);
  });

  it('keep the dough that they were promised when it is baked a little later than it was due', async () => {
    const { demand } = await shortNow();
    const doughs = await doughsDueFrom(house.pool, now);
    const soon = demand.find(({ from }) =>
      from.some(({ doughId }) =>
        doughs.some(({ id, outputs }) => id === doughId && (outputs[0]?.dueAt ?? 0) < now + 6 * 3_600_000),
      ),
    );
    if (!soon) throw new Error('Something is due this morning.');
    // Between the dough's own due time and the order's.
    await later((soon.dueAt - now) / 60_000 - 5);
    const again = (await shortNow()).demand.find(
      ({ source, dueAt }) => source.id === soon.source.id && dueAt === soon.dueAt,
    );
    expect(again?.from).toEqual(soon.from);
  });
});

describe('orders of the past', () => {
  it('stay as they were, whatever becomes of the standing order, with what was delivered of them', async () => {
    await later(6 * 60);
    const at = await house.now();
    const first = await pastOrders(house.pool, at);
    expect(first.length).toBeGreaterThan(1);
    for (const { order, onTime, late, short } of first) {
      expect(order.dueAt).toBeLessThanOrEqual(at);
      expect(onTime + late + short).toBe(order.pieces);
    }
    await keepPastOrders(house.pool, at);
    // Kept again, nothing is there twice.
    await keepPastOrders(house.pool, at);
    await write(house.pool, 'UPDATE standing_order SET pieces = pieces + 500', []);
    const after = await pastOrders(house.pool, at);
    expect(after.map(({ order }) => order.pieces).sort()).toEqual(
      first.map(({ order }) => order.pieces).sort(),
    );
  });
});
