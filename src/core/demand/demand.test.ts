import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CUTTING } from '../../../test-support/rolling';
import { MINUTE, parseLocal } from '../time/local';
import { readOrdersCsv } from '../exchange/orders-csv';
import { assignSupply, type Supply } from './cover';
import { takeFrozen } from './stock';
import { demandBetween, type StandingOrder } from './orders';
import {
  makeTheSame,
  mergeDoughs,
  proposeDoughs,
  roomForFreezer,
  splitDough,
  withSpare,
  type Maker,
} from './propose';
import { inEnglish } from '../../../test-support/words';

const ZONE = 'Europe/Berlin';
const at = (text: string) => parseLocal(text, ZONE) as number;
const HOUR = 60 * MINUTE;

const maker = (productId: number, sharing: string, more: Partial<Maker> = {}): Maker => ({
  ...{ productId, name: `Product ${productId}`, sharing, mixed: 0.8, freshFor: 150, lead: 1200 },
  ...{ piece: { grams: 62, perTray: 15, scrap: 0.07 }, allergens: ['gluten', 'milk'] },
  ...more,
});
const nutty = maker(3, 'crescent', { allergens: ['gluten', 'milk', 'nuts'] });
const MAKERS = [maker(1, 'crescent'), maker(2, 'crescent'), nutty, maker(4, 'brioche')];
const MAKING = { bowlKg: 40, mostBowls: 3, apart: ['nuts'] as const, cutting: CUTTING };

const standing = (more: Partial<StandingOrder> = {}): StandingOrder => ({
  ...{ id: 1, customer: 'Shop', productId: 1, weekday: 6, dueMinute: 390, pieces: 90, changes: [] },
  ...more,
});
const WEEK = { from: at('2026-11-19T04:10'), to: at('2026-11-27T00:00'), zone: ZONE };

describe('demand', () => {
  it('follows the weekdays, changes of one day, cancellations and closed days', () => {
    const dues = (order: StandingOrder, closed: string[] = []) =>
      demandBetween([order], [], new Set(closed), WEEK).map(({ pieces, dueAt }) => [pieces, dueAt]);
    expect(dues(standing())).toEqual([[90, at('2026-11-21T06:30')]]);
    expect(dues(standing({ changes: [{ day: '2026-11-21', pieces: 120 }] }))).toEqual([
      [120, at('2026-11-21T06:30')],
    ]);
    expect(dues(standing({ changes: [{ day: '2026-11-21', pieces: 0 }] }))).toEqual([]);
    expect(dues(standing(), ['2026-11-21'])).toEqual([]);
  });

  it('keeps an order for a closed day that somebody gave all the same', () => {
    const single = { id: 7, customer: 'Club', productId: 1, dueAt: at('2026-11-21T09:00'), pieces: 12 };
    expect(demandBetween([standing()], [single], new Set(['2026-11-21']), WEEK)).toMatchObject([
      { pieces: 12 },
    ]);
  });

  it('is due at the same clock time when the clocks change', () => {
    const span = { from: at('2026-10-23T00:00'), to: at('2026-10-27T00:00'), zone: ZONE };
    const dues = [5, 6, 7, 1].map(
      (weekday) => demandBetween([standing({ weekday })], [], new Set(), span)[0]?.dueAt,
    );
    expect(dues).toEqual(['23', '24', '25', '26'].map((day) => at(`2026-10-${day}T06:30`)));
  });
});

