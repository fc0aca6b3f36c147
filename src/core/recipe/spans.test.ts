import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Mark } from './reading';
import { overlap, segments, split, trimmed } from './spans';

const TEXT = ' mix, knead ;rest ';
const words = (spans: readonly { from: number; to: number }[]) =>
  spans.map(({ from, to }) => TEXT.slice(from, to));

describe('parts of a text', () => {
  it('lose the blanks around them, and are empty where there is nothing else', () => {
    expect(words([trimmed(TEXT, { from: 0, to: 5 })])).toEqual(['mix,']);
    expect(trimmed('   ', { from: 0, to: 3 })).toEqual({ from: 3, to: 3 });
  });

  it('are split without empty ones', () => {
    expect(words(split(TEXT, { from: 0, to: TEXT.length }, /[,;]/gu))).toEqual(['mix', 'knead', 'rest']);
    expect(split(',,', { from: 0, to: 2 }, /,/gu)).toEqual([]);
  });

  it('overlap where they share a character, not where they only meet', () => {
    expect(overlap({ from: 0, to: 3 }, { from: 2, to: 5 })).toBe(true);
    expect(overlap({ from: 0, to: 3 }, { from: 3, to: 5 })).toBe(false);
  });

  it('are all of it together, however marks lie over one another', () => {
    const mark = fc
      .tuple(fc.nat(TEXT.length), fc.nat(TEXT.length))
      .map(([a, b]): Mark => ({ from: Math.min(a, b), to: Math.max(a, b), as: 'step' }));
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 8 }), (marks) => {
        const parts = segments(TEXT, marks);
        expect(words(parts).join('')).toBe(TEXT);
        for (const { from, as } of parts)
          expect(as !== null).toBe(marks.some((one) => one.from <= from && from < one.to));
      }),
    );
  });
});
