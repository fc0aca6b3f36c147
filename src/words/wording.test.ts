import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { say } from '../../test-support/words';
import { weekdays } from './weekdays';
import { spoken, told, wording, wordingIn } from './wording';

describe('words', () => {
  it('are said with their values, and in the numbers that they are about', () => {
    expect(say('oven.ofTraysIn', { trays: 3, capacity: 9 })).toBe('3 of 9 trays in');
    const of = (count: number) => say('house.takeBusyTimeTimes', { count });
    expect([of(1), of(2)]).toEqual(['Take 1 busy time', 'Take 2 busy times']);
  });

  it('make parts of a page of their tags, with the words between them', () => {
    const parts = say.parts<{ bold: unknown }>('bench.wash', {
      name: 'milk',
      b: (words) => ({ bold: words }),
    });
    expect(parts).toEqual(['Wash: ', { bold: ['milk'] }]);
  });

  it('name the days of a week from Monday on', () => {
    expect(weekdays('en', 'short')).toEqual(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
    expect(weekdays('en', 'long')[6]).toBe('Sunday');
  });
});

describe('a wording', () => {
  it('is said with its values, wordings among them', () => {
    const inner = wording('refusals.otherPlansAreBeingWorkedOut');
    expect(spoken(say, inner)).toBe('Other plans are being worked out');
    expect(spoken(say, wording('refusals.tryAgainInAMomentNothing', { part: inner }))).toBe(
      'Other plans are being worked out. Try again in a moment; nothing was changed.',
    );
  });

  it('goes as text through what knows no wordings, and comes back the same', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.oneof(fc.string(), fc.integer(), fc.boolean())), (values) => {
        const words = wording('refusals.hasPassedAlready', values);
        const text = told(words);
        expect(text).not.toMatch(/[{}]/);
        expect(wordingIn(text)).toEqual(JSON.parse(JSON.stringify(words)));
      }),
    );
    expect(wordingIn('“name” is required')).toBeNull();
  });

  it('says so when it lacks a value', () => {
    expect(() => spoken(say, wording('refusals.hasPassedAlready'))).toThrow('asks for time');
  });
});
