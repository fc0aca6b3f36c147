import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { effectiveEvents, lastActs, lastUndoable } from './undo';
import { eventOf, type FlatEvent, type FloorEvent } from './events';

const event = (part: Partial<FlatEvent>): FloorEvent =>
  eventOf({
    ...{
      id: 'e',
      doughId: 1,
      stepKey: 'mix',
      kind: 'start',
      at: 0,
      personId: 1,
      celsius: null,
      text: null,
      undoes: null,
      data: null,
    },
    ...part,
  });

const anyEvents = fc
  .uniqueArray(
    fc.record({
      id: fc.integer({ min: 0, max: 30 }).map((n) => `e${n}`),
      at: fc.integer({ min: 0, max: 20 }),
      kind: fc.constantFrom<FloorEvent['kind'][]>('start', 'finish', 'skip', 'undo', 'note'),
      undoes: fc.integer({ min: 0, max: 30 }).map((n) => `e${n}`),
    }),
    { selector: ({ id }) => id, maxLength: 20 },
  )
  .map((parts) => parts.map((part) => event({ ...part, undoes: part.kind === 'undo' ? part.undoes : null })));

describe('the events that count', () => {
  it('are the same in whatever order they arrive, and however often', () => {
    fc.assert(
      fc.property(anyEvents, fc.infiniteStream(fc.nat()), (events, draws) => {
        const shuffled = events
          .map((e) => ({ e, key: draws.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ e }) => e);
        expect(effectiveEvents([...shuffled, ...events])).toEqual(effectiveEvents(events));
      }),
    );
  });

  it('leave out what was undone', () => {
    const start = event({ id: 'a', at: 1 });
    expect(effectiveEvents([start, event({ id: 'b', kind: 'undo', at: 2, undoes: 'a' })])).toEqual([]);
  });

  it('leave out what was undone at the very same moment, also while the clock is paused', () => {
    const [start, undo] = [event({ id: 'z', at: 1 }), event({ id: 'a', kind: 'undo', at: 1, undoes: 'z' })];
    expect(effectiveEvents([start, undo])).toEqual([]);
    expect(effectiveEvents([start, undo, event({ id: '0', kind: 'undo', at: 1, undoes: 'a' })])).toEqual([
      start,
    ]);
  });

  it('bring back what was undone when the undo is undone', () => {
    const start = event({ id: 'a', at: 1 });
    const undo = event({ id: 'b', kind: 'undo', at: 2, undoes: 'a' });
    expect(effectiveEvents([start, undo, event({ id: 'c', kind: 'undo', at: 3, undoes: 'b' })])).toEqual([
      start,
    ]);
  });

  it('are not undone by what came before them', () => {
    const start = event({ id: 'a', at: 5 });
    expect(effectiveEvents([start, event({ id: 'b', kind: 'undo', at: 4, undoes: 'a' })])).toEqual([start]);
  });

  it('offer a person the last of their own to undo', () => {
    const events = [event({ id: 'a', at: 1, personId: 1 }), event({ id: 'b', at: 2, personId: 2 })];
    expect(lastUndoable(events, 1)?.id).toBe('a');
    expect(lastUndoable(events, 3)).toBeNull();
  });

  it('are the team’s last acts, the latest first, without what was taken back or is long ago', () => {
    const events = [
      event({ id: 'a', at: 1 }),
      event({ id: 'b', at: 5, personId: 2 }),
      event({ id: 'c', at: 9 }),
      event({ id: 'd', kind: 'undo', at: 10, undoes: 'b' }),
      event({ id: 'e', at: 9, personId: 3 }),
    ];
    const ids = (since: number, most: number) => lastActs(events, { since, most }).map(({ id }) => id);
    expect(ids(0, 9)).toEqual(['e', 'c', 'a']);
    expect(ids(2, 1)).toEqual(['e']);
    expect(ids(2, 9)).toEqual(['e', 'c']);
  });
});
