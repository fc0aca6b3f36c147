import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { MINUTE } from '@/core/time/local';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { houseBook } from '../../store/house-book';
import { people, staffing } from '../../store/house';
import { doughsDueFrom } from '../../store/doughs';
import { orderBook, thawsFor } from '../../store/orders';
import { addressOf, planCalendar } from '../../store/person-calendar';
import { runCommand } from '../run';

const ZONE = 'Europe/Berlin';
let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
let ida: Person;

beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas, ida] = [house.person('Mara'), house.person('Jonas'), house.person('Ida')];
}, 120_000);
afterAll(() => house.close());

const now = () => house.now();
const book = async () => orderBook(house.pool, await now());

describe('the house', () => {
  const week = (from: number, to: number) =>
    [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, startMinute: from, endMinute: to }));

  it('says what a change of shifts does to the plan before it is kept, and keeps it when told again', async () => {
    const before = (await houseBook(house.pool, await now())).people;
    const none = { personId: jonas.id, shifts: [] };
    const both = { personId: ida.id, shifts: [] };
    await ok(runCommand('save-shifts', mara, { ...none, sure: true }));
    const held = await refusal(runCommand('save-shifts', mara, both));
    expect(held.message).toMatch(
      /^This would cause problems: \d (person|people) short at (Thu|Fri) .*Nothing is saved yet/,
    );
    expect(held.offer).toMatchObject({ sure: true });
    const shiftsOf = async (person: Person) =>
      (await houseBook(house.pool, await now())).people.find(({ id }) => id === person.id)?.shifts.length;
    expect(await shiftsOf(ida)).toBe(7);
    await ok(runCommand('save-shifts', mara, { ...both, sure: true }));
    expect(await shiftsOf(ida)).toBe(0);
    for (const { id, shifts } of before.filter((one) => [jonas.id, ida.id].includes(one.id))) {
      const again = shifts.map(({ weekday, startMinute, endMinute }) => ({
        weekday,
        startMinute,
        endMinute,
      }));
      await ok(runCommand('save-shifts', mara, { personId: id, shifts: again }));
    }
  }, 60_000);

  it('asks whether a shift ends before it starts', async () => {
    const { message } = await refusal(
      runCommand('save-shifts', mara, { personId: jonas.id, shifts: week(14 * 60, 13 * 60) }),
    );
    expect(message).toMatch(/From 14:00 to 13:00 would be 23 h, into the next day/);
    const away = { kind: 'away', personId: jonas.id, machineId: null, units: null, note: '' };
    const answer = await refusal(
      runCommand('add-exception', mara, { ...away, start: '2026-11-24T14:00', end: '2026-11-24T06:00' }),
    );
    expect([answer.field, answer.message]).toEqual([
      'end',
      'It ends at Tue 06:00, before it starts at Tue 14:00.',
    ]);
  });

  it('knows a night across the change of the clocks, both ways', async () => {
    const nights = { personId: jonas.id, shifts: week(22 * 60, 6 * 60) };
    const back = (await houseBook(house.pool, await now())).people.find(({ id }) => id === jonas.id);
    await ok(runCommand('save-shifts', mara, { ...nights, sure: true }));
    const hours = async (from: string, to: string) => {
      const there = await staffing(house.pool, Date.parse(from), Date.parse(to), ZONE);
      return there
        .filter(({ personId }) => personId === jonas.id)
        .map(({ start, end }) => (end - start) / 60 / MINUTE);
    };
    expect(await hours('2026-10-24T14:00Z', '2026-10-25T12:00Z')).toEqual([9]);
    expect(await hours('2027-03-27T14:00Z', '2027-03-28T12:00Z')).toEqual([7]);
    const again = back?.shifts.map(({ weekday, startMinute, endMinute }) => ({
      weekday,
      startMinute,
      endMinute,
    }));
    await ok(runCommand('save-shifts', mara, { personId: jonas.id, shifts: again, sure: true }));
  });

  it('refuses a second machine of one name, a machine of nothing, and who may not', async () => {
    const oven = { id: 'oven', label: 'Proofer', capacity: 9, changeover: 15 };
    expect((await refusal(runCommand('save-machine', mara, oven))).message).toMatch(
      /already a machine called Proofer/,
    );
    expect(
      (await refusal(runCommand('save-machine', mara, { ...oven, label: 'Oven', capacity: 0 }))).field,
    ).toBe('capacity');
    expect((await refusal(runCommand('save-machine', jonas, { ...oven, label: 'Oven' }))).message).toMatch(
      /cannot/,
    );
  });

  it('tells that a smaller oven would hurt the plan', async () => {
    const { message } = await refusal(
      runCommand('save-machine', mara, { id: 'oven', label: 'Oven', capacity: 3, changeover: 15 }),
    );
    expect(message).toMatch(/Oven: \d trays short/);
  });

  it('takes people in and lets them go, but nobody out of their own rights', async () => {
    const lena = {
      id: null,
      name: 'Lena',
      role: 'baker',
      team: 'nights',
      pin: '8080',
      skills: ['bake'],
      active: true,
    };
    await ok(runCommand('save-person', mara, lena));
    const known = (await houseBook(house.pool, await now())).people.find(({ name }) => name === 'Lena');
    expect(known).toMatchObject({ skills: ['bake'], shifts: [] });
    expect((await refusal(runCommand('save-person', mara, lena))).message).toMatch(/already a Lena/);
    expect((await refusal(runCommand('save-person', mara, { ...lena, name: 'Max', pin: '12' }))).field).toBe(
      'pin',
    );
    await ok(runCommand('save-person', mara, { ...lena, id: known?.id, pin: '', active: false }));
    expect((await people(house.pool)).some(({ name }) => name === 'Lena')).toBe(false);
    const self = {
      ...lena,
      id: mara.id,
      name: 'Mara',
      role: 'planner',
      team: 'plan',
      pin: '',
      active: false,
    };
    expect((await refusal(runCommand('save-person', mara, self))).message).toMatch(/remove your own rights/);
  });
});

