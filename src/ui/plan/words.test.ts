import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/record/events';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { localText } from '../kit/day-time';
import { matches, movable, outputWords, shiftWords, stateWords, whenWords } from './words';

const dough = (events: FloorEvent[], minute?: number) => plannedDough(events, 600, 40, minute);

describe('what is said of a dough', () => {
  it('names what it becomes', () => {
    const piece = { grams: 60, perTray: 10, scrap: 0 };
    const output = { id: 1, dueAt: 0, freshFor: 0, piece, allergens: [] };
    expect(
      outputWords(say, {
        outputs: [
          { ...output, product: 'Butter crescent', pieces: 120 },
          { ...output, product: 'Raisin snail', pieces: 40 },
          { ...output, product: 'Raisin snail', pieces: 20, way: 'to-freezer' as const },
        ],
      }),
    ).toBe('120 butter crescent, 40 raisin snail, 20 raisin snail to freeze');
  });

  it('is that it is late before anything else, that it is finished, or its turns', () => {
    expect(stateWords(say, dough([]), -10 * MIN)).toBe('');
    expect(stateWords(say, dough([], 42), 42 * MIN)).toBe('42 min late');
    const skipped = dough([]).steps.map(({ key }) => did('skip', key, 1));
    expect(stateWords(say, dough(skipped), 9000 * MIN)).toBe('finished');
    const turned = ['mix', 'butter', 'lock-in', 'turn-1'].flatMap((key) => [
      did('start', key, 1),
      did('finish', key, 2),
    ]);
    expect(stateWords(say, dough(turned), 3 * MIN)).toBe('turn 1 of 2 done');
  });

  it('says late of what should have begun', () => {
    expect([
      whenWords(say, { inMinutes: 25 }),
      whenWords(say, { inMinutes: -95 }),
      whenWords(say, { inMinutes: 0 }),
    ]).toEqual(['in 25 min', '1 h 35 min late', 'now']);
  });
});

describe('a time as it is typed', () => {
  it.each([
    ['6:30', '2026-11-21T06:30'],
    ['0630', '2026-11-21T06:30'],
    ['06.30', '2026-11-21T06:30'],
    [' 18h05 ', '2026-11-21T18:05'],
    ['noon', '2026-11-21Tnoon'],
  ])('%j goes to the house as %s', (time, text) => expect(localText({ day: '2026-11-21', time })).toBe(text));
});

describe('what a plan moves', () => {
  it('is told by how much a step moves', () => {
    expect(shiftWords(say, 0, 40 * MIN)).toBe('40 min later');
    expect(shiftWords(say, 120 * MIN, 0)).toBe('2 h earlier');
  });

  it('only hands-on steps that nobody has begun can be taken in the hand, in the order of the plan', () => {
    const begun = plannedDough([did('start', 'mix', 0)]);
    const keys = movable(begun).map(({ key }) => key);
    expect(keys).not.toContain('mix');
    expect(keys).not.toContain('retard');
    expect(movable(plannedDough([])).map(({ key }) => key)[0]).toBe('mix');
    const starts = movable(begun).map(({ plannedStart }) => plannedStart);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });

  it('is shown for the doughs whose name or product has the word that was typed', () => {
    const one = plannedDough([]);
    const output = {
      id: 1,
      dueAt: 0,
      freshFor: 0,
      pieces: 4,
      piece: { grams: 60, perTray: 10, scrap: 0 },
      allergens: [],
    };
    const outputs = [{ ...output, product: 'Raisin snail' }];
    expect(['', ' CRESC', 'snail', 'raisin s'].map((text) => matches(one, outputs, text))).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect(matches(one, outputs, 'danish')).toBe(false);
  });
});
