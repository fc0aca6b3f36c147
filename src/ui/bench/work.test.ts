import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import { did } from '../../../test-support/floor';
import { laminatedDough, turned } from '../../../test-support/laminated';
import { otherWays, turnDone, turnDoneLabel, turnsAtOneGo, waitingBlocks } from './turn-acts';
import { checkWords, lastMeasured, restCheckButtons } from './rest-words';

const started = [did('start', 'turn-1', 100)];

function at(events: typeof started, blocks: number) {
  const dough = laminatedDough(events, 'Three letter folds', blocks);
  const step = dough.steps.find(({ key }) => key === 'turn-1');
  const state = dough.state.steps.get('turn-1');
  if (!step || !state) throw new Error('There is a first turn.');
  return { dough, step, state };
}

describe('the end of a turn', () => {
  it('of a single block is the end of its step', () => {
    const { dough, step } = at(started, 1);
    expect(turnDoneLabel(say, dough, step)).toBe('Done');
    expect(turnDone(dough, step)).toEqual({ kind: 'finish' });
  });

  it('of several blocks is told block by block, and the last one ends it in the same breath', () => {
    const first = at(started, 2);
    expect(turnDoneLabel(say, first.dough, first.step)).toBe('Block A done');
    expect(turnDone(first.dough, first.step)).toEqual({
      kind: 'turn',
      data: { kind: 'turned', block: 1, folds: ['letter'], covers: 0, ends: false },
    });
    const second = at([...started, turned('turn-1', 110, { block: 1, ends: false })], 2);
    expect(waitingBlocks(second.dough, second.step)).toEqual([2]);
    expect(turnDone(second.dough, second.step)).toMatchObject({
      data: { block: 2, ends: true },
    });
    const both = at([...started, turned('turn-1', 110, {})], 2);
    expect(waitingBlocks(both.dough, both.step)).toEqual([]);
  });

  it('is recorded in any order of blocks, and ends with whichever is the last', () => {
    const fresh = at(started, 3);
    expect(turnDoneLabel(say, fresh.dough, fresh.step, 3)).toBe('Block C done');
    expect(turnDone(fresh.dough, fresh.step, { block: 3 })).toMatchObject({
      data: { block: 3, ends: false },
    });
    const one = at(
      [
        ...started,
        turned('turn-1', 110, { block: 3, ends: false }),
        turned('turn-1', 120, { block: 1, ends: false }),
      ],
      3,
    );
    expect(turnDone(one.dough, one.step)).toMatchObject({ data: { block: 2, ends: true } });
  });

  it('is only the end of the step where every block has had it, told on several tablets at once', () => {
    const told = [1, 2].map((block) => turned('turn-1', 110 + block, { block, ends: false }));
    const { dough, step } = at([...started, ...told], 2);
    expect(turnDone(dough, step)).toEqual({ kind: 'finish' });
    expect(turnDoneLabel(say, dough, step)).toBe('Done');
  });

  it('given otherwise says which folds', () => {
    const { dough, step } = at(started, 1);
    expect(turnDone(dough, step, { folds: ['letter', 'half'] })).toMatchObject({
      data: { block: null, folds: ['letter', 'half'], ends: true },
    });
    const next = dough.steps.find(({ key }) => key === 'turn-2') ?? step;
    expect(turnsAtOneGo(dough, step, next)).toMatchObject({
      data: { block: null, folds: ['letter', 'letter'], covers: 1, ends: true },
    });
    const blocks = at(started, 2);
    expect(turnsAtOneGo(blocks.dough, blocks.step, next, 2)).toMatchObject({
      data: { block: 2, folds: ['letter', 'letter'], covers: 1, ends: false },
    });
  });

  it('offers one fold too many and other folds, each once', () => {
    const ways = otherWays(say, 'letter');
    expect(ways.map(({ folds }) => folds.join('+'))).toEqual([
      ...['letter+letter', 'letter+half', 'letter+book', 'half', 'book'],
    ]);
    expect(new Set(ways.map(({ label }) => label)).size).toBe(ways.length);
  });
});

describe('a rest', () => {
  const rest = (events: typeof started) => {
    const dough = laminatedDough(events);
    const step = dough.steps.find(({ key }) => key === 'rest-1');
    if (!step) throw new Error('There is a rest.');
    return lastMeasured(dough, step);
  };

  it('starts from what was measured last in the block, else from what comes off a sheeter', () => {
    expect(rest([])).toBe(14);
    expect(rest([did('temperature', 'lock-in', 90, { celsius: 6 })])).toBe(6);
    expect(
      rest([
        did('temperature', 'lock-in', 90, { celsius: 6 }),
        did('temperature', 'turn-1', 100, { celsius: 11 }),
      ]),
    ).toBe(11);
    expect(rest([did('temperature', 'turn-2', 200, { celsius: 20 })])).toBe(14);
  });

  it('is checked by three answers, the first of which is good', () => {
    for (const isButter of [true, false]) {
      const [good, ...bad] = restCheckButtons(say, isButter, null);
      expect(good?.data).toMatchObject({ answer: 'good', minutes: 0 });
      expect(bad.every(({ data }) => data.minutes > 0)).toBe(true);
    }
    expect(restCheckButtons(say, true, 22)[2]?.data.minutes).toBe(22);
  });

  it('says what a check found', () => {
    expect(checkWords(say, { kind: 'checked', check: 'bend', answer: 'snaps', minutes: 5 })).toBe(
      'bend: snaps, again in 5 min',
    );
    expect(checkWords(say, { kind: 'checked', check: 'spring', answer: 'good', minutes: 0 })).toBe(
      'press: good',
    );
  });
});