describe('cover', () => {
  const made = (pieces: number, dueAt: number, freshFor = 150): Supply => {
    return {
      doughId: 1,
      dough: 'Crescent 1',
      productId: 1,
      pieces,
      dueAt,
      freshFor,
      mixAt: dueAt - 30 * HOUR,
    };
  };
  const want = (pieces: number, dueAt: number) => {
    return { source: { kind: 'single' as const, id: pieces }, customer: 'Shop', productId: 1, dueAt, pieces };
  };
  const noon = at('2026-11-21T12:00');

  it('gives fresh goods only, each piece once, and says what is open and what is left', () => {
    const { covered, left } = assignSupply(
      [want(30, noon), want(50, noon + HOUR), want(10, noon + 5 * HOUR)],
      [made(70, noon)],
    );
    expect(covered.map(({ open }) => open)).toEqual([0, 10, 10]);
    expect(left).toEqual([]);
    expect(covered[0]?.from).toMatchObject([{ dough: 'Crescent 1', pieces: 30, mixAt: noon - 30 * HOUR }]);
  });

  it('never gives more than there is, nor more than is wanted', () => {
    const pieces = fc.integer({ min: 1, max: 200 });
    const hours = fc.integer({ min: 0, max: 10 });
    fc.assert(
      fc.property(fc.array(fc.tuple(pieces, hours)), fc.array(fc.tuple(pieces, hours)), (wants, makes) => {
        const { covered, left } = assignSupply(
          wants.map(([n, h]) => want(n, noon + h * HOUR)),
          makes.map(([n, h]) => made(n, noon + h * HOUR)),
        );
        const sum = (numbers: number[]) => numbers.reduce((a, b) => a + b, 0);
        const given = sum(covered.flatMap(({ from }) => from.map((one) => one.pieces)));
        expect(given + sum(covered.map(({ open }) => open))).toBe(sum(wants.map(([n]) => n)));
        expect(given + sum(left.map((one) => one.pieces))).toBe(sum(makes.map(([n]) => n)));
      }),
    );
  });

  it('counts what thaws for an order before any dough, for that order and no other day’s', () => {
    const out = (pieces: number, dueAt: number) => ({ productId: 1, pieces, dueAt });
    const given = (wants: ReturnType<typeof want>[], thawed: ReturnType<typeof out>[], makes = 0) =>
      assignSupply(wants, makes > 0 ? [made(makes, noon)] : [], thawed).covered.map((one) => [
        one.thawed,
        one.open,
      ]);
    expect(given([want(30, noon)], [out(12, noon)])).toEqual([[12, 18]]);
    expect(given([want(30, noon)], [out(12, noon)], 30)).toEqual([[12, 0]]);
    // The order was moved by two hours; the pieces are out all the same.
    expect(given([want(30, noon + 2 * HOUR)], [out(12, noon)])).toEqual([[12, 18]]);
    expect(given([want(30, noon + 24 * HOUR)], [out(12, noon)])).toEqual([[0, 30]]);
    // An order before it that morning, for which nothing was taken out, does not get them first.
    expect(given([want(30, noon - 2 * HOUR), want(12, noon)], [out(12, noon)])).toEqual([
      [0, 30],
      [12, 0],
    ]);
    // More than is wanted goes on to the next order of that morning, and each piece is given once.
    expect(given([want(8, noon), want(10, noon + HOUR)], [out(12, noon)])).toEqual([
      [8, 0],
      [4, 6],
    ]);
    expect(given([{ ...want(30, noon), productId: 2 }], [out(12, noon)])).toEqual([[0, 30]]);
  });

  it('takes from the freezer what no dough makes, the earliest first', () => {
    const open = [
      { productId: 1, dueAt: noon + HOUR, open: 40 },
      { productId: 1, dueAt: noon, open: 20 },
      { productId: 2, dueAt: noon, open: 5 },
    ];
    const { open: rest, taken } = takeFrozen(open, new Map([[1, 30]]), noon - 8 * HOUR);
    expect(taken).toEqual([
      { productId: 1, pieces: 20, dueAt: noon },
      { productId: 1, pieces: 10, dueAt: noon + HOUR },
    ]);
    expect(rest.map((one) => one.open)).toEqual([0, 5, 30]);
    // What is due before they have thawed gets none.
    expect(takeFrozen(open, new Map([[1, 30]]), noon + 1).taken).toEqual([
      { productId: 1, pieces: 30, dueAt: noon + HOUR },
    ]);
  });
});

