import { describe, expect, it } from 'vitest';
import { blankTyped, firstOdd, freshNight, situationOf, type TypedNight } from './typed-night';

const typed = (part: Partial<TypedNight> = {}) => situationOf({ ...freshNight('3'), ...part });
const dough = (part: Partial<ReturnType<typeof blankTyped>>) =>
  typed({ doughs: [blankTyped('3'), { ...blankTyped('4'), ...part }] });

describe('a practice night as it is typed', () => {
  it('is a quiet one until something is changed', () => {
    expect(typed()).toEqual({
      ...{ level: 2, opens: 180, hours: 5, thermometer: 0, places: [] },
      doughs: [
        {
          ...{ product: 3, pieces: 40, at: { kind: 'proof', nth: 1, minutes: 45 } },
          ...{ vigour: 1, warmer: 0, longer: 0, strength: 1, dueAfter: 45 },
        },
      ],
    });
  });

  it('takes a comma, a point, and either minus', () => {
    expect(typed({ thermometer: ' 1,5 ' }).thermometer).toBe(1.5);
    expect(typed({ thermometer: '-1.5' }).thermometer).toBe(-1.5);
    expect(typed({ thermometer: '−2' }).thermometer).toBe(-2);
    expect(dough({ rises: '72,5' }).doughs[1]?.vigour).toBeCloseTo(0.725);
  });

  it('has a place at fault where one was chosen', () => {
    expect(typed({ by: '4' }).places).toEqual([]);
    expect(typed({ place: 'proofer', by: '-8', from: '30', shown: true }).places).toEqual([
      { place: 'proofer', by: -8, from: 30, shown: true },
    ]);
  });

  it.each([
    ['opens', typed({ opens: 'half past' })],
    ['hours', typed({ hours: '' })],
    ['thermometer', typed({ thermometer: 'warm' })],
    ['places.0.by', typed({ place: 'oven', by: 'a lot' })],
    ['doughs.1.pieces', dough({ pieces: 'forty' })],
    ['doughs.1.minutes', dough({ minutes: '' })],
    ['doughs.1.vigour', dough({ rises: '1e' })],
  ])('says where something odd stands: %s', (field, situation) => {
    expect(firstOdd(situation)).toBe(field);
  });

  it('finds nothing odd in one that can be kept', () => {
    expect(firstOdd(typed())).toBeNull();
    expect(firstOdd(dough({ pieces: '12', minutes: '20' }))).toBeNull();
  });
});
