import { describe, expect, it } from 'vitest';
import { analyse } from './analysis';
import { draftOf, readDraft, type Draft } from './draft';
import { linesOf, type StageKind } from './formula';
import { ingredientBook } from './ingredient';
import { USUAL_INGREDIENTS } from './ingredients';
import { inEnglish } from '../../../test-support/words';

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
const sentences = (typed: Draft) => read(typed).faults.map(({ message }) => inEnglish(message));

describe('a formula being typed', () => {
  it('takes percentages and amounts side by side, in any unit', () => {
    const { formula, faults, rows } = read(
      draft({
        dough: [
          ['flour', '100 %'],
          ['milk', '250 g'],
          ['water', '27 %'],
          ['sugar', '1/2 cup'],
          ['fine salt', '1 tbsp'],
          ['eggs', '2 M eggs'],
          ['fresh yeast', '1 cube'],
        ],
      }),
    );
    expect(inEnglish(faults)).toEqual([]);
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
    expect(inEnglish([hasFlour, faults])).toEqual([false, []]);
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
    expect(inEnglish(remarks[0])).toMatchObject({ stage: 0, row: 1, field: 'amount' });
    expect(inEnglish(remarks[0]?.message)).toMatch(/disagree: 120 g and 213 g/);
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
      /All flours must add up to 100 %.*here they are 90 %/,
    ],
    [
      'flour only in percent, and too much of it',
      draft({
        dough: [
          ['flour', '100 %'],
          ['rye flour', '200 g'],
        ],
      }),
      /Enter them all one way/,
    ],
    [
      'a percentage of a million',
      draft({
        dough: [
          ['flour', '100'],
          ['water', '1000000 %'],
        ],
      }),
      /1,000,000 % of the flour is too much/,
    ],
    [
      'an amount below nothing',
      draft({
        dough: [
          ['flour', '100'],
          ['water', '-20 g'],
        ],
      }),
      /negative/,
    ],
    [
      'an empty amount',
      draft({
        dough: [
          ['flour', '100'],
          ['water', ''],
        ],
      }),
      /Enter an amount/,
    ],
    [
      'an amount without a name',
      draft({
        dough: [
          ['flour', '100'],
          ['', '20 g'],
        ],
      }),
      /Enter the ingredient/,
    ],
    [
      'an unknown ingredient',
      draft({
        dough: [
          ['flour', '100'],
          ['moon dust', '3 %'],
        ],
      }),
      /“moon dust” is not an ingredient here yet/,
    ],
    [
      'no flour, and percentages that are not 100',
      draft({
        dough: [
          ['water', '60'],
          ['salt', '2'],
        ],
      }),
      /Without flour/,
    ],
    [
      'flour of no weight',
      draft({
        dough: [
          ['flour', '0 g'],
          ['water', '5 g'],
        ],
      }),
      /flour has no weight/,
    ],
    ['nothing at all', draft({ dough: [] }), /at least one ingredient/],
    ['a dough at 60 °C', draft({ dough: [['flour', '100']] }, { doughCelsius: '60' }), /from 5 to 40/],
    ['a weight that is none', draft({ dough: [['flour', '100']] }, { flour: 'lots' }), /Enter a weight/],
  ])('answers %s in a sentence', (_, typed, sentence) => {
    expect(sentences(typed).join(' ')).toMatch(sentence);
  });

  it('asks what a bare number is where others are weights, and never makes it a percentage', () => {
    const typed = draft({
      dough: [
        ['flour', '500 g'],
        ['water', '300'],
        ['egg', '2'],
      ],
    });
    expect(inEnglish(sentences(typed))).toEqual(['300 of what? Add the unit: 300 g or 300 %.']);
    expect(linesOf(read(typed).formula).map(({ percent }) => percent)).toEqual([100, 20]);
  });

  it('asks whether a few of what is counted are eggs or per cent, where all is in percentages', () => {
    const dough = (eggs: string): [string, string][] => [
      ['flour', '100'],
      ['egg', eggs],
    ];
    expect(inEnglish(sentences(draft({ dough: dough('3') })))).toEqual(['3 eggs or 3 %? Add the unit.']);
    expect(inEnglish(sentences(draft({ dough: dough('12.5') })))).toEqual([]);
  });

  it('asks which yeast is meant', () => {
    const typed = draft({
      dough: [
        ['flour', '500 g'],
        ['yeast', '7 g'],
      ],
    });
    expect(sentences(typed).join(' ')).toMatch(/Which “yeast”: .*instant yeast/);
  });

  it('weighs the lower end of a range and keeps the rest ready', () => {
    const { formula, rows } = read(
      draft({
        dough: [
          ['flour', '500 g'],
          ['milk', '200 to 250 g'],
          ['butter', '40 to 50 %'],
        ],
      }),
    );
    expect(linesOf(formula).slice(1)).toMatchObject([
      { percent: 40, upTo: 50, typed: '200 to 250 g' },
      { percent: 40, upTo: 50 },
    ]);
    expect(rows[0]?.[1]).toMatchObject({ grams: 200, upTo: 250 });
  });

  it('keeps amounts as they were typed, with whose cups they were', () => {
    const typed = draft({
      dough: [
        ['flour', '3 1/2 to 4 cups'],
        ['sugar', '1/2 cup'],
        ['butter', '2 sticks + 2 tbsp'],
        ['milk', '1 cup'],
        ['salt', '1 tsp'],
        ['egg', '1 egg plus 1 yolk'],
      ],
    });
    const { formula } = readDraft(typed, { book, kitchen: 'us' });
    expect(formula.kitchen).toBe('us');
    const back = draftOf(formula, book);
    expect(back.stages[0]?.rows.map(({ amount }) => amount)).toEqual(
      typed.stages[0]?.rows.map(({ amount }) => amount),
    );
    expect(readDraft(back, { book, kitchen: formula.kitchen ?? 'metric' }).formula).toEqual(formula);
    // Of a formula that was kept before it said whose cups they are, the percentage counts.
    expect(draftOf({ ...formula, kitchen: undefined }, book).stages[0]?.rows[1]?.amount).toMatch(/%$/);
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
