import { describe, expect, it } from 'vitest';
import { parseLocal } from '../time/local';
import type { OrderWithSources } from './cover';
import { delivered, type Made } from './delivered';
import { type Makings, shortages, supplyKey, toldOf } from './short';

const at = (text: string) => parseLocal(`2026-11-21T${text}`, 'Europe/Berlin') as number;
const order = (pieces: number, due: string, more: Partial<OrderWithSources> = {}): OrderWithSources => ({
  ...{ source: { kind: 'single', id: 4 }, customer: 'Choir', productId: 1, pieces, dueAt: at(due) },
  ...{ open: 0, from: [], thawed: 0 },
  ...more,
});
const from = (pieces: number) => [{ doughId: 7, dough: 'Crescent 7', pieces, mixAt: 0 }];
const making = (more: Partial<Makings> = {}): Makings => ({
  ...{ makers: [{ productId: 1, lead: 180 }], readyAt: new Map(), left: [] },
  ...more,
});

describe('an order goes short', () => {
  it('where nothing makes it and it can no longer be made in time, and not before that', () => {
    const open = order(30, '08:00', { open: 12 });
    expect(shortages([open], making(), at('05:00'))).toEqual([]);
    expect(shortages([open], making(), at('05:30'))).toMatchObject([
      {
        missing: 12,
        missingBy: at('08:30'),
        late: 0,
        lateUntil: null,
        order: { customer: 'Choir', pieces: 30 },
      },
    ]);
    expect(shortages([open], making({ makers: [] }), at('01:00'))).toMatchObject([
      { missing: 12, missingBy: null },
    ]);
  });

  it('where its dough is forecast to be ready after it, by more than the van waits', () => {
    const readyAt = (time: string) => making({ readyAt: new Map([[supplyKey(7, 1), at(time)]]) });
    const whole = order(30, '08:00', { from: from(30) });
    expect(shortages([whole], readyAt('08:15'), at('05:00'))).toEqual([]);
    expect(shortages([whole], readyAt('09:10'), at('05:00'))).toMatchObject([
      { missing: 0, late: 30, lateUntil: at('09:10') },
    ]);
  });

  it('and is offered what is over by then, of another product, the most first and no more than is short', () => {
    const left = [
      { productId: 2, pieces: 5, dueAt: at('07:00'), freshFor: 150 },
      { productId: 3, pieces: 40, dueAt: at('07:30'), freshFor: 150 },
      { productId: 4, pieces: 9, dueAt: at('07:30'), freshFor: 150 },
      { productId: 5, pieces: 90, dueAt: at('08:01'), freshFor: 150 },
      { productId: 1, pieces: 90, dueAt: at('07:00'), freshFor: 150 },
      // Stale by eight.
      { productId: 6, pieces: 90, dueAt: at('05:00'), freshFor: 150 },
    ];
    const [one] = shortages([order(30, '08:00', { open: 12 })], making({ left }), at('07:00'));
    expect(one?.instead).toEqual([
      { productId: 3, pieces: 12 },
      { productId: 4, pieces: 9 },
    ]);
  });

  it('is told once, and again only when it has become worse', () => {
    const told = {
      ...{
        source: { kind: 'single' as const, id: 4, day: '2026-11-21' },
        missing: 12,
        late: 0,
        lateUntil: null,
      },
      ...{ by: 'Ida', at: 0 },
    };
    const short = (missing: number, late = 0, lateUntil: number | null = null) => ({
      ...{ order: order(30, '08:00'), missing, missingBy: null, late, lateUntil, instead: [] },
    });
    const isTold = (one: ReturnType<typeof short>, day = '2026-11-21') => toldOf(one, [told], day) !== null;
    expect([isTold(short(12)), isTold(short(8)), isTold(short(13))]).toEqual([true, true, false]);
    expect([isTold(short(6, 6, at('09:00'))), isTold(short(12, 3, at('09:00')))]).toEqual([true, false]);
    expect(isTold(short(12), '2026-11-22')).toBe(false);
  });
});

describe('an order of the past', () => {
  const made = (pieces: number, ready: string, more: Partial<Made> = {}): Made => ({
    ...{ doughId: 7, dough: 'Crescent 7', productId: 1, pieces, freshFor: 180, readyAt: at(ready) },
    isUnrecorded: false,
    ...more,
  });
  const past = (pieces: number, due: string) => ({
    ...{ source: { kind: 'single' as const, id: 4 }, customer: 'Choir', productId: 1 },
    ...{ pieces, dueAt: at(due) },
  });

  it('was delivered by what was ready in time, late by what came after, and short by the rest', () => {
    const [one] = delivered([past(30, '06:30')], [made(18, '06:20'), made(8, '07:40', { doughId: 8 })]);
    expect(one).toMatchObject({ onTime: 18, late: 8, lateAt: at('07:40'), short: 4, isUnrecorded: false });
  });

  it('takes from each dough no more than it made, in the order of time', () => {
    const orders = [past(20, '06:30'), { ...past(20, '07:00'), source: { kind: 'single' as const, id: 5 } }];
    expect(delivered(orders, [made(30, '06:20')]).map(({ onTime, short }) => [onTime, short])).toEqual([
      [20, 0],
      [10, 10],
    ]);
  });

  it('was no delivery where the goods came hours later, or were stale', () => {
    expect(delivered([past(30, '06:30')], [made(30, '12:31')])).toMatchObject([
      { onTime: 0, late: 0, short: 30 },
    ]);
    expect(delivered([past(30, '11:30')], [made(30, '06:00')])).toMatchObject([{ short: 30 }]);
  });

  it('counts what came out of the freezer for it, and says where nobody recorded', () => {
    const thawed = [{ productId: 1, pieces: 10, dueAt: at('06:30') }];
    expect(delivered([past(30, '06:30')], [made(20, '06:20', { isUnrecorded: true })], thawed)).toMatchObject(
      [{ onTime: 30, short: 0, isUnrecorded: true }],
    );
  });
});
