import { coded } from '../codes/coded';
import { describe, expect, it } from 'vitest';
import { did } from '../../../test-support/floor';
import { laminatedDough, turned, usualScheme } from '../../../test-support/laminated';
import type { FloorEvent } from './events';
import { blockName, blocksLeft, countTurns, foldsByScheme, foldsOf, turnMessage } from './turns';
import { inEnglish } from '../../../test-support/words';

const toButter = ['mix', 'butter', 'butter-out', 'lock-in'].flatMap((key, i) => [
  did('start', key, 20 * i),
  did('finish', key, 20 * i + 9),
]);
const turn = (nth: number, minute: number) => [
  did('start', `turn-${nth}`, minute),
  did('finish', `turn-${nth}`, minute + 9),
];
const after = (events: FloorEvent[], blocks = 1) =>
  laminatedDough([...toButter, ...events], 'Three letter folds', blocks);
const words = (events: FloorEvent[], blocks = 1) => {
  const { steps, state } = after(events, blocks);
  const count = countTurns(steps, state, blocks);
  return count && turnMessage(count);
};
const given = (events: FloorEvent[], block = 1, blocks = 1) => {
  const { steps, state } = after(events, blocks);
  return foldsOf(steps, state, block).given.map(({ fold }) => fold);
};

describe('the folds of a block', () => {
  it('are the scheme’s when a turn is finished without a word', () => {
    expect(given([...turn(1, 100)])).toEqual(['letter']);
    expect(inEnglish(words([...turn(1, 100)]))).toBe('turn 1 of 3 done');
  });

  it('are none before the first turn, and none of a turn that was left out', () => {
    expect(inEnglish(words([]))).toBe('no turn yet, 3 to do');
    const skipped = [...turn(1, 100), did('skip', 'turn-2', 200, { text: 'left out' })];
    expect(given(skipped)).toEqual(['letter']);
    expect(inEnglish(words(skipped))).toBe('turn 1 of 2 done, 1 left out');
  });

  it('are two when two turns were given at one go; the next turn and the rest between are over', () => {
    const both = [
      did('start', 'turn-1', 100),
      turned('turn-1', 112, { folds: ['letter', 'letter'], covers: 1 }),
    ];
    const { state, steps } = after(both);
    expect(state.steps.get('turn-1')?.status).toBe('done');
    expect(state.steps.get('turn-2')).toMatchObject({
      status: 'skipped',
      skipReason: coded('steps.givenWithTurn', { turn: 1 }),
    });
    expect(state.steps.get('rest-1')?.status).toBe('skipped');
    expect(state.steps.get('rest-2')?.status).toBe('running');
    expect(state.steps.get('turn-3')?.startable).toBe(true);
    expect(foldsOf(steps, state, 1).toCome).toHaveLength(1);
    expect(inEnglish(words(both))).toBe('turn 2 of 3 done');
  });

  it('are one more when the sheet went wide and was folded again, and the next turns are still to come', () => {
    const extra = [did('start', 'turn-1', 100), turned('turn-1', 110, { folds: ['letter', 'half'] })];
    expect(given(extra)).toEqual(['letter', 'half']);
    expect(inEnglish(words(extra))).toBe('turn 2 of 4 done, 1 more than planned');
  });

  it('are what was said last, where it was told wrong', () => {
    const extra = turned('turn-1', 110, { folds: ['letter', 'half'] });
    expect(given([did('start', 'turn-1', 100), extra, turned('turn-1', 130, { folds: ['letter'] })])).toEqual(
      ['letter'],
    );
    const undone = did('undo', 'turn-1', 140, { undoes: extra.id });
    expect(given([did('start', 'turn-1', 100), extra, undone])).toEqual([]);
  });

  it('are counted for each block by itself, and no turn is done before the last block has it', () => {
    const one = [did('start', 'turn-1', 100), turned('turn-1', 110, { block: 1, ends: false })];
    expect(given(one, 1, 2)).toEqual(['letter']);
    expect(given(one, 2, 2)).toEqual([]);
    expect(inEnglish(words(one, 2))).toBe('turn 1 of 3 under way, A 1, B 0');
    const two = [...one, turned('turn-1', 120, { block: 2 })];
    expect(after(two, 2).state.steps.get('turn-1')?.status).toBe('done');
    expect(inEnglish(words(two, 2))).toBe('turn 1 of 3 done');
  });

  it('stay in doubt for nobody: two tablets that finish the same turn count it once', () => {
    const events = [...turn(1, 100), did('finish', 'turn-1', 109), did('start', 'turn-1', 101)];
    expect(inEnglish(words(events))).toBe('turn 1 of 3 done');
  });

  it('of one block that had two turns in one go are waited for by the others, and it by nobody', () => {
    const double = [
      did('start', 'turn-1', 100),
      turned('turn-1', 110, { block: 2, folds: ['letter', 'letter'], covers: 1, ends: false }),
      turned('turn-1', 120, { block: 1 }),
    ];
    const left = (events: FloorEvent[], nth: number) =>
      blocksLeft(after(events, 2), { turn: nth, blocks: 2 });
    expect(left(double.slice(0, 2), 1)).toEqual([1]);
    expect(left(double, 2)).toEqual([1]);
    expect(left(double, 3)).toEqual([1, 2]);
    expect(given(double, 2, 2)).toEqual(['letter', 'letter']);
    expect(inEnglish(words(double, 2))).toBe('turn 1 of 3 done, A 1, B 2');
    const even = [...double, did('start', 'turn-2', 200), turned('turn-2', 210, { block: 1 })];
    expect(after(even, 2).state.steps.get('turn-2')?.status).toBe('done');
    expect(inEnglish(words(even, 2))).toBe('turn 2 of 3 done');
  });

  it('make a turn over that every block had in one go with the one before', () => {
    const both = [2, 1].map((block, i) =>
      turned('turn-1', 110 + i, { block, folds: ['letter', 'letter'], covers: 1, ends: i === 1 }),
    );
    const { state } = after([did('start', 'turn-1', 100), ...both], 2);
    expect(state.steps.get('turn-2')?.status).toBe('skipped');
    expect(state.steps.get('turn-3')?.startable).toBe(true);
    const first = after([did('start', 'turn-1', 100), ...both.slice(0, 1)], 2);
    expect(first.state.steps.get('turn-2')?.status).toBe('open');
  });

  it('end a turn with whichever block is the last, though no tablet knew of the others', () => {
    const told = [1, 2].map((block) => turned('turn-1', 110 + block, { block, ends: false }));
    const { state } = after([did('start', 'turn-1', 100), ...told], 2);
    expect(state.steps.get('turn-1')).toMatchObject({ status: 'done', finishedAt: 112 * 60_000 });
    expect(state.steps.get('rest-1')?.status).toBe('running');
    const one = after([did('start', 'turn-1', 100), ...told.slice(0, 1)], 2);
    expect(one.state.steps.get('turn-1')?.status).toBe('running');
  });

  it('cover no more turns than the scheme has', () => {
    const all = [
      ...turn(1, 100),
      ...turn(2, 200),
      did('start', 'turn-3', 300),
      turned('turn-3', 310, { folds: ['letter', 'letter'], covers: 2 }),
    ];
    const { state } = after(all);
    expect(state.steps.get('sheet')?.status).toBe('open');
    expect(state.steps.get('rest-3')?.status).toBe('running');
  });
});

