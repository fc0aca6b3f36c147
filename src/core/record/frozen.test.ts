import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { promisesOf } from '../forecast/promises';
import { movedByRecord } from '../demand/stock';
import { plannedRecord } from '../../../test-support/floor';
import { eventOf } from './events';
import { piecesLeft } from './frozen';

const bag = (minute: number, pieces: number) =>
  did('bag', '5.1.shape', minute, { data: { kind: 'frozen', pieces } });
const undo = (id: string, minute: number) =>
  eventOf({
    ...{ id: 'undo1', doughId: 1, stepKey: '5.1.shape', kind: 'undo', at: minute * MIN, personId: 1 },
    ...{ celsius: null, text: null, undoes: id, data: null },
  });

describe('pieces that are bagged when they are shaped', () => {
  it('are promised to nobody any more, and in stock', () => {
    const { state } = plannedDough([bag(300, 15)]);
    expect(piecesLeft(state, { id: 5, pieces: 40 })).toBe(25);
    expect(movedByRecord(plannedRecord([bag(300, 15)]))).toEqual(new Map([[5, 15]]));
  });

  it('are as many as were said last, and none where that is taken back', () => {
    const first = bag(300, 15);
    expect(plannedDough([first, bag(310, 12)]).state.frozen.get(5)).toBe(12);
    expect(plannedDough([first, undo(first.id, 320)]).state.frozen.get(5)).toBeUndefined();
  });

  it('leave no promise where all are', () => {
    const record = plannedRecord([bag(300, 40)]);
    expect(promisesOf(plannedDough([bag(300, 40)]), record)).toEqual([]);
    expect(promisesOf(plannedDough([bag(300, 39)]), plannedRecord([bag(300, 39)]))).toHaveLength(1);
  });

  it('of an output that was to be frozen are the count, and take nothing from its promise twice', () => {
    const { state } = plannedDough([bag(300, 36)]);
    expect(piecesLeft(state, { id: 5, pieces: 40, way: 'to-freezer' })).toBe(40);
  });
});
