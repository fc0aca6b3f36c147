import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { inEnglish } from '../../../test-support/words';
import { eventOf, type FloorEvent } from './events';
import { lostOf } from './losses';

const lost = (
  minute: number,
  { output = null, pieces = null }: { output?: number | null; pieces?: number | null } = {},
): FloorEvent =>
  eventOf({
    ...{ id: `00000000-0000-7000-8000-0000000${10000 + minute}`, doughId: 1, stepKey: null, kind: 'lost' },
    ...{ at: minute * MIN, personId: 2, celsius: null, text: 'dropped', undoes: null },
    data: { kind: 'lost', output, pieces },
  });
const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];

describe('a dough that is lost', () => {
  it('ends: what was done stays done, and nothing of it is begun or waits any more', () => {
    const { state } = plannedDough([...mixed, lost(100)]);
    expect(state.finished).toBe(true);
    expect(state.steps.get('mix')?.status).toBe('done');
    const rest = [...state.steps.values()].filter(({ key }) => key !== 'mix');
    expect(rest.every(({ status, startable }) => status === 'skipped' && !startable)).toBe(true);
    const why = state.steps.get('retard')?.skipReason;
    expect(why && typeof why !== 'string' ? inEnglish(why) : why).toBe('lost: dropped');
    expect(state.losses).toMatchObject([{ output: null, pieces: null, why: 'dropped', personId: 2 }]);
  });

  it('in part goes on: one output ends, or only fewer pieces come of it', () => {
    const whole = plannedDough(mixed);
    const output = whole.steps.find(({ outputId }) => outputId !== null)?.outputId ?? 0;
    const own = whole.steps.filter(({ outputId }) => outputId === output);
    const ended = plannedDough([...mixed, lost(100, { output })]).state;
    expect(ended.steps.get('retard')?.status).toBe('running');
    expect(new Set(own.map(({ key }) => ended.steps.get(key)?.status))).toEqual(new Set(['skipped']));
    const fewer = plannedDough([...mixed, lost(100, { output, pieces: 8 })]).state;
    expect([...fewer.steps.values()].some(({ status }) => status === 'skipped')).toBe(false);
    expect(lostOf(fewer.losses, { id: output, pieces: 40 })).toBe(8);
  });

  it('is not lost when that is taken back', () => {
    const loss = lost(100);
    const undo = eventOf({
      ...{ id: '00000000-0000-7000-8000-000000099999', doughId: 1, stepKey: null, kind: 'undo' },
      ...{ at: 101 * MIN, personId: 2, celsius: null, text: null, undoes: loss.id, data: null },
    });
    const { state } = plannedDough([...mixed, loss, undo]);
    expect([state.losses, state.finished, state.steps.get('retard')?.status]).toEqual([[], false, 'running']);
  });

  it('loses no more pieces than there are', () => {
    const at = { at: 0, personId: 1, why: 'x' };
    const losses = [
      { ...at, output: 5, pieces: 30 },
      { ...at, output: 5, pieces: 30 },
      { ...at, output: 6, pieces: null },
    ];
    expect(lostOf(losses, { id: 5, pieces: 40 })).toBe(40);
    expect(lostOf(losses, { id: 6, pieces: 24 })).toBe(24);
    expect(lostOf(losses, { id: 7, pieces: 12 })).toBe(0);
  });
});
