import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { HARD, Usage } from './usage';

const HORIZON = 120;
const { model, task } = modelOf(
  problemOf({
    horizon: HORIZON,
    resources: [
      {
        id: 'crew',
        capacity: [
          [0, 1],
          [40, 2],
          [90, 0],
        ],
      },
      { id: 'oven', capacity: [[0, 3]], changeover: 7 },
    ],
    tasks: [
      taskOf('hand', [10, 10, 10], [{ resource: 'crew', amount: 1 }]),
      taskOf('hot', [10, 10, 10], [{ resource: 'oven', amount: 2, setting: 185 }]),
      taskOf('mild', [10, 10, 10], [{ resource: 'oven', amount: 1, setting: 165 }]),
      taskOf(
        'both',
        [10, 10, 10],
        [
          { resource: 'crew', amount: 2 },
          { resource: 'oven', amount: 1 },
        ],
      ),
    ],
  }),
);
const anyPlace = fc
  .record({
    id: fc.constantFrom('hand', 'hot', 'mild', 'both'),
    start: fc.integer({ min: 0, max: HORIZON }),
    length: fc.integer({ min: 0, max: 40 }),
  })
  .map(({ id, start, length }) => ({ id, start, end: Math.min(HORIZON, start + length) }));

describe('what placed tasks hold', () => {
  it('comes out even when the same is added and removed, in any order', () => {
    fc.assert(
      fc.property(
        fc.array(anyPlace, { maxLength: 8 }),
        fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
        (places, keys) => {
          const usage = new Usage(model);
          let overload = 0;
          for (const { id, start, end } of places) {
            overload += usage.overloadOf(task(id), start, end);
            usage.add(task(id), start, end);
          }
          const order = places
            .map((place, i) => ({ place, key: keys[i] ?? 0 }))
            .sort((a, b) => a.key - b.key);
          for (const { place } of order) {
            usage.remove(task(place.id), place.start, place.end);
            overload -= usage.overloadOf(task(place.id), place.start, place.end);
          }
          expect(overload).toBe(0);
        },
      ),
    );
  });

  it('says the same by running sums as by counting minutes', () => {
    fc.assert(
      fc.property(fc.array(anyPlace, { maxLength: 5 }), anyPlace, (places, { id, start, end }) => {
        fc.pre(end > start);
        const usage = new Usage(model);
        for (const place of places) usage.add(task(place.id), place.start, place.end);
        const sums = { toStart: new Float64Array(HORIZON + 1), toEnd: new Float64Array(HORIZON + 1) };
        usage.fillSums(task(id), 0, HORIZON, 1, sums);
        const bySums = (sums.toEnd[end] as number) - (sums.toStart[start] as number);
        const asleep = task(id).uses.some(({ resource }) => resource === 0) && end > 90;
        // Nobody is there from minute 90 on: what no price buys is not counted.
        fc.pre(!asleep && !(id === 'both' && start < 40));
        expect(bySums).toBe(usage.overloadOf(task(id), start, end));
        const prices = new Float64Array(1);
        usage.addPrices(task(id), end - start, start, start, 1, prices, 0);
        expect(prices[0]).toBe(usage.overloadOf(task(id), start, end));
      }),
    );
  });

  it('counts two settings closer than the changeover as a clash, and none farther apart', () => {
    const usage = new Usage(model);
    usage.add(task('hot'), 20, 30);
    expect(usage.overloadOf(task('mild'), 36, 46)).toBeGreaterThan(0);
    expect(usage.overloadOf(task('mild'), 37, 47)).toBe(0);
    expect(usage.overloadOf(task('mild'), 3, 13)).toBe(0);
    expect(usage.overloadOf(task('mild'), 4, 14)).toBeGreaterThan(0);
  });

  it('holds nothing for no time', () => {
    const usage = new Usage(model);
    usage.add(task('hot'), 25, 25);
    expect(usage.overloadOf(task('mild'), 20, 30)).toBe(0);
  });

  it('knows what is over without taking it away', () => {
    fc.assert(
      fc.property(fc.array(anyPlace, { minLength: 1, maxLength: 6 }), (places) => {
        const usage = new Usage(model);
        for (const { id, start, end } of places) usage.add(task(id), start, end);
        for (const { id, start, end } of places) {
          const said = usage.isOver(task(id), start, end);
          usage.remove(task(id), start, end);
          expect(said).toBe(usage.overloadOf(task(id), start, end) > 0);
          usage.add(task(id), start, end);
        }
      }),
    );
  });

  it('lets no price buy what is fixed, or hours in which nobody is there', () => {
    const usage = new Usage(model);
    usage.fix(task('hand'), 10, 20);
    const price = (id: string, start: number) => {
      const out = new Float64Array(1);
      usage.addPrices(task(id), 10, start, start, 1, out, 0);
      return out[0] as number;
    };
    expect(price('hand', 15)).toBeGreaterThanOrEqual(HARD);
    expect(price('hand', 20)).toBe(0);
    expect(price('hand', 95)).toBeGreaterThanOrEqual(HARD);
    usage.fix(task('hot'), 50, 60);
    expect(price('mild', 63)).toBeGreaterThanOrEqual(HARD);
    expect(price('mild', 67)).toBe(0);
  });
});
