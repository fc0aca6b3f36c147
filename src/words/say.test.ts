import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC } from '@/core/units/reader';
import type { Messages } from './message';
import { ALL_MESSAGES, say } from '../../test-support/words';
import { sayer } from './say';
import { weekdays } from './weekdays';
import { coded } from '@/core/codes/coded';
import { asText, codedIn } from './as-text';

describe('words', () => {
  it('are said with their values, and in the numbers that they are about', () => {
    expect(say('oven.ofTraysIn', { trays: 3, capacity: 9 })).toBe('3 of 9 trays in');
    const of = (count: number) => say('house.takeBusyTimeTimes', { count });
    expect([of(1), of(2)]).toEqual(['Import 1 busy time', 'Import 2 busy times']);
  });

  it('make parts of a page of their tags, with the words between them', () => {
    const parts = say.parts<{ bold: unknown }>('bench.mark', {
      mark: 'milk',
      b: (words) => ({ bold: words }),
    });
    expect(parts).toEqual(['Mark: ', { bold: ['milk'] }]);
  });

  it('list what there are several of', () => {
    const decks = (...on: number[]) =>
      say.coded(coded('oven.onDecks', { count: on.length, decks: on.map(String) }));
    expect([decks(), decks(2), decks(1, 3), decks(1, 2, 3)]).toEqual([
      'no deck',
      'deck 2',
      'decks 1 and 3',
      'decks 1, 2 and 3',
    ]);
  });

  it('show quantities in the units of their reader', () => {
    const inches = sayer('en', JSON.parse(ALL_MESSAGES) as Messages, {
      units: {
        ...METRIC,
        temperature: 'F',
        length: 'in',
        mass: 'oz',
      },
    });
    const gap = coded('lamination.noSmallerGap', { gap: { mm: 25.4 } });
    expect(inches.coded(gap)).toBe('From 1 in on there is no smaller gap that keeps the reduction.');
    expect(say.coded(gap)).toBe('From 25.4 mm on there is no smaller gap that keeps the reduction.');
    expect(inches.coded(coded('lamination.aButterBlockIsBetween', { from: { mm: 3 }, to: { mm: 40 } }))).toBe(
      'A butter block is 0.12 in to 1.57 in thick.',
    );
    const core = coded('heat.coreAtIn', { celsius: { celsius: 6 }, duration: { minutes: 75 } });
    expect([say.coded(core), inches.coded(core)]).toEqual([
      'Core at 6 °C in 1 h 15 min.',
      'Core at 43 °F in 1 h 15 min.',
    ]);
    const cooler = coded('steps.cooler', { step: 'Proof', celsius: { difference: 4 } });
    expect([say.coded(cooler), inches.coded(cooler)]).toEqual(['Proof, 4 °C cooler', 'Proof, 7.2 °F cooler']);
  });

  it('have names within a line, of which only the first letter is made small', () => {
    const way = coded('waysOut.coolerRoom', { celsius: { difference: 4 } });
    expect(say.coded(coded('reasons.theWay', { dough: 'Crescent 1', way: { inLine: way } }))).toBe(
      'Crescent 1: proof 4 °C cooler',
    );
    expect(say.coded('Grandma’s own step')).toBe('Grandma’s own step');
  });

  it('name the days of a week from Monday on', () => {
    expect(weekdays('en', 'short')).toEqual(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
    expect(weekdays('en', 'long')[6]).toBe('Sunday');
  });
});

describe('a wording', () => {
  it('is said with its values, wordings among them', () => {
    const inner = coded('refusals.otherPlansAreBeingWorkedOut');
    expect(say.coded(inner)).toBe('Other plans are being calculated');
    expect(say.coded(coded('refusals.tryAgainInAMomentNothing', { part: inner }))).toBe(
      'Other plans are being calculated. Try again in a moment; nothing was changed.',
    );
  });

  it('goes as text through what knows no wordings, and comes back the same', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.oneof(fc.string(), fc.integer(), fc.boolean())), (values) => {
        const words = coded('refusals.hasPassedAlready', values);
        const text = asText(words);
        expect(text).not.toMatch(/[{}]/);
        expect(codedIn(text)).toEqual(JSON.parse(JSON.stringify(words)));
      }),
    );
    expect(codedIn('“name” is required')).toBeNull();
  });

  it('says so when it lacks a value', () => {
    expect(() => say.coded(coded('refusals.hasPassedAlready'))).toThrow('asks for time');
  });
});
