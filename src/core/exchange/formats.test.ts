import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readDraft } from '../formula/draft';
import type { Formula } from '../formula/formula';
import { ingredientBook } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import { readFormulaCsv, writeFormulaCsv } from './formula-csv';
import { readFormulaJson, writeFormulaJson } from './formula-json';
import { FORMULA_SCHEMA } from './formula-schema';
import type { ReadFormula } from './read';
import { readIngredientLine, readRecipe, writeRecipe } from './recipe';
import { inEnglish } from '../../../test-support/words';

const book = ingredientBook(USUAL_INGREDIENTS);
const FORMULA: Formula = {
  doughCelsius: 25,
  stages: [
    {
      kind: 'levain',
      lines: [
        { ingredient: 'ripe-levain', percent: 4, note: 'at its peak' },
        { ingredient: 'wheat-flour', percent: 10 },
        { ingredient: 'water', percent: 10 },
      ],
    },
    {
      kind: 'dough',
      lines: [
        { ingredient: 'wheat-flour', percent: 88 },
        { ingredient: 'milk', percent: 43.5, upTo: 45, note: 'cold, =really' },
        { ingredient: 'salt', percent: 2 },
        { ingredient: 'honey', percent: 5, approximate: true },
        { ingredient: 'vanilla', percent: 0, uncounted: true },
      ],
    },
    { kind: 'roll-in', lines: [{ ingredient: 'butter', percent: 46.8 }] },
  ],
};

/** What a file comes to in the editor, without the words as typed. */
function formulaOf({ draft, faults }: ReadFormula): Formula {
  expect(inEnglish(faults)).toEqual([]);
  const read = readDraft(draft, { book, kitchen: 'metric' });
  expect(inEnglish(read.faults)).toEqual([]);
  const stages = read.formula.stages.map(({ kind, lines }) => ({
    kind,
    lines: lines.map((line) => Object.fromEntries(Object.entries(line).filter(([key]) => key !== 'typed'))),
  })) as Formula['stages'];
  return { ...read.formula, stages };
}

describe('a formula as JSON', () => {
  it('comes back as it went out', () => {
    const read = readFormulaJson(writeFormulaJson('Levain crescent', FORMULA, book));
    expect(read.name).toBe('Levain crescent');
    expect(formulaOf(read)).toEqual(FORMULA);
  });

  it('has its published schema where everybody can read it', () => {
    const published: unknown = JSON.parse(readFileSync('public/schemas/formula.schema.json', 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(FORMULA_SCHEMA)));
  });

  it('names every fault by its line', () => {
    const text = `{
  "format": "hefeteig-formula/1",
  "name": "X",
  "stages": [
    { "kind": "douhg",
      "lines": [
        { "ingredient": "flour", "percent": "100" },
        { "ingredient": "water" }
      ]
    }
  ],
  "colour": "blue"
}`;
    expect(inEnglish(readFormulaJson(text).faults)).toEqual([
      { line: 1, message: '“colour” is not a known field.' },
      { line: 3, message: expect.stringContaining('2 characters') as string },
      { line: 5, message: expect.stringContaining('“kind” must be one of levain') as string },
      { line: 7, message: '“percent” must be a number.' },
      { line: 8, message: '“percent” is missing.' },
    ]);
    expect(inEnglish(readFormulaJson('{\n  "format": ,\n}').faults[0])).toMatchObject({ line: 2 });
    expect(readFormulaJson('').faults).toHaveLength(1);
  });
});

