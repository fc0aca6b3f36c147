import { describe, expect, it } from 'vitest';
import { crossContactMessage, dressingAllergens, inLabelOrder, type Dressing } from './topping';
import { inEnglish } from '../../../test-support/words';

const filling: Dressing['filling'] = {
  ...{ name: 'almond cream', grams: 20, per: 'piece', limit: 30, bareEdge: 1 },
  ...{ moment: 'laid', where: 'in the middle', allergens: ['nuts', 'egg'] },
};

describe('what goes on and into a piece', () => {
  it('brings the allergens of filling, wash and topping, each once, in the order of the label', () => {
    const wash = { name: 'whole egg', allergens: ['egg' as const] };
    const topping = { mark: 'sesame', allergens: ['sesame' as const] };
    expect(dressingAllergens({ filling, wash, topping })).toEqual(['egg', 'nuts', 'sesame']);
    expect(dressingAllergens({})).toEqual([]);
    expect(inLabelOrder(['milk', 'gluten', 'milk'])).toEqual(['gluten', 'milk']);
  });

  it('asks for an order at the table only where something is hard to clean off', () => {
    expect(crossContactMessage(['gluten', 'egg', 'milk'])).toBeNull();
    expect(inEnglish(crossContactMessage(['gluten', 'nuts', 'sesame']))).toMatch(
      /^nuts and sesame: after the plain ones/,
    );
  });
});
