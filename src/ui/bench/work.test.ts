import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import { did } from '../../../test-support/floor';
import { laminatedDough, turned } from '../../../test-support/laminated';
import { blockInHand, otherWays, turnDone, turnDoneLabel, turnsAtOneGo } from './turn-acts';
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
    const { dough, step, state } = at(started, 1);
    expect(turnDoneLabel(say, dough, state)).toBe('Done');
    expect(turnDone(dough, step, state)).toEqual({ kind: 'finish' });
  });

  it('of several blocks is told block by block, and the last one ends it in the same breath', () => {
    const first = at(started, 2);
    expect(turnDoneLabel(say, first.dough, first.state)).toBe('Block A done');
    expect(turnDone(first.dough, first.step, first.state)).toEqual({
      kind: 'turn',
      data: { kind: 'turned', block: 1, folds: ['letter'], covers: 0, ends: false },
    });
    const second = at([...started, turned('turn-1', 110, { block: 1, ends: false })], 2);
    expect(blockInHand(second.dough, second.state)).toBe(2);
    expect(turnDone(second.dough, second.step, second.state)).toMatchObject({
      data: { block: 2, ends: true },
    });
    const both = at([...started, turned('turn-1', 110, {})], 2);
    expect(blockInHand(both.dough, both.state)).toBeNull();
  });

  it('given otherwise says which folds', () => {
    const { dough, step, state } = at(started, 1);
    expect(turnDone(dough, step, state, ['letter', 'half'])).toMatchObject({
      data: { block: null, folds: ['letter', 'half'], ends: true },
    });
    const next = dough.steps.find(({ key }) => key === 'turn-2') ?? step;
    expect(turnsAtOneGo(step, next)).toMatchObject({
      data: { folds: ['letter', 'letter'], covers: 1, ends: true },
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