describe('checks by hand', () => {
  it('put the next look off, and a good one takes that back', () => {
    const springs = did('check', 'rest-1', 130, {
      data: { kind: 'checked', check: 'spring', answer: 'springs', minutes: 15 },
    });
    const { state } = after([...turn(1, 100), springs]);
    expect(state.steps.get('rest-1')?.notBefore).toBe((130 + 15) * 60_000);
    const good = did('check', 'rest-1', 150, {
      data: { kind: 'checked', check: 'spring', answer: 'good', minutes: 0 },
    });
    expect(after([...turn(1, 100), springs, good]).state.steps.get('rest-1')?.notBefore).toBeNull();
  });
});

it('blocks are called by letters', () => {
  expect([1, 2, 26].map(blockName)).toEqual(['A', 'B', 'Z']);
});

describe('the folds of a dough that was kept', () => {
  it('are all of its scheme: it has no turns of its own, and nothing is to come', () => {
    const { steps, state } = after([]);
    const scheme = usualScheme('Three letter folds');
    const rolled = steps.filter(({ step }) => step.turn === undefined);
    const kept = foldsByScheme({ steps: rolled, state }, scheme, 1);
    expect(kept.given.map(({ fold, turn: nth }) => [fold, nth])).toEqual([
      ['letter', 1],
      ['letter', 2],
      ['letter', 3],
    ]);
    expect(kept.toCome).toEqual([]);
    // One that has turns of its own is counted by what was recorded.
    expect(foldsByScheme({ steps, state }, scheme, 1)).toEqual(foldsOf(steps, state, 1));
  });
});
