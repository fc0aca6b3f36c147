import { describe, expect, it } from 'vitest';
import { arrange } from '@/core/cutting/arrange';
import { cellsIn } from '@/core/cutting/count';
import { blockWeights, doughToCut, sheetParts, type CutSize, type ToCut } from '@/core/cutting/dough-size';
import { cellOf, type PieceSize } from '@/core/cutting/piece';
import { planBlock } from '@/core/lamination/geometry';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import { seeded } from '@/core/solver/random';
import { CUTTING } from '../../../test-support/rolling';
import { SET_UP } from '../demo/bakery';
import { SHELF } from './shelf';

const ALL = SHELF.flatMap(({ products }) => products);
const CUT = (SET_UP.beginnings ?? [])
  .flatMap((name) => ALL.filter((one) => one.name === name))
  .flatMap(({ name, piece }) => (piece.cut ? [{ name, ...piece.cut, scrap: piece.scrap }] : []));
const random = seeded(2026);
const oneOf = <T>(all: readonly T[]): T => {
  const one = all[random.below(all.length)];
  if (!one) throw new Error('There is nothing to choose from.');
  return one;
};

/** An order of one product, or of two that are cut equally thick, by any scheme; small ones as often as large ones. */
function order(nth: number): { words: string; asked: ToCut } {
  const first = CUT[nth % CUT.length] ?? oneOf(CUT);
  const { name, scheme } = oneOf(USUAL_SCHEMES);
  const alike = CUT.filter(({ mm, size }) => mm === first.mm && size.shape !== first.size.shape);
  const products = nth % 4 === 3 && alike.length > 0 ? [first, oneOf(alike)] : [first];
  const pieces = products.map(({ size }) => ({ size, pieces: 1 + random.below(nth % 3 === 0 ? 24 : 400) }));
  return {
    words: `${pieces.map((one, i) => `${one.pieces} ${products[i]?.name}`).join(' and ')}, ${name}`,
    asked: { scheme, mixed: 0.68 + random.below(18) / 100, mm: first.mm, scrap: first.scrap, pieces },
  };
}

/** Pieces of each kind that a dough's cut plan gives: those asked for, or as many of the first as find room beside them. */
function cutPlan({ scheme, mixed, mm, scrap, pieces }: ToCut, { grams, blocks, wide }: CutSize) {
  const { table, laying } = CUTTING;
  const weights = blockWeights(grams / blocks, mixed, scheme);
  const { sheet } = planBlock(scheme, weights, mm, { table, laying, wide }).final;
  const { parts, length, width } = sheetParts(sheet, scrap, CUTTING);
  const sheets = parts * blocks;
  const laid = (all: boolean) => {
    const wanted = pieces.map((one, i) => ({
      size: one.size,
      most: all && i === 0 ? null : Math.ceil(one.pieces / sheets),
    }));
    return arrange(length, width, wanted).counts.map((count) => count * sheets);
  };
  const row = (size: PieceSize) => cellsIn(size, Math.max(length, width)) * cellOf(size).pieces;
  return { laid, row };
}

describe('200 orders of what the demo bakery makes', () => {
  it.each(Array.from({ length: 200 }, (_, nth) => order(nth)))('$words', ({ asked }) => {
    const size = doughToCut(asked, CUTTING);
    if (!size) throw new Error('No dough gives these pieces.');
    const { laid, row } = cutPlan(asked, size);
    asked.pieces.forEach(({ pieces }, i) => expect(laid(false)[i]).toBeGreaterThanOrEqual(pieces));
    const [first] = asked.pieces;
    if (asked.pieces.length > 1 || !first) return;
    // With nothing but these on it, the sheet has room for less than a row more.
    expect((laid(true)[0] ?? 0) - first.pieces).toBeLessThanOrEqual(row(first.size));
  });
});
