import { describe, expect, it } from 'vitest';
import { fillingPerPiece, overfull, type Filling } from './filling';
import { SHAPE_KINDS, SHAPES } from './shapes';
import { inEnglish } from '../../../test-support/words';

const poppy: Filling = {
  ...{ name: 'poppy filling', grams: 28, per: 'piece', limit: 35, bareEdge: 1 },
  ...{ moment: 'laid', where: 'in the middle' },
};
const cream: Filling = {
  ...poppy,
  name: 'almond cream',
  grams: 0.1,
  per: 'area',
  bareEdge: 2,
  moment: 'spread',
};

describe('a filling', () => {
  it('is grams a piece, or grams an area less its bare edge', () => {
    expect(fillingPerPiece(poppy, 144)).toBe(28);
    expect(fillingPerPiece(cream, 144)).toBeCloseTo(0.1 * 12 * 10, 9);
    expect(fillingPerPiece({ ...cream, bareEdge: 20 }, 144)).toBe(0);
  });

  it('that is too much for a piece is named', () => {
    expect(overfull(poppy, 144)).toBeNull();
    expect(inEnglish(overfull({ ...poppy, grams: 40 }, 144))).toBe(
      '40 g of poppy filling per piece: above 35 g it opens and leaks.',
    );
  });
});

describe('shapes', () => {
  it.each(SHAPE_KINDS)(
    '%s is shown in three steps or more, each said in words, with what goes wrong',
    (kind) => {
      const { steps, wrong } = SHAPES[kind];
      expect(steps.length).toBeGreaterThanOrEqual(3);
      expect(wrong.length).toBeGreaterThanOrEqual(2);
      for (const { drawing, words } of steps) {
        expect(drawing.says).toBe(words);
        expect(drawing.marks.length).toBeGreaterThan(0);
      }
    },
  );

  it('stay within their pictures', () => {
    for (const kind of SHAPE_KINDS) {
      for (const { drawing } of SHAPES[kind].steps) {
        const [left, top, width, height] = drawing.view;
        for (const mark of drawing.marks) {
          if (mark.kind !== 'area' && mark.kind !== 'line') continue;
          for (const [x, y] of mark.points) {
            expect(x).toBeGreaterThanOrEqual(left);
            expect(x).toBeLessThanOrEqual(left + width);
            expect(y).toBeGreaterThanOrEqual(top);
            expect(y).toBeLessThanOrEqual(top + height);
          }
        }
      }
    }
  });
});
