import { describe, expect, it } from 'vitest';
import type { PieceSpec } from '@/core/process/route';
import { beginParts, newPart, PART_KINDS, partNumbers, withParts } from './part-form';

const DANISH: PieceSpec = {
  ...{ grams: 75, perTray: 12, scrap: 0.05 },
  fillings: [
    {
      ...{ name: 'poppy filling', formulaId: 3, grams: 28, per: 'piece', limit: 35, bareEdge: 1 },
      ...{ moment: 'laid', where: 'in the middle', allergens: ['milk'] },
    },
    {
      ...{ name: 'almond cream', grams: 0.11, per: 'area', limit: 30, bareEdge: 2 },
      ...{ moment: 'spread', where: 'all over' },
    },
  ],
  washes: [
    { name: 'butter', moment: 'shaped' },
    { name: 'egg wash', formulaId: 4, grams: 2, moment: 'proofed', where: 'the tops' },
  ],
  toppings: [{ name: 'icing', moment: 'baked', allergens: ['egg'] }],
};

describe('the parts of a piece as they are typed', () => {
  it('are the same again where nothing is typed', () => {
    expect(withParts(DANISH, beginParts(DANISH))).toEqual(DANISH);
    const plain = { grams: 60, perTray: 15, scrap: 0.04 };
    expect(withParts(plain, beginParts(plain))).toEqual(plain);
    // Nothing is put on at a cut; of seeds nobody says how much.
    const marked: PieceSpec = {
      ...plain,
      toppings: [
        { name: 'two slits', moment: 'proofed', grams: 0 },
        { name: 'seeds', moment: 'proofed' },
      ],
    };
    expect(withParts(marked, beginParts(marked))).toEqual(marked);
  });

  it('show what is spread for an area that a hand can picture', () => {
    const spread = beginParts(DANISH).find(({ per }) => per === 'area');
    expect(spread?.grams).toBe('11 g');
    expect(beginParts(DANISH).map(({ key }) => key)).toEqual([0, 1, 2, 3, 4]);
  });

  it('are read in whatever unit they are written', () => {
    const part = { ...newPart('fillings', 0), name: 'jam', grams: '1 oz', limit: '2 oz', bareEdge: '1 in' };
    expect(withParts(DANISH, [part])?.fillings).toEqual([
      {
        ...{ name: 'jam', per: 'piece', moment: 'laid', where: '' },
        grams: expect.closeTo(28.35, 2) as number,
        limit: expect.closeTo(56.7, 1) as number,
        bareEdge: expect.closeTo(2.54, 2) as number,
      },
    ]);
  });

  it.each([
    ['without a name', { name: ' ' }],
    ['of an amount in words', { grams: 'a little' }],
    ['of a limit in words', { limit: 'enough' }],
    ['of no amount', { grams: '' }],
  ])('are not kept with a filling %s', (_, change) => {
    expect(withParts(DANISH, [{ ...newPart('fillings', 0), name: 'jam', ...change }])).toBeNull();
  });

  it('need not be weighed where they are brushed or strewn on, and cannot be weighed in words', () => {
    const wash = { ...newPart('washes', 0), name: 'milk' };
    expect(withParts(DANISH, [wash])?.washes).toEqual([{ name: 'milk', moment: 'proofed' }]);
    expect(partNumbers(wash)).toEqual({ grams: 0, limit: 0, bareEdge: 0 });
    expect(withParts(DANISH, [{ ...wash, grams: 'some' }])).toBeNull();
  });

  it.each(PART_KINDS)('of %s are taken out by taking out their rows', (kind) => {
    const left = beginParts(DANISH).filter((part) => part.kind !== kind);
    expect(withParts(DANISH, left)).not.toHaveProperty(kind);
  });
});
