import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMinutes, showMinutes } from './duration';

describe('a length of time in a field', () => {
  it.each([
    ['90', 90],
    ['90 min', 90],
    ['1 h 30', 90],
    ['1h30', 90],
    ['1,5 h', 90],
    ['1.5 hours', 90],
    ['½ h', 30],
    ['12 Std.', 720],
    ['2 days', 2880],
    ['2 d 3 h', 3060],
    ['0', 0],
  ])('%s is %d minutes', (text, minutes) => {
    expect(parseMinutes(text)).toBe(minutes);
  });

  it.each(['', 'soon', 'overnight', '1 h or so', '3 weeks', '-5', '1 h 30 °C'])('“%s” is none', (text) => {
    expect(parseMinutes(text)).toBeNull();
  });

  it('is read back as the same number', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), (minutes) => {
        expect(parseMinutes(showMinutes(minutes))).toBe(minutes);
      }),
    );
  });
});
