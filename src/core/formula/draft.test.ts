import { describe, expect, it } from 'vitest';
import { analyse } from './analysis';
import { draftOf, readDraft, type Draft } from './draft';
import { linesOf, type StageKind } from './formula';
import { ingredientBook } from './ingredient';
import { USUAL_INGREDIENTS } from './ingredients';

const book = ingredientBook(USUAL_INGREDIENTS);

function draft(stages: Partial<Record<StageKind, [string, string][]>>, more: Partial<Draft> = {}): Draft {
  return {
    ...{ flour: '1 kg', doughCelsius: '24' },
    stages: Object.entries(stages).map(([kind, rows]) => ({
      kind: kind as StageKind,
      rows: rows.map(([name, amount]) => ({ name, amount, note: '' })),
    })),
    ...more,
  };
}
const read = (typed: Draft) => readDraft(typed, { book, kitchen: 'metric' });
const sentences = (typed: Draft) => read(typed).faults.map(({ message }) => message);

describe('a formula being typed', () => {
  it('takes percentages and amounts side by side, in any unit', () => {
    const { formula, faults, rows } = read(
      draft({
        dough: [
          ['flour', '100 %'],
          ['milk', '250 g'],
          ['water', '27'],
          ['sugar', '1/2 cup'],
          ['fine salt', '1 tbsp'],
          ['eggs', '2 M eggs'],
          ['yeast', '1 cube'],
        ],
      }),
    );
    expect(faults).toEqual([]);
    const percent = (ingredient: string) =>
      linesOf(formula).find((line) => line.ingredient === ingredient)?.percent;
    expect(percent('milk')).toBe(25);
    expect(percent('sugar')).toBeCloseTo(10.625, 2);
    expect(percent('salt')).toBeCloseTo(1.8, 2);
    expect(percent('egg')).toBeCloseTo(10, 2);
    expect(percent('fresh-yeast')).toBeCloseTo(4.2, 2);
    expect(rows[0]?.[2]).toMatchObject({ percent: 27, grams: 270 });
  });

  it('takes its flour from flours given by weight, those of levain and poolish included', () => {
    const { formula, baseGrams } = read(
      draft({
        levain: [
          ['starter', '40 g'],
          ['flour', '100 g'],
          ['water', '100 g'],
        ],
        dough: [
          ['flour', '880 g'],
          ['water', '300 g'],
        ],
      }),
    );
    expect(baseGrams).toBeCloseTo(1000, 9);
    expect(analyse(formula, book).prefermentedFlour).toBeCloseTo(12, 6);
  });

  it('solves for the flour where one is in percent and the other by weight', () => {
    const { baseGrams, formula } = read(
      draft({
        dough: [
          ['spelt flour', '20 %'],
          ['flour', '800 g'],
          ['water', '500 g'],
        ],
      }),
    );
    expect(baseGrams).toBeCloseTo(1000, 9);
    expect(linesOf(formula).map(({ percent }) => percent)).toEqual([20, 80, 50]);
  });

  it('has the whole as 100 where there is no flour', () => {
    const { formula, hasFlour, faults } = read(
      draft({
        filling: [
          ['milk', '800 g'],
          ['yolk', '200 g'],
        ],
      }),
    );
    expect([hasFlour, faults]).toEqual([false, []]);
    expect(linesOf(formula).map(({ percent }) => percent)).toEqual([80, 20]);
  });

  it('keeps what is not counted, and what is about', () => {
    const { formula } = read(
      draft({
        dough: [
          ['flour', '100'],
          ['cinnamon', 'to taste'],
          ['honey', 'about 5 %'],
        ],
      }),
    );
    expect(linesOf(formula).slice(1)).toMatchObject([
      { uncounted: true, percent: 0 },
      { approximate: true, percent: 5 },
    ]);
  });

  it('flags two values for one amount that disagree, and keeps the weighed one', () => {
    const { remarks, formula } = read(
      draft({
        dough: [
          ['flour', '1000 g'],
          ['sugar', '120 g (1 cup)'],
        ],
      }),
    );
    expect(remarks[0]).toMatchObject({ stage: 0, row: 1, field: 'amount' });
    expect(remarks[0]?.message).toMatch(/disagree: 120 g and 213 g/);
    expect(linesOf(formula)[1]?.percent).toBeCloseTo(12, 9);
  });

  it.each([
    [
      'two flours that are not 100 %',
      draft({
        dough: [
          ['flour', '70'],
          ['rye flour', '20'],
        ],
      }),
      /All flours together are 100 %.*here they are 90 %/,
    ],
    [
      'flour only in percent, and too much of it',
      draft({
        dough: [
          ['flour', '100 %'],
          ['rye flour', '200 g'],
        ],
      }),
      /write them all one way/,
    ],
    [
      'a percentage of a million',
      draft({
        dough: [
          ['flour', '100'],
          ['water', '1000000 %'],
        ],
      }),
      /1,000,000 % of the flour is a slip/,
    ],
    [
      'an amount below nothing',
      draft({
        dough: [
          ['flour', '100'],
          ['water', '-20 g'],
        ],
      }),
      /below nothing/,
    ],
    [
      'an empty amount',
      draft({
        dough: [
          ['flour', '100'],
          ['water', ''],
        ],
      }),
      /Give an amount/,
    ],
    [
      'an amount without a name',
      draft({
        dough: [
          ['flour', '100'],
          ['', '20 g'],
        ],
      }),
      /Name the ingredient/,
    ],
    [
      'an unknown ingredient',
      draft({
        dough: [
          ['flour', '100'],
          ['moon dust', '3 %'],
        ],
      }),
      /does not know “moon dust”/,
    ],
    [
      'no flour, and percentages that are not 100',
      draft({
        dough: [
          ['water', '60'],
          ['salt', '2'],
        ],
      }),
      /No flour/,
    ],
    [
      'flour of no weight',
      draft({
        dough: [
          ['flour', '0 g'],
          ['water', '5 g'],
        ],
      }),
      /flour weighs nothing/,
    ],
    ['nothing at all', draft({ dough: [] }), /at least one ingredient/],
    ['a dough at 60 °C', draft({ dough: [['flour', '100']] }, { doughCelsius: '60' }), /between 5 and 40/],
    ['a weight that is none', draft({ dough: [['flour', '100']] }, { flour: 'lots' }), /Give a weight/],
  ])('answers %s in a sentence', (_, typed, sentence) => {
    expect(sentences(typed).join(' ')).toMatch(sentence);
  });

  it('reads a dough temperature in Fahrenheit', () => {
    expect(
      read(draft({ dough: [['flour', '100']] }, { doughCelsius: '75F' })).formula.doughCelsius,
    ).toBeCloseTo(23.9, 1);
  });

  it('comes back the same from the editor', () => {
    const typed = draft({
      sponge: [
        ['milk', '12'],
        ['strong flour', '18'],
      ],
      dough: [
        ['strong flour', '82'],
        ['butter', '44'],
        ['vanilla', 'to taste'],
      ],
    });
    const once = read(typed).formula;
    expect(read(draftOf(once, book)).formula).toEqual({
      ...once,
      stages: once.stages,
    });
  });
});
