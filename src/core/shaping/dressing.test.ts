import { describe, expect, it } from 'vitest';
import {
  crossContactMessage,
  dressingAllergens,
  dressingAt,
  inLabelOrder,
  markOf,
  type Dressing,
} from './dressing';
import { inEnglish } from '../../../test-support/words';

const FULL: Dressing = {
  fillings: [
    {
      ...{ name: 'almond cream', grams: 20, per: 'piece', limit: 30, bareEdge: 1 },
      ...{ moment: 'spread', where: 'in the middle', allergens: ['nuts', 'egg'] },
    },
    { name: 'custard', grams: 15, per: 'piece', limit: 30, bareEdge: 0, moment: 'proofed', where: 'on top' },
  ],
  washes: [
    { name: 'butter', moment: 'shaped' },
    { name: 'whole egg', moment: 'proofed', allergens: ['egg'] },
    { name: 'sugar glaze', moment: 'baked' },
  ],
  toppings: [
    { name: 'sesame', moment: 'proofed', allergens: ['sesame'] },
    { name: 'icing', moment: 'baked' },
  ],
};
const names = ({ fillings = [], washes = [], toppings = [] }: Dressing) =>
  [...fillings, ...washes, ...toppings].map(({ name }) => name);

describe('what goes on and into a piece', () => {
  it('brings the allergens of all its parts, each once, in the order of the label', () => {
    expect(dressingAllergens(FULL)).toEqual(['egg', 'nuts', 'sesame']);
    expect(dressingAllergens({})).toEqual([]);
    expect(inLabelOrder(['milk', 'gluten', 'milk'])).toEqual(['gluten', 'milk']);
  });

  it.each([
    ['shape', 'shaped', ['almond cream']],
    ['wash', 'shaped', ['butter']],
    ['wash', 'proofed', ['whole egg', 'sesame']],
    ['load', 'proofed', ['custard']],
    ['finish', 'proofed', ['custard']],
    ['finish', 'baked', ['sugar glaze', 'icing']],
    ['bake', 'proofed', []],
  ] as const)('belongs to a step by its moment: %s of what is %s', (kind, past, expected) => {
    expect(names(dressingAt(FULL, kind, past))).toEqual(expected);
  });

  it('tells a kind apart only by what lies on it before the bake', () => {
    expect(markOf(FULL)).toBe('sesame');
    expect(markOf({ toppings: [{ name: 'icing', moment: 'baked' }] })).toBeNull();
  });

  it('asks for an order at the table only where something is hard to clean off', () => {
    expect(crossContactMessage(['gluten', 'egg', 'milk'])).toBeNull();
    expect(inEnglish(crossContactMessage(['gluten', 'nuts', 'sesame']))).toMatch(
      /^nuts and sesame: after the plain ones/,
    );
  });
});
