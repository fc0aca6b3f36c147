import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MINUTE } from '../time/local';
import { stockAfter, type StockMove, usableAt, withoutOldest } from './stock';

const DAY = 24 * 60 * MINUTE;
const KEEPS = { pieces: 30 * 24 * 60, 'cold-dough': 2 * 24 * 60, 'frozen-dough': 21 * 24 * 60 };
const move = (amount: number, day: number, more: Partial<StockMove> = {}): StockMove => ({
  ...{ item: 'p1', kind: 'pieces', amount, at: day * DAY, doughId: null },
  ...more,
});
const lotsOf = (...moves: StockMove[]) =>
  stockAfter(moves, KEEPS).map(({ item, kind, amount, lots }) => ({
    ...{ item, kind, amount },
    lots: lots.map((lot) => [lot.since / DAY, lot.amount]),
  }));

describe('what is in stock', () => {
  it('is what went in, the oldest out first', () => {
    expect(lotsOf(move(20, 1), move(30, 3), move(-25, 4))).toEqual([
      { item: 'p1', kind: 'pieces', amount: 25, lots: [[3, 25]] },
    ]);
    expect(lotsOf(move(20, 1), move(-20, 2))).toEqual([]);
  });

  it('is apart by item and by kind', () => {
    expect(
      lotsOf(move(10, 1), move(5, 1, { item: 'p2' }), move(900, 1, { item: 'd3.1', kind: 'cold-dough' })),
    ).toHaveLength(3);
  });

  it('has one lot of what one dough brought in and took back', () => {
    const own = { doughId: 7 };
    expect(lotsOf(move(12, 1), move(40, 2, own), move(-40, 3, own))).toEqual([
      { item: 'p1', kind: 'pieces', amount: 12, lots: [[1, 12]] },
    ]);
    expect(lotsOf(move(12, 1), move(40, 2, own), move(-10, 3, own))[0]?.lots).toEqual([
      [1, 12],
      [3, 30],
    ]);
  });

  it('keeps for as long as its kind does', () => {
    const [stock] = stockAfter(
      [
        move(500, 0, { kind: 'cold-dough', item: 'd1.0' }),
        move(700, 1, { kind: 'cold-dough', item: 'd1.0' }),
      ],
      KEEPS,
    );
    const lots = stock?.lots ?? [];
    expect([1, 2.5, 4].map((day) => usableAt(lots, day * DAY))).toEqual([1200, 700, 0]);
  });

  it('is never more than what went in, nor below nothing, whatever is counted out', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 30 }), (amounts) => {
        const stock = stockAfter(
          amounts.map((amount, day) => move(amount, day)),
          KEEPS,
        );
        const amount = stock[0]?.amount ?? 0;
        const wentIn = amounts.reduce((sum, one) => sum + Math.max(0, one), 0);
        expect(amount).toBeGreaterThanOrEqual(0);
        expect(amount).toBeLessThanOrEqual(wentIn);
        const left = withoutOldest(stock[0]?.lots ?? [], 10);
        expect(left.reduce((sum, lot) => sum + lot.amount, 0)).toBe(Math.max(0, amount - 10));
      }),
    );
  });
});
