import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIRM, Timing } from './timing';

interface Arc {
  from: number;
  to: number;
  lag: number;
  price: number;
}

const NODES = 3;
const LATEST = 6;

const priceOf = (arcs: readonly Arc[], times: readonly number[]): number =>
  arcs.reduce((sum, { from, to, lag, price }) => {
    const short = lag - ((times[to] as number) - (times[from] as number));
    return sum + Math.max(0, short) * (price === FIRM ? Infinity : price) || sum;
  }, 0);

/** The least price of any times, by trying all. */
function least(arcs: readonly Arc[]): number {
  let best = Infinity;
  for (let a = 0; a <= LATEST; a++)
    for (let b = 0; b <= LATEST; b++)
      for (let c = 0; c <= LATEST; c++) {
        const times = [a, b, c, 0];
        const broken = arcs.some(
          ({ from, to, lag, price }) =>
            price === FIRM && (times[to] as number) - (times[from] as number) < lag,
        );
        if (!broken) best = Math.min(best, priceOf(arcs, times));
      }
  return best;
}

/** All nodes between 0 and the latest minute. */
function windows(timing: Timing): Arc[] {
  const arcs = Array.from({ length: NODES }, (_, n) => [
    { from: NODES, to: n, lag: 0, price: FIRM },
    { from: n, to: NODES, lag: -LATEST, price: FIRM },
  ]).flat();
  for (const { from, to, lag, price } of arcs) timing.add(from, to, lag, price);
  return arcs;
}

const wish = fc
  .record({
    from: fc.nat(NODES),
    to: fc.nat(NODES),
    lag: fc.integer({ min: -5, max: 5 }),
    price: fc.integer({ min: 1, max: 9 }),
  })
  .filter(({ from, to }) => from !== to);
const order = wish.map((arc) => ({ ...arc, price: FIRM }));

describe('times for an order of work', () => {
  it('cost the least that any times do, as rules and wishes come', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(wish, wish, order), { maxLength: 9 }), (coming) => {
        const timing = new Timing(new Int32Array(NODES));
        const arcs = windows(timing);
        for (const arc of coming) {
          const mark = timing.mark();
          const cost = timing.cost;
          const wanted = least([...arcs, arc]);
          const made = timing.add(arc.from, arc.to, arc.lag, arc.price);
          expect(made < 0, 'refused only where there are no times').toBe(wanted === Infinity);
          if (made < 0) {
            timing.rollback(mark, cost);
            continue;
          }
          arcs.push(arc);
          expect(timing.cost).toBe(wanted);
          expect(priceOf(arcs, [...timing.times])).toBe(wanted);
        }
      }),
    );
  });

  it('fall into the best place again when an order goes', () => {
    fc.assert(
      fc.property(
        fc.array(wish, { maxLength: 5 }),
        fc.array(order, { minLength: 1, maxLength: 4 }),
        fc.nat(),
        (wishes, orders, pick) => {
          const timing = new Timing(new Int32Array(NODES));
          const arcs = windows(timing);
          for (const arc of wishes) {
            timing.add(arc.from, arc.to, arc.lag, arc.price);
            arcs.push(arc);
          }
          const kept: { arc: Arc; made: number }[] = [];
          for (const arc of orders) {
            const [mark, cost] = [timing.mark(), timing.cost];
            const made = timing.add(arc.from, arc.to, arc.lag, arc.price);
            if (made < 0) timing.rollback(mark, cost);
            else kept.push({ arc, made });
          }
          fc.pre(kept.length > 0);
          const [gone] = kept.splice(pick % kept.length, 1);
          if (gone) timing.remove(gone.made);
          const left = [...arcs, ...kept.map(({ arc }) => arc)];
          expect(timing.cost).toBe(least(left));
          expect(priceOf(left, [...timing.times])).toBe(timing.cost);
        },
      ),
    );
  });

  it('come back as they were', () => {
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 4 }), fc.array(order, { maxLength: 4 }), (wishes, orders) => {
        const timing = new Timing(new Int32Array(NODES));
        windows(timing);
        for (const { from, to, lag, price } of wishes) timing.add(from, to, lag, price);
        timing.commit();
        const [cost, times] = [timing.cost, [...timing.times]];
        const made = orders
          .map(({ from, to, lag, price }) => timing.add(from, to, lag, price))
          .filter((a) => a >= 0);
        if (made[0] !== undefined && made.length === orders.length) timing.remove(made[0]);
        timing.rollback(0, cost);
        expect([...timing.times]).toEqual(times);
        for (const { from, to, lag, price } of wishes)
          expect(timing.add(from, to, lag, price)).toBeGreaterThanOrEqual(0);
        expect(timing.cost).toBe(2 * cost);
      }),
    );
  });

  it('give up where an order would cost more than it may', () => {
    const timing = new Timing(new Int32Array(NODES));
    windows(timing);
    timing.add(0, NODES, 0, 4);
    timing.commit();
    expect(timing.add(NODES, 0, 3, FIRM, 11)).toBe(-1);
    timing.rollback(0, 0);
    expect(timing.add(NODES, 0, 3, FIRM, 12)).toBeGreaterThanOrEqual(0);
    expect(timing.cost).toBe(12);
  });
});
