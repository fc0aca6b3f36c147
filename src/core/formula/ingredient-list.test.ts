import { describe, expect, it } from 'vitest';
import { book, LEVAIN_CRESCENT, lines } from '../../../test-support/formulas';
import type { Formula } from './formula';
import { ingredientList } from './ingredient-list';

const none = () => undefined;
const poppy: Formula = {
  doughCelsius: null,
  stages: [{ kind: 'dough', lines: lines({ milk: 60, sugar: 25, butter: 15 }) }],
};
const listOf = (...parts: Parameters<typeof ingredientList>[0]) =>
  ingredientList(parts, { book, formulaOf: none });
const gramsOf = (list: ReturnType<typeof listOf>, name: string) =>
  list.find((one) => one.name.toLowerCase() === name)?.grams ?? 0;

describe('the ingredients of a label', () => {
  it('are listed by what went in, the heaviest first, each stage’s and the roll-in’s together', () => {
    const list = listOf({ formula: LEVAIN_CRESCENT, grams: 221.8 });
    expect(list.map(({ name }) => name.toLowerCase()).slice(0, 3)).toEqual([
      'wheat flour',
      'butter',
      'water',
    ]);
    // 221.8 % of the flour in all: a gram for a percent.
    expect(gramsOf(list, 'wheat flour')).toBeCloseTo(98, 9);
    expect(gramsOf(list, 'butter')).toBeCloseTo(52, 9);
    const grams = list.map((one) => one.grams);
    expect(grams).toEqual([...grams].sort((a, b) => b - a));
    expect(grams.reduce((sum, one) => sum + one, 0)).toBeCloseTo(221.8, 9);
  });

  it('of dough and filling are one list, and so are those of what a filling is made of', () => {
    const dough = { formula: LEVAIN_CRESCENT, grams: 221.8 };
    const both = listOf(dough, { formula: poppy, grams: 100 });
    expect(gramsOf(both, 'milk')).toBeCloseTo(80, 9);
    expect(gramsOf(both, 'butter')).toBeCloseTo(67, 9);
    const glazed: Formula = {
      doughCelsius: null,
      stages: [{ kind: 'dough', lines: lines({ 'formula:7': 50, sugar: 50 }) }],
    };
    const apart = ingredientList([{ formula: glazed, grams: 200 }], {
      book,
      formulaOf: (ref) => (ref === 'formula:7' ? poppy : undefined),
    });
    expect(apart.map(({ name, grams }) => [name.toLowerCase(), Math.round(grams)])).toEqual([
      ['sugar', 125],
      ['milk', 60],
      ['butter', 15],
    ]);
  });

  it('name what nobody weighs last, and say of whom nobody has said what it contains', () => {
    const formula: Formula = {
      doughCelsius: null,
      stages: [
        {
          kind: 'dough',
          lines: [
            ...lines({ sugar: 100, 'mystery-paste': 20 }),
            { ingredient: 'salt', percent: 0, uncounted: true },
          ],
        },
      ],
    };
    const list = listOf({ formula, grams: 60 }, { name: 'Hazelnuts', grams: 5, allergens: ['nuts'] });
    expect(list.map(({ name, undeclared }) => [name.toLowerCase(), undeclared])).toEqual([
      ['sugar', false],
      ['mystery-paste', true],
      ['hazelnuts', false],
      ['salt', false],
    ]);
    expect(list.at(-1)?.grams).toBe(0);
    const names = listOf(
      { formula, grams: 60 },
      { name: 'Sugar on the tops', grams: 0, allergens: [] },
      { name: 'Sesame', grams: 0, allergens: ['sesame'] },
    ).map(({ name }) => name.toLowerCase());
    expect(names).toEqual(['sugar', 'mystery-paste', 'salt', 'sesame']);
    expect(list.find(({ name }) => name === 'Hazelnuts')?.allergens).toEqual(['nuts']);
  });
});