describe('proposed doughs', () => {
  const six = at('2026-11-21T06:30');
  const wants = (...lines: [productId: number, open: number, hours: number][]) =>
    lines.map(([productId, open, hours]) => ({ productId, open, dueAt: six + hours * HOUR }));
  const propose = (...lines: [number, number, number][]) => proposeDoughs(wants(...lines), MAKERS, MAKING);

  it('bring together what shares a dough in one morning, once for all customers of a product', () => {
    const [dough, ...others] = propose([1, 60, 0], [1, 30, 1], [2, 40, 2]);
    expect(others).toEqual([]);
    expect(dough?.outputs.map(({ pieces, dueAt }) => [pieces, dueAt])).toEqual([
      [90, six],
      [40, six + 2 * HOUR],
    ]);
    expect(dough).toMatchObject({ bowls: 1, waits: 60, changeUntil: six - 20 * HOUR });
  });

  it('keep other doughs, other days and allergens apart', () => {
    expect(propose([1, 60, 0], [4, 30, 0])).toHaveLength(2);
    expect(propose([1, 60, 0], [1, 60, 24])).toHaveLength(2);
    const doughs = propose([1, 60, 0], [3, 40, 0]);
    expect(doughs.map(({ apart }) => apart)).toEqual([[], ['nuts']]);
  });

  it('split what no bowls take into equal doughs, and lose no piece', () => {
    const doughs = propose([1, 10_000, 0]);
    expect(doughs.length).toBeGreaterThan(3);
    expect(doughs.every(({ bowls, fill }) => bowls <= MAKING.mostBowls && fill <= 1)).toBe(true);
    const pieces = doughs.map(({ outputs }) => outputs[0]?.pieces ?? 0);
    expect(pieces.reduce((a, b) => a + b)).toBe(10_000);
    expect(Math.max(...pieces) - Math.min(...pieces)).toBeLessThanOrEqual(1);
  });

  it('meet the whole demand, whatever it is', () => {
    const line = fc.tuple(
      fc.constantFrom(1, 2, 3, 4),
      fc.integer({ min: 1, max: 4000 }),
      fc.integer({ min: 0, max: 60 }),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const sum = (of: { productId: number; n: number }[], id: number) =>
          of.filter(({ productId }) => productId === id).reduce((a, { n }) => a + n, 0);
        const made = propose(...lines).flatMap(({ outputs }) =>
          outputs.map(({ productId, pieces }) => ({ productId, n: pieces })),
        );
        for (const id of [1, 2, 3, 4])
          expect(sum(made, id)).toBe(
            sum(
              lines.map(([productId, n]) => ({ productId, n })),
              id,
            ),
          );
      }),
    );
  });

  it('are merged and split by hand, with a sentence where they cannot be', () => {
    const [one, other] = propose([1, 60, 0], [2, 40, 8]);
    if (!one || !other) throw new Error('two doughs were to be proposed');
    const merged = mergeDoughs(one, other, MAKERS, MAKING);
    expect(inEnglish(merged)).toMatchObject({ outputs: [{ pieces: 60 }, { pieces: 40 }], bowls: 1 });
    if ('refused' in merged) return;
    expect(inEnglish(splitDough(merged, MAKERS, MAKING))).toMatchObject([
      { outputs: [{ pieces: 60 }] },
      { outputs: [{ pieces: 40 }] },
    ]);
    expect(inEnglish(splitDough(one, MAKERS, MAKING))).toMatchObject([
      { outputs: [{ pieces: 30 }] },
      { outputs: [{ pieces: 30 }] },
    ]);
    const [brioche] = propose([4, 10, 0]);
    const [nuts] = propose([3, 10, 0]);
    expect(inEnglish(brioche && mergeDoughs(one, brioche, MAKERS, MAKING))).toEqual({
      refused: 'Product 4 uses a different dough from Product 1.',
    });
    expect(inEnglish(nuts && mergeDoughs(one, nuts, MAKERS, MAKING))).toEqual({
      refused: 'nuts is made separately (allergens).',
    });
  });

  it('make the same however they are merged, split or filled up for the freezer, until an order changes', () => {
    const doughs = propose([1, 60, 0], [2, 40, 8], [4, 12, 0]);
    const [one, other, third] = doughs;
    if (!one || !other || !third) throw new Error('three doughs were to be proposed');
    const merged = mergeDoughs(one, other.outputs[0]?.productId === 2 ? other : third, MAKERS, MAKING);
    const halves = splitDough(one, MAKERS, MAKING);
    if ('refused' in halves) throw new Error(inEnglish(halves.refused));
    expect('refused' in merged).toBe(one.outputs[0]?.productId === 4);
    expect(makeTheSame(doughs, [...halves, other, third])).toBe(true);
    const spare = withSpare(one, { productId: one.outputs[0]?.productId ?? 0, pieces: 9 }, MAKERS, MAKING);
    expect(makeTheSame(doughs, [third, spare, other])).toBe(true);
    expect(makeTheSame(doughs, [one, other])).toBe(false);
    expect(makeTheSame(doughs, propose([1, 61, 0], [2, 40, 8], [4, 12, 0]))).toBe(false);
  });

  it('fill a roomy bowl for the freezer, up to what is missing there', () => {
    const [dough] = propose([1, 60, 0]);
    if (!dough) throw new Error('a dough was to be proposed');
    const room = roomForFreezer(dough, MAKERS, MAKING, () => 18);
    expect(room).toEqual({ productId: 1, pieces: 18 });
    expect(room && withSpare(dough, room, MAKERS, MAKING)).toMatchObject({
      outputs: [{ pieces: 78, spare: 18 }],
    });
    const [full] = propose([1, 600, 0]);
    expect(full && roomForFreezer(full, MAKERS, MAKING, () => 18)).toBeNull();
  });
});

