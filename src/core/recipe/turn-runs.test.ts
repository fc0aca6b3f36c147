import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type RunStep, turnRuns } from './turn-runs';

const at = { from: 0, to: 1 };
const turn = (more: Partial<RunStep> = {}): RunStep => ({ kind: 'turn', fold: 'letter', ...at, ...more });
const rest = (minutes: number, more: Partial<RunStep> = {}): RunStep => ({
  ...{ kind: 'rest', ...at, minutes: [minutes, minutes] as const },
  ...more,
});
const again = (times: number): RunStep => ({ kind: 'turn', ...at, again: times });
const told = (...steps: RunStep[]) =>
  turnRuns(steps).map(({ kind, minutes }) => (kind === 'turn' ? 'turn' : (minutes?.[0] ?? kind)));

describe('turns counted out', () => {
  it('have the rest that is said of each after each', () => {
    expect(told(turn({ times: 3, isEach: true }), rest(45))).toEqual(['turn', 45, 'turn', 45, 'turn', 45]);
  });

  it('have it between them alone where that is said', () => {
    expect(told(turn({ times: 3, isEach: true, isBetween: true }), rest(45))).toEqual([
      ...['turn', 45, 'turn', 45, 'turn'],
    ]);
  });

  it('have one rest where they are given in a row', () => {
    expect(told(turn({ times: 2 }), rest(60))).toEqual(['turn', 'turn', 60]);
  });

  it('share the rest of a sentence where they are of two kinds', () => {
    const each = { isEach: true, isBetween: true };
    expect(told(turn(each), turn({ ...each, fold: 'book' }), rest(30))).toEqual(['turn', 30, 'turn']);
  });

  it('have another rest after the last', () => {
    expect(told(turn({ times: 2, isEach: true }), rest(30), rest(60, { isLast: true }))).toEqual([
      ...['turn', 30, 'turn', 60],
    ]);
    const between = turn({ times: 2, isEach: true, isBetween: true });
    expect(told(between, rest(30), rest(60, { isLast: true }))).toEqual(['turn', 30, 'turn', 60]);
  });

  it('are given again with their rest, and the last rest may be another', () => {
    expect(told(turn(), rest(20), again(2))).toEqual(['turn', 20, 'turn', 20, 'turn', 20]);
    expect(told(turn(), turn(), rest(30), again(1), rest(60))).toEqual([
      ...['turn', 'turn', 30, 'turn', 'turn', 60],
    ]);
  });

  it('are not given again where there were none', () => {
    expect(told({ kind: 'mix', ...at }, again(2))).toEqual(['mix']);
  });

  it('are as many as were said, whatever rests are said of them', () => {
    const groups = fc.array(
      fc.record({ times: fc.integer({ min: 1, max: 4 }), isEach: fc.boolean(), isBetween: fc.boolean() }),
      { maxLength: 5 },
    );
    fc.assert(
      fc.property(groups, (all) => {
        // A mix between them, so that no group is part of another.
        const steps = all.flatMap((group): RunStep[] => [turn(group), rest(30), { kind: 'mix', ...at }]);
        const turns = turnRuns(steps).filter(({ kind }) => kind === 'turn');
        expect(turns).toHaveLength(all.reduce((sum, { times }) => sum + times, 0));
      }),
    );
  });

  it('say nothing any more of how they were said', () => {
    const [first] = turnRuns([turn({ times: 2, isEach: true, isBetween: true, isLast: true })]);
    expect(first).toEqual({ kind: 'turn', fold: 'letter', ...at });
  });
});
