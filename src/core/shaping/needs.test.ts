import { describe, expect, it } from 'vitest';
import type { Dressing } from './dressing';
import { dressingTotals, formulasIn, partsOfPiece, type DressingNeed } from './needs';

const DANISH: Dressing = {
  fillings: [
    {
      ...{ name: 'poppy filling', formulaId: 3, grams: 28, per: 'piece', limit: 35, bareEdge: 1 },
      ...{ moment: 'laid', where: 'in the middle' },
    },
    {
      ...{ name: 'almond cream', grams: 0.1, per: 'area', limit: 35, bareEdge: 2 },
      ...{ moment: 'spread', where: 'all over' },
    },
  ],
  washes: [
    { name: 'egg wash', formulaId: 4, grams: 2, moment: 'proofed' },
    { name: 'egg wash', formulaId: 4, grams: 1, moment: 'shaped' },
  ],
  toppings: [
    { name: 'poppy seed', moment: 'proofed' },
    { name: 'icing', grams: 6, moment: 'baked' },
  ],
};
const AREA = 144;

describe('what a piece needs', () => {
  it('is what is weighed of it, with the step before which it must be there', () => {
    expect(partsOfPiece(DANISH, AREA).map(({ part, grams, by }) => [part.name, grams, by])).toEqual([
      ['poppy filling', 28, 'shape'],
      ['almond cream', expect.closeTo(12, 9), 'shape'],
      ['egg wash', 2, 'wash'],
      ['egg wash', 1, 'wash'],
      ['icing', 6, 'finish'],
    ]);
  });

  it('is added up over outputs, one formula once, in the order in which it is needed', () => {
    const needs = (pieces: number, at: number): DressingNeed[] =>
      partsOfPiece(DANISH, AREA).map((part) => ({
        ...part,
        pieces,
        at,
        product: 'Danish',
        dough: 'Danish 1',
      }));
    const totals = dressingTotals([...needs(10, 30), ...needs(5, 10)]);
    expect(totals.map(({ name, grams }) => [name, Math.round(grams)])).toEqual([
      ['poppy filling', 420],
      ['almond cream', 180],
      ['egg wash', 45],
      ['icing', 90],
    ]);
    expect(totals[0]?.needs.map(({ pieces }) => pieces)).toEqual([5, 10]);
  });

  it('names its formulas, each once', () => {
    expect(formulasIn(DANISH)).toEqual([3, 4]);
  });
});