describe('orders from a table', () => {
  const products = [{ id: 1, name: 'Butter crescent' }];
  const now = at('2026-11-19T04:10');
  const read = (text: string) => readOrdersCsv(text, products, { now, zone: ZONE });
  const HEAD = 'customer;product;pieces;day;time\n';

  it('are read whatever the order of columns and the separator', () => {
    expect(
      inEnglish(read('﻿day\ttime\tpieces\tproduct\tcustomer\n2026-11-22\t6:30\t48\tbutter CRESCENT\tShop\n')),
    ).toEqual({
      faults: [],
      orders: [
        {
          ...{ line: 2, customer: 'Shop', productId: 1, pieces: 48 },
          ...{ due: '2026-11-22T06:30', dueAt: at('2026-11-22T06:30') },
        },
      ],
    });
  });

  it('name every fault by its line and keep what is sound', () => {
    const { orders, faults } = read(
      `${HEAD}Shop;Butter crescent;48;2026-11-22;06:30\n;Butter crescent;48;2026-11-22;06:30\nShop;Pretzel;48;2026-11-22;06:30\nShop;Butter crescent;lots;2026-11-22;06:30\nShop;Butter crescent;48;2026-11-31;06:30\n\nShop;Butter crescent;48;2026-11-18;06:30\n`,
    );
    expect(orders.map(({ line }) => line)).toEqual([2]);
    expect(faults.map(({ line }) => line)).toEqual([3, 4, 5, 6, 8]);
    expect(faults.map(({ message }) => inEnglish(message)).join(' ')).toMatch(
      /customer is missing.*“Pretzel” is not one of your products.*“lots” is not a number.*not a day and time.*is in the past/,
    );
  });

  it('that are broken, empty, too long or in another encoding are refused in a sentence', () => {
    expect(inEnglish(read('who,what\n1,2\n').faults[0]?.message)).toMatch(/no “customer”, “product”/);
    expect(inEnglish(read(HEAD).faults[0]?.message)).toMatch(/no orders/);
    expect(inEnglish(read(`${HEAD}Caf\uFFFD;Butter crescent;1;2026-11-22;06:30`).faults[0]?.message)).toMatch(
      /not in UTF-8/,
    );
    expect(inEnglish(read('x'.repeat(2_000_001)).faults[0]?.message)).toMatch(/too long/);
    const many = read(HEAD + 'Shop;Butter crescent;1;2026-11-22;06:30\n'.repeat(1600));
    expect(inEnglish([many.orders.length, many.faults[0]?.message])).toEqual([
      1500,
      'Only 1500 orders can be imported at a time.',
    ]);
  });
});
