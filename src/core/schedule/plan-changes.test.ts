import { describe, expect, it } from 'vitest';
import { MINUTE } from '../time/local';
import type { DoughRecord } from '../record/dough';
import type { Person } from '../bakery/people';
import { planChanges } from './plan-changes';
import { undoable, type PlanVersion } from './plan-history';
import { waysFor, whoCouldCome } from './ways-out';
import { inEnglish } from '../../../test-support/words';

const at = (minute: number) => minute * MINUTE;

/** A dough with a hands-on step every hour. */
function dough(id: number, labels: string[]): DoughRecord {
  return {
    ...{
      id,
      name: `Dough ${id}`,
      madeAt: 0,
      kg: 5,
      bowls: 1,
      lamination: null,
      outputs: [],
      links: [],
      events: [],
    },
    steps: labels.map((label, i) => ({
      key: `${label}-${i}`,
      step: { id: label, kind: 'turn', label, around: 20, settling: 60, work: { fixed: 10, people: 1 } },
      ...{ label, outputId: null, load: null, min: 10, target: 10, max: 10, shortCost: 0, longCost: 0 },
      ...{ around: 20, settling: 60, uses: [{ resource: 'crew', amount: 1 }] },
      ...{ plannedStart: at(60 * i), plannedEnd: at(60 * i + 10) },
    })),
  };
}

describe('changes of a plan', () => {
  it('are told in one line where steps one after the other move alike', () => {
    const one = dough(1, ['a', 'b', 'c', 'd']);
    const moved = { 'b-1': [at(90), at(100)], 'c-2': [at(152), at(162)], 'd-3': [at(120), at(130)] } as const;
    const times = new Map([
      [1, Object.fromEntries(Object.entries(moved).map(([k, [s, e]]) => [k, [s, e] as [number, number]]))],
    ]);
    const lines = planChanges([one, dough(2, ['a'])], times, ({ name }) => `because of ${name}`);
    expect(inEnglish(lines.map(({ label, from, to, more }) => [label, from, to, more]))).toEqual([
      ['b', at(60), at(90), 0],
      ['d', at(180), at(120), 0],
      ['c', at(120), at(152), 0],
    ]);
    expect(lines[0]?.why).toBe('because of Dough 1');
    const alike = new Map([
      [1, { 'b-1': [at(90), at(100)] as [number, number], 'c-2': [at(152), at(162)] as [number, number] }],
    ]);
    expect(inEnglish(planChanges([one], alike, () => 'x'))).toMatchObject([{ label: 'b', more: 1 }]);
  });
});

describe('undo and redo', () => {
  const version = (id: number, act: PlanVersion['act'] = 'plan'): PlanVersion => {
    return { id, act, ofVersion: null, reason: `act ${id}` };
  };
  const ids = (...versions: PlanVersion[]) => {
    const { undo, redo } = undoable(versions);
    return [undo?.id ?? null, redo?.id ?? null];
  };

  it('go back and forth through the acts, and a new act ends what could be done again', () => {
    expect(ids()).toEqual([null, null]);
    expect(ids(version(1), version(2))).toEqual([2, null]);
    expect(ids(version(1), version(2), version(3, 'undo'))).toEqual([1, 2]);
    expect(ids(version(1), version(2), version(3, 'undo'), version(4, 'undo'))).toEqual([null, 1]);
    expect(ids(version(1), version(2), version(3, 'undo'), version(4, 'undo'), version(5, 'redo'))).toEqual([
      1, 2,
    ]);
    expect(ids(version(1), version(2), version(3, 'undo'), version(4))).toEqual([4, null]);
  });

  it('stop at what cannot be undone', () => {
    expect(ids(version(1), version(2, 'base'))).toEqual([null, null]);
    expect(ids(version(1), version(2, 'base'), version(3))).toEqual([3, null]);
  });
});

describe('ways out', () => {
  const person = (id: number): Person => ({ id, name: `P${id}`, role: 'baker', team: 'nights' });
  const there = (personId: number, from: number, to: number) => ({ personId, start: at(from), end: at(to) });

  it('ask who is not there and has the nearest shift', () => {
    const presences = [there(1, 0, 100), there(2, 100, 300), there(3, 400, 500)];
    const ask = (from: number, to: number) =>
      whoCouldCome([1, 2, 3].map(person), presences, { start: at(from), end: at(to) })?.id ?? null;
    expect(ask(310, 340)).toBe(2);
    expect(ask(370, 395)).toBe(3);
    expect(ask(150, 200)).toBe(1);
    expect(whoCouldCome([person(1)], presences, { start: at(50), end: at(60) })).toBeNull();
  });

  it('that a dough has depend on the steps it has left', () => {
    expect(waysFor(dough(1, ['a']), false)).toEqual(['later', 'frozen', 'hands', 'night']);
    const resting = dough(1, ['a', 'retard']);
    const [first, second] = resting.steps;
    if (!first || !second) throw new Error('two steps were made');
    second.step = { ...second.step, kind: 'retard' };
    expect(waysFor(resting, true)).toEqual(['later', 'frozen', 'hands', 'night', 'longer', 'unpin']);
  });
});
