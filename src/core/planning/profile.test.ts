import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { Profile } from './profile';

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

describe('the profile of what is held', () => {
  it('comes out even when the same is added and removed, in any order', () => {
    fc.assert(
      fc.property(
        fc.array(anyPlace, { maxLength: 8 }),
        fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
        (places, keys) => {
          const profile = new Profile(model);
          let overload = 0;
          for (const { id, start, end } of places) {
            overload += profile.overloadOf(task(id), start, end);
            profile.add(task(id), start, end);
          }
          const order = places
            .map((place, i) => ({ place, key: keys[i] ?? 0 }))
            .sort((a, b) => a.key - b.key);
          for (const { place } of order) {
            profile.remove(task(place.id), place.start, place.end);
            overload -= profile.overloadOf(task(place.id), place.start, place.end);
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
        const profile = new Profile(model);
        for (const place of places) profile.add(task(place.id), place.start, place.end);
        const sums = { toStart: new Float64Array(HORIZON + 1), toEnd: new Float64Array(HORIZON + 1) };
        profile.fillOverload(task(id), 0, HORIZON, sums);
        const bySums = (sums.toEnd[end] as number) - (sums.toStart[start] as number);
        expect(bySums).toBe(profile.overloadOf(task(id), start, end));
      }),
    );
  });

  it('counts two settings closer than the changeover as a clash, and none farther apart', () => {
    const profile = new Profile(model);
    profile.add(task('hot'), 20, 30);
    expect(profile.overloadOf(task('mild'), 36, 46)).toBeGreaterThan(0);
    expect(profile.overloadOf(task('mild'), 37, 47)).toBe(0);
    expect(profile.overloadOf(task('mild'), 3, 13)).toBe(0);
    expect(profile.overloadOf(task('mild'), 4, 14)).toBeGreaterThan(0);
  });

  it('holds nothing for no time', () => {
    const profile = new Profile(model);
    profile.add(task('hot'), 25, 25);
    expect(profile.overloadOf(task('mild'), 20, 30)).toBe(0);
  });

  it('makes resented minutes dearer until they are forgiven', () => {
    const profile = new Profile(model);
    const sums = { toStart: new Float64Array(HORIZON + 1), toEnd: new Float64Array(HORIZON + 1) };
    const price = () => {
      profile.fillOverload(task('hand'), 0, HORIZON, sums);
      return (sums.toEnd[20] as number) - (sums.toStart[10] as number);
    };
    profile.resent(task('hand'), 10, 20, 0.5);
    expect(price()).toBeCloseTo(5);
    profile.forgive();
    expect(price()).toBe(0);
  });
});
