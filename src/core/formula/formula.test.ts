import { describe, expect, it } from 'vitest';
import { advise, USUAL_RANGES } from './advice';
import { analyse, hasLeaven, undeclaredIn } from './analysis';
import { doughPercent, flourInRollIn, type Formula } from './formula';
import { type Ingredient, ingredientBook } from './ingredient';
import { USUAL_INGREDIENTS } from './ingredients';
import { bookWithFormulas, CircleError, formulaRef } from './parts';
import { scale } from './scale';
import { faultOf, inEnglish } from '../../../test-support/words';
import { book, LEVAIN_CRESCENT, lines } from '../../../test-support/formulas';

describe('ingredients', () => {
  it('are found by any name a baker types, and never by guess', () => {
    expect(book.find('Flour')?.id).toBe('wheat-flour');
    expect(book.find('  whole   MILK ')?.id).toBe('milk');
    expect(book.find('eggs')?.id).toBe('egg');
    expect(book.find('Crème fraiche')?.id).toBe('creme-fraiche');
    expect(book.find('beurre de tourage')?.id).toBe('dry-butter');
    expect(book.find('Weizenmehl Type 550')?.id).toBe('wheat-flour');
    expect(book.find('haz')).toBeUndefined();
    expect(book.like('haz').map(({ id }) => id)).toEqual(['hazelnut']);
    expect(book.find('yeast')).toBeUndefined();
    expect(book.like('yeast').length).toBeGreaterThan(3);
    expect(book.find('dragon fruit')).toBeUndefined();
    expect(book.find('')).toBeUndefined();
  });

  it('go before formulas of the house with a name like theirs', () => {
    const levain = { id: 7, name: 'Levain crescent', formula: { stages: [], doughCelsius: null } };
    const all = bookWithFormulas(USUAL_INGREDIENTS, [levain]);
    expect(all.find('levain')?.id).toBe('ripe-levain');
    expect(all.find('Levain crescent')?.id).toBe('formula:7');
  });

  it('have shares that cannot be more than the whole', () => {
    for (const { name, water, fat, sugar, salt, flour, heat } of USUAL_INGREDIENTS) {
      expect(water + fat + sugar + salt + flour, name).toBeLessThanOrEqual(1 + 1e-9);
      expect(heat, name).toBeGreaterThan(0);
    }
    expect(new Set(USUAL_INGREDIENTS.map(({ id }) => id)).size).toBe(USUAL_INGREDIENTS.length);
  });
});

describe('what a formula comes to', () => {
  const analysis = analyse(LEVAIN_CRESCENT, book);

  it('counts the flour and water of the levain, and the water of milk and butter', () => {
    expect(analysis.flour).toBeCloseTo(100, 9);
    expect(analysis.prefermentedFlour).toBeCloseTo(12, 9);
    expect(analysis.hydration).toBeCloseTo(2 + 10 + 24 + 20 * 0.87 + 5 * 0.16, 9);
  });

  it('gives the roll-in of the dough and of the flour, and leaves it out of the dough', () => {
    expect(analysis.rollInOfFlour).toBe(47);
    expect(analysis.rollInOfDough).toBeCloseTo((100 * 47) / doughPercent(LEVAIN_CRESCENT), 9);
    expect(analysis.fat).toBeGreaterThan(47 * 0.8);
  });

  it('names each allergen with what brings it', () => {
    expect(analysis.allergens).toEqual([
      { allergen: 'gluten', from: ['ripe levain', 'wheat flour'] },
      { allergen: 'milk', from: ['milk', 'butter'] },
    ]);
  });

  it('is not told as none while nobody has said what an ingredient contains, in a formula within it neither', () => {
    const dust = {
      ...book.all[0],
      id: 'moon-dust',
      name: 'moon dust',
      allergens: [],
      allergensUnknown: true as const,
    };
    const all = [...USUAL_INGREDIENTS, dust as Ingredient];
    const formula: Formula = {
      doughCelsius: null,
      stages: [{ kind: 'dough', lines: lines({ water: 100, 'moon-dust': 1 }) }],
    };
    expect(undeclaredIn(formula, ingredientBook(all))).toEqual(['moon dust']);
    const within = {
      doughCelsius: null,
      stages: [{ kind: 'dough' as const, lines: lines({ [formulaRef(7)]: 100 }) }],
    };
    const whole = bookWithFormulas(all, [{ id: 7, name: 'Dusted syrup', formula }]);
    expect(undeclaredIn(within, whole)).toEqual(['Dusted syrup']);
    expect(undeclaredIn(LEVAIN_CRESCENT, book)).toEqual([]);
  });

  it('takes a formula used in another by its parts, its allergens with it', () => {
    const custard: Formula = {
      doughCelsius: null,
      stages: [{ kind: 'filling', lines: lines({ milk: 80, 'egg-yolk': 20 }) }],
    };
    const cream: Formula = {
      doughCelsius: null,
      stages: [{ kind: 'filling', lines: lines({ [formulaRef(1)]: 50, 'ground-almond': 50 }) }],
    };
    const known = bookWithFormulas(USUAL_INGREDIENTS, [
      { id: 1, name: 'Custard', formula: custard },
      { id: 2, name: 'Almond custard', formula: cream },
    ]);
    expect(known.get(formulaRef(1))?.water).toBeCloseTo(0.8 * 0.87 + 0.2 * 0.5, 9);
    expect(analyse(cream, known).allergens.map(({ allergen }) => allergen)).toEqual(['egg', 'milk', 'nuts']);
  });

  it('refuses a levain made of itself, by whatever detour, and names the way round', () => {
    const of = (id: number): Formula => ({
      doughCelsius: null,
      stages: [{ kind: 'levain', lines: lines({ [formulaRef(id)]: 10, 'wheat-flour': 90 }) }],
    });
    const round = () =>
      bookWithFormulas(USUAL_INGREDIENTS, [
        { id: 1, name: 'Levain', formula: of(2) },
        { id: 2, name: 'Mother', formula: of(1) },
      ]);
    expect(round).toThrow(CircleError);
    expect(faultOf(round)).toContain('Levain contains itself: Levain → Mother → Levain.');
  });
});