describe('orders', () => {
  const order = async (more: Record<string, unknown> = {}) => {
    const productId = (await book()).makers.find(({ name }) => name === 'Sugared bun')?.productId;
    return {
      clientId: randomUUID(),
      customer: 'Choir',
      productId,
      pieces: 24,
      due: '2026-11-24T09:00',
      ...more,
    };
  };

  it('of the demo are met by its doughs, but for those that have none yet', async () => {
    const { demand, proposals, taken } = await book();
    const friday = demand.filter(({ dueAt }) => dueAt < Date.parse('2026-11-21T00:00+01:00'));
    expect(friday.length).toBeGreaterThan(5);
    expect(friday.every(({ open, from }) => open === 0 && from.length > 0)).toBe(true);
    expect(proposals.length).toBeGreaterThan(3);
    expect(taken.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(54);
  });

  it('become demand once, are changed, and cancelled by 0', async () => {
    const one = await order();
    await ok(runCommand('add-order', mara, one));
    await ok(runCommand('add-order', mara, one));
    const own = async () => (await book()).demand.filter(({ customer }) => customer === 'Choir');
    expect((await own()).map(({ pieces }) => pieces)).toEqual([24]);
    const id = (await own())[0]?.source.id;
    await ok(runCommand('change-order', mara, { id, pieces: 30 }));
    expect((await own()).map(({ pieces }) => pieces)).toEqual([30]);
    await ok(runCommand('change-order', mara, { id, pieces: 0 }));
    expect(await own()).toEqual([]);
  });

  it.each([
    ['for yesterday', { due: '2026-11-18T09:00' }, /Wed 09:00 is in the past/],
    ['for a day that is none', { due: '2026-11-31T09:00' }, /does not exist/],
    ['of nothing', { pieces: 0 }, /at least 1 piece/],
    ['for nobody', { customer: ' ' }, /Enter the customer/],
    ['of something the house does not make', { productId: 999 }, /product (does not exist|no longer exists)/],
  ])('%s are refused', async (_, more, words) => {
    expect((await refusal(runCommand('add-order', mara, await order(more)))).message).toMatch(words);
  });

  it('of 10,000 crescents are proposed as many equal doughs', async () => {
    const crescent = (await book()).makers.find(({ name }) => name === 'Butter crescent')?.productId;
    await ok(
      runCommand(
        'add-order',
        mara,
        await order({ productId: crescent, pieces: 10_000, due: '2026-11-25T18:00' }),
      ),
    );
    const big = (await book()).proposals.filter(({ outputs }) => (outputs[0]?.pieces ?? 0) > 1000);
    expect(big.length).toBeGreaterThan(2);
    expect(big.reduce((sum, { outputs }) => sum + (outputs[0]?.pieces ?? 0), 0)).toBeGreaterThanOrEqual(
      10_000,
    );
  });

  it('from a file are taken all or not at all', async () => {
    const good = await order({ customer: 'File', due: '2026-11-24T10:00' });
    const bad = await order({ customer: 'File', due: '2026-11-01T10:00' });
    const own = async () => (await book()).demand.filter(({ customer }) => customer === 'File').length;
    expect((await refusal(runCommand('take-orders', mara, { orders: [good, bad] }))).message).toMatch(
      /in the past/,
    );
    expect(await own()).toBe(0);
    await ok(runCommand('take-orders', mara, { orders: [good] }));
    expect(await own()).toBe(1);
  });

  it('standing for a weekday rest on a closed day and change on one day only', async () => {
    const productId = (await order()).productId;
    const standing = { customer: 'Inn', productId, weekdays: [1, 2], dueMinute: 480, pieces: 12 };
    await ok(runCommand('save-standing', mara, standing));
    const own = async () => (await book()).demand.filter(({ customer }) => customer === 'Inn');
    expect((await own()).map(({ pieces }) => pieces)).toEqual([12, 12]);
    const { source } = (await own())[0] ?? {};
    if (source?.kind !== 'standing') throw new Error('a standing order was expected');
    await ok(runCommand('change-standing', mara, { id: source.id, day: source.day, pieces: 20 }));
    expect((await own()).map(({ pieces }) => pieces)).toEqual([20, 12]);
    await ok(runCommand('close-day', mara, { day: source.day, closed: true }));
    expect((await own()).map(({ pieces }) => pieces)).toEqual([12]);
    await ok(runCommand('close-day', mara, { day: source.day, closed: false }));
    await ok(runCommand('save-standing', mara, { ...standing, pieces: 0 }));
    expect(await own()).toEqual([]);
  });

  it('that no dough makes are taken out of the freezer in time, and the floor is told which', async () => {
    const shown = async () => thawsFor(house.pool, await doughsDueFrom(house.pool, await now()), await now());
    const before = await shown();
    const productId = (await book()).stock[0]?.productId;
    await ok(runCommand('add-order', mara, await order({ productId, pieces: 7, due: '2026-11-20T17:00' })));
    const more = (await shown()).filter((one) => !before.some(({ dueAt }) => dueAt === one.dueAt));
    expect(more).toMatchObject([{ productId, pieces: 7, dueAt: Date.parse('2026-11-20T17:00+01:00') }]);
    expect(more[0]?.product).toMatch(/crescent|roll/i);
  });

  it('are covered by what was taken out for them, which is called for no more and is no order’s twice', async () => {
    const shown = async () => thawsFor(house.pool, await doughsDueFrom(house.pool, await now()), await now());
    const due = Date.parse('2026-11-20T17:00+01:00');
    const [thaw] = (await shown()).filter(({ dueAt }) => dueAt === due);
    const before = await book();
    const stockOf = (of: typeof before) =>
      of.stock.find(({ productId }) => productId === thaw?.productId)?.amount ?? 0;
    const out = { productId: thaw?.productId, amount: -7, forDue: due };
    expect((await refusal(runCommand('move-stock', jonas, { ...out, amount: 7 }))).message).toMatch(
      /Only stock that is taken out/,
    );
    for (const forDue of ['soon', -1, 1e20, 1e15, 0.5])
      expect((await refusal(runCommand('move-stock', jonas, { ...out, forDue }))).message).toMatch(
        /Which order are they for/,
      );
    const past = { ...out, forDue: (await now()) - MINUTE };
    expect((await refusal(runCommand('move-stock', jonas, past))).message).toMatch(/already due/);
    expect(stockOf(await book())).toBe(stockOf(before));
    await ok(runCommand('move-stock', jonas, out));
    const after = await book();
    expect(stockOf(after)).toBe(stockOf(before) - 7);
    expect(after.demand.find(({ dueAt, pieces }) => dueAt === due && pieces === 7)).toMatchObject({
      ...{ thawed: 7, open: 0, productId: thaw?.productId },
    });
    expect((await shown()).filter(({ dueAt }) => dueAt === due)).toEqual([]);
    expect(after.proposals).toEqual(before.proposals);
  });

  it('take from the freezer no more than there is', async () => {
    const productId = (await book()).stock[0]?.productId;
    expect((await refusal(runCommand('move-stock', jonas, { productId, amount: -900 }))).message).toMatch(
      /only \d+ in the freezer/,
    );
    const { stock } = await ok<{ stock: number }>(runCommand('move-stock', jonas, { productId, amount: 10 }));
    expect(stock).toBeGreaterThan(10);
  });
});

describe('calendars', () => {
  it('of a person come in as times away, once, however often they are read', async () => {
    const start = Date.parse('2026-11-23T02:00:00+01:00');
    const busy = [{ source: 'u1 1', summary: 'course', start, end: start + 60 * MINUTE }];
    const input = { personId: jonas.id, machineId: null, busy, sure: true };
    await ok(runCommand('take-busy', mara, input));
    await ok(runCommand('take-busy', mara, { ...input, busy: [{ ...busy[0], end: start + 90 * MINUTE }] }));
    const own = (await houseBook(house.pool, await now())).exceptions.filter(({ note }) => note === 'course');
    expect(own).toMatchObject([{ kind: 'away', personId: jonas.id, start, end: start + 90 * MINUTE }]);
    expect((await refusal(runCommand('take-busy', mara, { ...input, machineId: 'oven' }))).message).toMatch(
      /one person or one machine/,
    );
  });

  it('go out at a private address that only its owner or a planner can make, and the newest one counts', async () => {
    const make = (person: Person, of: number | null) => runCommand('make-address', person, { personId: of });
    expect((await refusal(make(jonas, null))).message).toMatch(/somebody else’s work/);
    const first = (await ok<{ path: string }>(make(jonas, jonas.id))).path.split('/').at(-1) ?? '';
    const second = (await ok<{ path: string }>(make(jonas, jonas.id))).path.split('/').at(-1) ?? '';
    expect(await addressOf(house.pool, first)).toBeUndefined();
    expect(await addressOf(house.pool, second)).toEqual({ personId: jonas.id, language: 'en' });
    expect(await addressOf(house.pool, 'guessed')).toBeUndefined();
    const own = await planCalendar(house.pool, await now(), { personId: jonas.id, language: 'en' });
    const all = await planCalendar(house.pool, await now(), { personId: null, language: 'en' });
    const events = (text: string) => text.match(/BEGIN:VEVENT/g)?.length ?? 0;
    expect(events(own)).toBeGreaterThan(0);
    expect(events(own)).toBeLessThan(events(all));
    expect(own).toContain('NAME:Backhaus Lindenried: Jonas');
  });
});
