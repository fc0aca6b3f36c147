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

  it('are not baked with the rest: every later step of their load has fewer pieces, trays and places', () => {
    const load = (events: Parameters<typeof plannedDough>[0]) =>
      plannedDough(events).steps.find(({ key }) => key === '5.1.bake');
    const [whole, less] = [load([]), load([bag(300, 20)])];
    expect(whole?.load).toMatchObject({ pieces: 40, trays: 4 });
    expect(less?.load).toMatchObject({ pieces: 20, trays: 2 });
    const oven = (step: typeof whole) => step?.uses.find(({ setting }) => setting !== undefined)?.amount;
    expect([oven(whole), oven(less)]).toEqual([4, 2]);
    expect(load([bag(300, 20), bag(310, 0)])?.load).toMatchObject({ pieces: 40, trays: 4 });
  });

  it('end the way of a load that goes into the freezer as a whole, until that is taken back', () => {
    const all = bag(300, 40);
    const later = ['5.1.proof', '5.1.load', '5.1.bake', '5.1.finish'];
    const statuses = (events: Parameters<typeof plannedDough>[0]) => {
      const { state } = plannedDough(events);
      return later.map((key) => state.steps.get(key)?.status);
    };
    expect(statuses([all])).toEqual(later.map(() => 'skipped'));
    expect(plannedDough([all]).state.steps.get('5.1.shape')?.status).toBe('open');
    expect(statuses([all, undo(all.id, 320)])).toEqual(later.map(() => 'open'));
  });

  it('are found again where somebody said which trays they are on', () => {
    const told = did('bag', '5.1.shape', 300, {
      data: { kind: 'frozen', pieces: 15, where: 'trays 3 and 4' },
    });
    expect(plannedDough([told]).state.bagged.get('5.1.shape')).toEqual({
      pieces: 15,
      where: 'trays 3 and 4',
    });
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