describe('a formula as CSV', () => {
  it('comes back as it went out', () => {
    const read = readFormulaCsv(writeFormulaCsv('Levain crescent', FORMULA, book));
    expect(read.name).toBe('Levain crescent');
    expect(formulaOf(read)).toEqual(FORMULA);
  });

  it('is read with semicolons, decimal commas, other orders of columns and any unit', () => {
    const read = readFormulaCsv(
      'stage;amount;ingredient\ndough;1 kg;flour\ndough;"270,5 g";water\n\ndough;1 tbsp;fine salt\n',
    );
    expect(formulaOf(read).stages[0]?.lines.map(({ percent }) => percent)).toEqual([100, 27.05, 1.8]);
  });

  it('names every fault by its line', () => {
    const read = readFormulaCsv(
      'stage,ingredient,amount\ndough,flour,100 %\nbatter,water,60 %\ndough,,2 %\ndough,salt,a lot\n',
    );
    expect(read.faults.map(({ line }) => line)).toEqual([3, 4, 5]);
    expect(inEnglish(readFormulaCsv('a,b\n1,2\n').faults[0])).toMatchObject({
      line: 1,
      message: expect.stringContaining('no “stage”') as string,
    });
    expect(inEnglish(readFormulaCsv('stage,ingredient,amount\n').faults[0]?.message)).toMatch(
      /no ingredients/,
    );
  });

  it('never hands a spreadsheet something to compute', () => {
    const sly = {
      ...FORMULA,
      stages: [{ kind: 'dough' as const, lines: [{ ingredient: 'salt', percent: 2, note: '=1+1' }] }],
    };
    expect(writeFormulaCsv('=A1', sly, book)).not.toMatch(/(^|,)=/m);
  });
});

describe('a formula as a schema.org Recipe', () => {
  it('comes back with its stages and amounts', () => {
    const read = readRecipe(writeRecipe('Levain crescent', FORMULA, book));
    expect(read.name).toBe('Levain crescent');
    const back = formulaOf(read);
    expect(back.doughCelsius).toBe(25);
    expect(back.stages.map(({ kind }) => kind)).toEqual(['levain', 'dough', 'roll-in']);
    back.stages.forEach(({ lines }, s) =>
      lines.forEach(({ ingredient, percent }, l) => {
        expect(ingredient).toBe(FORMULA.stages[s]?.lines[l]?.ingredient);
        expect(percent).toBeCloseTo(FORMULA.stages[s]?.lines[l]?.percent ?? NaN, 2);
      }),
    );
  });

  it('is found in a list or a graph, and in a kitchen’s own words', () => {
    const text = JSON.stringify({
      '@graph': [
        { '@type': 'WebPage' },
        {
          '@type': ['Recipe'],
          name: 'Buns',
          recipeIngredient: ['500 g flour', '2 tbsp of sugar', '1 large egg', 'vanilla, to taste'],
        },
      ],
    });
    const read = readRecipe(text);
    expect(inEnglish(read.faults)).toEqual([]);
    expect(read.draft.stages[0]?.rows.map(({ name, amount }) => [name, amount])).toEqual([
      ['flour', '500 g'],
      ['sugar', '2 tbsp'],
      ['egg', '1 large egg'],
      ['vanilla', 'to taste'],
    ]);
  });

  it('names every fault by its line', () => {
    const text =
      '{ "@type": "Recipe", "name": "Buns", "recipeIngredient": [\n"500 g flour",\n"many days",\n"120 g"\n] }';
    expect(readRecipe(text).faults.map(({ line }) => line)).toEqual([3, 4]);
    expect(inEnglish(readRecipe('{}').faults[0]?.message)).toMatch(/no schema.org Recipe/);
    expect(readRecipe('{').faults).toHaveLength(1);
    expect(inEnglish(readRecipe('{"@type":"Recipe"}').faults[0]?.message)).toMatch(/has no ingredients/);
  });

  it('reads single lines', () => {
    expect(inEnglish(readIngredientLine('1/2 cup milk [sponge]'))).toEqual({
      name: 'milk',
      amount: '1/2 cup',
      stage: 'sponge',
    });
    expect(inEnglish(readIngredientLine('12 g'))).toMatchObject({
      message: expect.stringContaining('has no ingredient') as string,
    });
  });
});
