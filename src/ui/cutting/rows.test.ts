import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import { PIECE_SHAPES } from '@/core/cutting/piece';
import { METRIC } from '@/core/units/reader';
import { readRow, rowOf, tooLarge, type CutRow } from './rows';

const INCHES = { ...METRIC, length: 'in' as const };
const row: CutRow = {
  ...{ name: 'crescents', shape: 'triangle', base: '10.5 cm', height: '27 cm', sectors: '8' },
  ...{ most: '36', target: '62 g', perTray: '15' },
};

describe('a piece as it is typed', () => {
  it('is read with what is wanted of it', () => {
    expect(readRow(say, row, METRIC)).toEqual({
      wanted: { size: { shape: 'triangle', base: 10.5, height: 27 }, most: 36 },
      ...{ target: 62, perTray: 15 },
    });
    expect(readRow(say, { ...row, most: '', target: '', perTray: '' }, METRIC)).toMatchObject({
      wanted: { most: null },
      ...{ target: null, perTray: null },
    });
  });

  it('may be in inches with fractions, and bare numbers are the reader’s own', () => {
    const read = readRow(say, { ...row, base: '4 1/8 in', height: '9 1/2' }, INCHES);
    expect(typeof read === 'string' ? read : read.wanted.size.base).toBeCloseTo(10.4775, 4);
    expect(typeof read === 'string' ? read : read.wanted.size.height).toBeCloseTo(24.13, 4);
  });

  it.each<[Partial<CutRow>, RegExp]>([
    [{ base: '' }, /Enter the base as a length/],
    [{ height: 'tall' }, /Enter the height as a length/],
    [{ base: '0' }, /Enter the base as a length/],
    [{ most: '3.5' }, /whole number/],
    [{ most: '-2' }, /whole number/],
    [{ perTray: 'many' }, /whole number of pieces per tray/],
    [{ target: 'heavy' }, /62 g or 2.2 oz/],
    [{ shape: 'sector', sectors: '0' }, /1 to 64 sectors/],
    [{ shape: 'sector', sectors: '' }, /1 to 64 sectors/],
  ])('with %o is refused', (change, words) =>
    expect(readRow(say, { ...row, ...change }, METRIC)).toMatch(words),
  );

  it('of every shape goes into a row and comes back', () => {
    for (const shape of PIECE_SHAPES) {
      const size = { shape, base: 12, height: shape === 'square' || shape === 'sector' ? 0 : 20, sectors: 6 };
      const back = readRow(say, rowOf('x', size, { most: 4, target: 80, perTray: null }, METRIC), METRIC);
      expect(typeof back === 'string' ? back : back.wanted.size).toMatchObject({ shape, base: 12 });
    }
  });
});

describe('a piece that does not fit its sheet', () => {
  it('is named', () => {
    const read = readRow(say, row, METRIC);
    const wanted = typeof read === 'string' ? [] : [read.wanted];
    expect(tooLarge(say, wanted, { counts: [0], round: false }, ['crescents'])[0]).toMatch(
      /^No triangles of crescents fit on this sheet/,
    );
    expect(tooLarge(say, wanted, { counts: [12], round: false }, ['crescents'])).toEqual([]);
  });
});
