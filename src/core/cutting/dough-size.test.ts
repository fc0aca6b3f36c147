import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CUTTING } from '../../../test-support/rolling';
import { planBlock } from '../lamination/geometry';
import { USUAL_SCHEMES } from '../lamination/usual';
import { arrange } from './arrange';
import { cellsIn } from './count';
import { blockWeights, doughToCut, sheetParts, type CutSize, type ToCut } from './dough-size';
import { cellOf, pieceGrams, type PieceSize } from './piece';

const TRIANGLE: PieceSize = { shape: 'triangle', base: 11, height: 27 };
const ROLL: PieceSize = { shape: 'rectangle', base: 10.5, height: 16 };
const [THREE] = USUAL_SCHEMES;
if (!THREE) throw new Error('There are schemes.');
const order = (...pieces: [PieceSize, number][]): ToCut => ({
  ...{ scheme: THREE.scheme, mixed: 0.78, mm: 3.9, scrap: 0.04 },
  pieces: pieces.map(([size, count]) => ({ size, pieces: count })),
});

/** What the cut plan of a dough of this size gives: by piece, of all blocks and parts, and the largest row's grams. */
function cutFrom(asked: ToCut, { grams, blocks, wide }: CutSize, most = true) {
  const own = grams / blocks;
  const weights = blockWeights(own, asked.mixed, asked.scheme);
  const { table, laying } = CUTTING;
  const plan = planBlock(asked.scheme, weights, asked.mm, { table, laying, wide });
  const { parts, length, width } = sheetParts(plan.final.sheet, asked.scrap, CUTTING);
  const sheets = parts * blocks;
  const wanted = asked.pieces.map(({ size, pieces }) => ({
    size,
    most: most ? Math.ceil(pieces / sheets) : null,
  }));
  const { counts } = arrange(length, width, wanted);
  return { counts: counts.map((count) => count * sheets), plan, length, width, sheets };
}

describe('a dough', () => {
  it.each<[string, ToCut]>([
    ['120 triangles', order([TRIANGLE, 120])],
    ['12 triangles, of which an unsuitable sheet would give six', order([TRIANGLE, 12])],
    ['one roll', order([ROLL, 1])],
    ['triangles and rolls from one sheet', order([TRIANGLE, 60], [ROLL, 48])],
    ['more than four blocks', order([TRIANGLE, 420])],
    ['fifty blocks', order([TRIANGLE, 4200])],
  ])('for %s gives every one of them', (_, asked) => {
    const size = doughToCut(asked, CUTTING);
    expect(size).not.toBeNull();
    if (!size) return;
    const { counts, plan } = cutFrom(asked, size);
    asked.pieces.forEach(({ pieces }, i) => expect(counts[i]).toBeGreaterThanOrEqual(pieces));
    expect(size.grams / size.blocks).toBeLessThanOrEqual(CUTTING.blockKg * 1000);
    expect(plan.final.sheet.width).toBeLessThanOrEqual(CUTTING.table.width + 1e-6);
    expect(plan.final.sheet.mm).toBe(asked.mm);
  });

  it('is the smallest one: a row less of it would not do', () => {
    const asked = order([TRIANGLE, 120]);
    const size = doughToCut(asked, CUTTING);
    if (!size) throw new Error('It can be cut.');
    const { width, plan } = cutFrom(asked, size);
    const { height } = cellOf(TRIANGLE);
    expect(width).toBeLessThan(height * (Math.floor(width / height) + 0.1));
    const row = cellsIn(TRIANGLE, width) * pieceGrams(TRIANGLE, 3.9, plan.density);
    const less = { ...size, grams: size.grams - Math.max(row, 150) };
    expect(cutFrom(asked, less).counts[0]).toBeLessThan(120);
  });

  it('grows with what is to be cut from it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 40, max: 200 }), (few, more) => {
        const [small, large] = [few, few + more].map((n) => doughToCut(order([TRIANGLE, n]), CUTTING));
        expect(small?.grams).toBeLessThan(large?.grams ?? 0);
      }),
      { numRuns: 30 },
    );
  });

  it('cannot be made for a piece that is larger than any sheet', () => {
    expect(doughToCut(order([{ shape: 'square', base: 70, height: 0 }, 4]), CUTTING)).toBeNull();
  });

  it('is cut in parts that find room on the bench', () => {
    const asked = order([TRIANGLE, 80]);
    const size = doughToCut(asked, CUTTING);
    const short = { ...CUTTING, benchLength: 80 };
    const other = doughToCut(asked, short);
    expect(size && other && other.grams).toBeGreaterThan(size?.grams ?? 0);
  });
});

describe('a final sheet', () => {
  it('loses its trim at the sides, and at its ends that or what the house’s scrap takes', () => {
    const sheet = { length: 150, width: 56 };
    expect(sheetParts(sheet, 0, CUTTING)).toEqual({ parts: 1, length: 149, width: 55 });
    expect(sheetParts(sheet, 0.04, CUTTING)).toEqual({ parts: 1, length: 144, width: 55 });
    expect(sheetParts({ length: 300, width: 56 }, 0, CUTTING)).toMatchObject({ parts: 2, length: 149.5 });
  });
});