describe('what is beside a dough', () => {
  const line = (ingredient: string, percent: number) => ({ ingredient, percent });
  const dough = {
    kind: 'dough' as const,
    lines: [line('wheat-flour', 100), line('milk', 50), line('salt', 2)],
  };
  const alone = analyse({ doughCelsius: null, stages: [dough] }, book);

  it('changes neither its hydration nor its weight, but its label', () => {
    const custard = {
      kind: 'filling' as const,
      lines: [line('milk', 120), line('egg-yolk', 20), line('hazelnut', 10)],
    };
    const filled = analyse({ doughCelsius: null, stages: [dough, custard] }, book);
    expect(filled).toMatchObject({ hydration: alone.hydration, dough: alone.dough, sugar: alone.sugar });
    expect(filled.allergens.map(({ allergen }) => allergen)).toEqual(['gluten', 'egg', 'milk', 'nuts']);
    const scaled = scale({ doughCelsius: null, stages: [dough, custard] }, book, {
      by: 'dough',
      grams: 1520,
    });
    expect(scaled.stages[0]?.grams).toBeCloseTo(1520, 6);
  });

  it('is flour in the butter too: it counts for the block and takes up no water', () => {
    const rollIn = { kind: 'roll-in' as const, lines: [line('butter', 40), line('wheat-flour', 4)] };
    const creamed = analyse({ doughCelsius: null, stages: [dough, rollIn] }, book);
    expect(creamed.hydration).toBeCloseTo(alone.hydration, 9);
    expect(creamed.rollInOfDough).toBeCloseTo((100 * 44) / 152, 6);
  });

  it('is so much flour for a gram of the butter that it is creamed into', () => {
    const creamed = { kind: 'roll-in' as const, lines: lines({ butter: 50, 'wheat-flour': 9 }) };
    expect(flourInRollIn({ doughCelsius: null, stages: [creamed] }, book)).toBeCloseTo(0.18, 10);
    expect(flourInRollIn(LEVAIN_CRESCENT, book)).toBe(0);
  });

  it('is a levain that goes straight into it: it leavens, and its flour is prefermented', () => {
    const formula = {
      doughCelsius: null,
      stages: [{ kind: 'dough' as const, lines: [line('wheat-flour', 80), line('ripe-stiff-levain', 30)] }],
    };
    expect(hasLeaven(formula, book)).toBe(true);
    expect(analyse(formula, book).prefermentedFlour).toBeCloseTo(20, 6);
  });
});

describe('quiet advice', () => {
  const told = (change: Record<string, number>, rollIn = 47) => {
    const stages: Formula['stages'] = [
      {
        kind: 'dough',
        lines: lines({ 'wheat-flour': 100, water: 50, sugar: 11, salt: 2, 'instant-yeast': 1.2, ...change }),
      },
      { kind: 'roll-in', lines: lines({ butter: rollIn }) },
    ];
    return advise(analyse({ doughCelsius: 24, stages }, book), USUAL_RANGES, {
      osmotolerant: false,
      levain: false,
    });
  };

  it('is silent on a usual formula', () => expect(inEnglish(told({}))).toEqual([]));

  it.each([
    [{ salt: 20 }, 'salt', /Salt 20 % is high/],
    [{ salt: 0 }, 'salt', /Salt 0 % is low/],
    [{ sugar: 25 }, 'sugar', /browns early/],
    [{ sugar: 14 }, 'yeast', /osmotolerant/],
    [{ 'instant-yeast': 0 }, 'yeast', /will not rise/],
    [{ water: 70 }, 'hydration', /butter may break through/],
    [{ water: 30 }, 'hydration', /tears when sheeted/],
  ])('speaks of %j', (change, about, sentence) => {
    const advice = told(change).find((one) => one.about === about);
    expect(inEnglish(advice?.message)).toMatch(sentence);
  });

  it('judges the roll-in by the dough', () =>
    expect(told({}, 100).map(({ about }) => about)).toEqual(['roll-in']));
});
