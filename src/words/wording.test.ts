import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { say } from '../../test-support/words';
import { spoken, told, wording, wordingIn } from './wording';

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
