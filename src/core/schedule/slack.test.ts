import { describe, expect, it } from 'vitest';
import { did, forecastAt, MIN, smallDough } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import type { DoughRecord } from '../record/dough';
import type { FloorEvent } from '../record/events';
import { stepSlack } from './slack';

function dough(dueMinute: number, events: FloorEvent[]): DoughRecord {
  const { steps, links, kg, bowls } = smallDough();
  return {
    ...{ id: 1, name: 'Crescent 1', madeAt: 0, kg, bowls, links, events, lamination: null },
    outputs: [
      {
        id: 5,
        product: 'Crescent',
        pieces: 40,
        dueAt: dueMinute * MIN,
        freshFor: 60,
        piece: SMALL_PRODUCT.piece,
        allergens: [],
      },
    ],
    steps: steps.map((step) => ({ ...step, plannedStart: 0, plannedEnd: 0 })),
  };
}

const slackOf = (record: DoughRecord, minute: number) =>
  stepSlack(forecastAt(record, minute), record.outputs, minute * MIN);

// Mix 15, retard 480, lock-in 12, turn 8, rest 30, turn 8, sheet 10, shape 10, proof 60, load 3, bake 18, finish 5.
const SHORTEST = 659;

describe('the slack of a dough', () => {
  it('lets the first step start until the shortest way just keeps the promise', () => {
    expect(slackOf(dough(SHORTEST + 45, []), 0)?.get('mix')).toEqual({ from: 0, to: 45 * MIN });
  });

  it('is none when the promise is out of reach', () => {
    expect(slackOf(dough(SHORTEST - 1, []), 0)).toBeNull();
  });

  it('counts on from what has happened', () => {
    const mixed = [did('start', 'mix', 0), did('finish', 'mix', 20)];
    const slack = slackOf(dough(SHORTEST + 100, mixed), 100);
    expect(slack?.get('mix')).toBeUndefined();
    expect(slack?.get('lock-in')?.from).toBe((20 + 480) * MIN);
  });
});
