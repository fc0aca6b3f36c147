import { describe, expect, it } from 'vitest';
import { book, LEVAIN_CRESCENT, lines } from '../../../test-support/formulas';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import { rollInFat } from './rolled-fat';

const id = (name: string) => {
  const found = USUAL_INGREDIENTS.find((one) => one.name === name);
  if (!found) throw new Error(`There is no ${name}.`);
  return found.id;
};
const rolled = (rows: Record<string, number>) => {
  const own = Object.fromEntries(Object.entries(rows).map(([name, percent]) => [id(name), percent]));
  return rollInFat({ doughCelsius: null, stages: [{ kind: 'roll-in', lines: lines(own) }] }, book);
};

describe('what is rolled in', () => {
  it('is told by its fat and its milk', () => {
    expect(rolled({ 'dry butter': 50 })).toBe('butter-84');
    expect(rolled({ 'bakery margarine': 50 })).toBe('margarine');
  });

  it('is the roll-in’s alone, whatever the dough has', () => {
    expect(rollInFat(LEVAIN_CRESCENT, book)).toBe('butter-82');
  });

  it('is what there is most of, and butter where nothing is named', () => {
    expect(rolled({ butter: 10, 'dry butter': 40 })).toBe('butter-84');
    expect(rolled({})).toBe('butter-82');
  });
});
