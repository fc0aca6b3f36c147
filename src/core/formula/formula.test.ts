import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { actualMix, lineId } from './actual';
import { advise, USUAL_RANGES } from './advice';
import { analyse, hasLeaven, undeclaredIn } from './analysis';
import { bowlsFor, oneBowl, roundToScale } from './bowls';
import { compareFormulas } from './compare';
import { doughPercent, flourInRollIn, type Formula, linesOf, rollInPercent } from './formula';
import { type Ingredient, ingredientBook } from './ingredient';
import { USUAL_INGREDIENTS } from './ingredients';
import { bookWithFormulas, CircleError, formulaRef } from './parts';
import { doughForPieces, scale } from './scale';
import { faultOf, inEnglish } from '../../../test-support/words';

const book = ingredientBook(USUAL_INGREDIENTS);
const lines = (rows: Record<string, number>) =>
  Object.entries(rows).map(([ingredient, percent]) => ({ ingredient, percent }));

const LEVAIN_CRESCENT: Formula = {
  doughCelsius: 25,
  stages: [
    { kind: 'levain', lines: lines({ 'ripe-levain': 4, 'wheat-flour': 10, water: 10 }) },
    {
      kind: 'dough',
      lines: lines({
        'wheat-flour': 88,
        water: 24,
        milk: 20,
        sugar: 11,
        salt: 2,
        butter: 5,
        'instant-yeast': 0.8,
      }),
    },
    { kind: 'roll-in', lines: lines({ butter: 47 }) },
  ],
};

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
    expect(faultOf(round)).toContain('Levain is made of itself: Levain → Mother → Levain.');
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

describe('scaling', () => {
  it('meets its target, whichever it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 1e5, noNaN: true }), (grams) => {
        expect(scale(LEVAIN_CRESCENT, book, { by: 'flour', grams }).flourGrams).toBeCloseTo(grams, 6);
        expect(scale(LEVAIN_CRESCENT, book, { by: 'dough', grams }).doughGrams).toBeCloseTo(grams, 6);
        const finished = scale(LEVAIN_CRESCENT, book, { by: 'finished', grams });
        expect(finished.doughGrams + finished.rollInGrams).toBeCloseTo(grams, 6);
        const butter = scale(LEVAIN_CRESCENT, book, { by: 'ingredient', ingredient: 'butter', grams });
        const used = butter.stages
          .flatMap((stage) => stage.lines)
          .filter(({ ingredient }) => ingredient === 'butter');
        expect(used.reduce((sum, line) => sum + line.grams, 0)).toBeCloseTo(grams, 6);
      }),
    );
  });

  it('leaves every piece its weight after scrap and bake, and the part that is kept back', () => {
    const batches = [
      { pieces: 120, grams: 62, scrap: 0.07 },
      { pieces: 30, grams: 60, scrap: 0.05, bakeLoss: 0.12 },
    ];
    const scaled = scale(LEVAIN_CRESCENT, book, { by: 'pieces', batches, keptBack: 1500 });
    const need = (120 * 62) / 0.93 + (30 * 60) / (0.95 * 0.88) + 1500;
    expect(scaled.doughGrams + scaled.rollInGrams).toBeCloseTo(need, 6);
    expect(doughForPieces(120, 62, 0.07) * 0.93).toBeCloseTo(120 * 62, 8);
  });

  it('fills pieces and not trimmings, each with its own grams where they are said', () => {
    const filled: Formula = {
      ...LEVAIN_CRESCENT,
      stages: [...LEVAIN_CRESCENT.stages, { kind: 'filling', lines: lines({ sugar: 20, milk: 40 }) }],
    };
    const fillingOf = (target: Parameters<typeof scale>[2]) =>
      scale(filled, book, target).stages.find(({ kind }) => kind === 'filling')?.grams ?? 0;
    const batch = { pieces: 100, grams: 62, scrap: 0.2 };
    const finished = doughPercent(filled) + rollInPercent(filled);
    expect(fillingOf({ by: 'pieces', batches: [batch] })).toBeCloseTo((6200 * 60) / finished, 6);
    expect(fillingOf({ by: 'pieces', batches: [{ ...batch, filling: 28 }] })).toBeCloseTo(2800, 6);
    const kg = doughForPieces(100, 62, 0.2);
    expect(fillingOf({ by: 'finished', grams: kg, net: 6200 })).toBeCloseTo((6200 * 60) / finished, 6);
    expect(scale(filled, book, { by: 'pieces', batches: [batch] }).doughGrams).toBeCloseTo(
      scale(LEVAIN_CRESCENT, book, { by: 'pieces', batches: [batch] }).doughGrams,
      6,
    );
    expect(faultOf(() => fillingOf({ by: 'pieces', batches: [{ ...batch, filling: NaN }] }))).toContain(
      'such as 28 g',
    );
  });

  it('refuses what cannot be met, in a sentence', () => {
    const to = (target: Parameters<typeof scale>[2]) => () => scale(LEVAIN_CRESCENT, book, target);
    expect(faultOf(to({ by: 'flour', grams: 0 }))).toContain('must be above nothing');
    expect(faultOf(to({ by: 'dough', grams: -5 }))).toContain('must be above nothing');
    expect(faultOf(to({ by: 'ingredient', ingredient: 'egg', grams: 500 }))).toContain('no egg to scale by');
    expect(faultOf(to({ by: 'pieces', batches: [{ pieces: 1, grams: 60, scrap: 1 }] }))).toContain(
      'shares from 0',
    );
    const dry: Formula = { doughCelsius: null, stages: [{ kind: 'finish', lines: lines({ egg: 100 }) }] };
    expect(faultOf(() => scale(dry, book, { by: 'flour', grams: 10 }))).toContain('no flour to scale by');
  });

  it('splits over equal bowls, no more than are needed', () => {
    expect([
      bowlsFor(40_000, 40_000),
      bowlsFor(40_000.5, 40_000),
      bowlsFor(40_200, 40_000),
      bowlsFor(90_000, 40_000),
    ]).toEqual([1, 1, 2, 3]);
    const whole = scale(LEVAIN_CRESCENT, book, { by: 'dough', grams: 60_000 });
    const half = oneBowl(whole, 2);
    expect(half.doughGrams).toBeCloseTo(30_000, 6);
    expect(half.stages[1]?.lines[0]?.grams).toBeCloseTo((whole.stages[1]?.lines[0]?.grams ?? 0) / 2, 9);
    expect(() => bowlsFor(10, 0)).toThrow();
  });

  it('rounds to the scale and says what that changed', () => {
    const scaled = scale(LEVAIN_CRESCENT, book, { by: 'flour', grams: 1003 });
    const rounded = roundToScale(scaled, book);
    for (const line of rounded.scaled.stages.flatMap((stage) => stage.lines)) {
      const step = ['salt', 'instant-yeast'].includes(line.ingredient) ? 10 : 1;
      expect(Number.isInteger(Number((line.grams * step).toFixed(6))), line.ingredient).toBe(true);
    }
    expect(Math.abs(rounded.doughBy)).toBeLessThan(5);
    expect(rounded.scaled.doughGrams - scaled.doughGrams).toBeCloseTo(rounded.doughBy, 6);
    expect(Math.abs(rounded.hydrationBy)).toBeLessThan(0.2);
    expect(rounded.most).not.toBeNull();
  });

  it('never rounds what is there to nothing', () => {
    const tiny = roundToScale(scale(LEVAIN_CRESCENT, book, { by: 'flour', grams: 5 }), book);
    for (const line of tiny.scaled.stages.flatMap((stage) => stage.lines))
      expect(line.grams).toBeGreaterThan(0);
  });
});

describe('versions side by side', () => {
  it('show what came, went and moved, stage by stage', () => {
    const after: Formula = {
      ...LEVAIN_CRESCENT,
      stages: LEVAIN_CRESCENT.stages.map((stage) =>
        stage.kind === 'dough'
          ? {
              ...stage,
              lines: lines({
                'wheat-flour': 88,
                water: 26,
                'oat-drink': 20,
                sugar: 11,
                salt: 2,
                butter: 5,
                'instant-yeast': 0.8,
              }),
            }
          : stage,
      ),
    };
    const changed = compareFormulas(LEVAIN_CRESCENT, after).filter(
      ({ before, after: now }) => before !== now,
    );
    expect(changed).toEqual([
      { stage: 'dough', ingredient: 'water', before: 24, after: 26 },
      { stage: 'dough', ingredient: 'oat-drink', before: null, after: 20 },
      { stage: 'dough', ingredient: 'milk', before: 20, after: null },
    ]);
  });
});

describe('what was really mixed', () => {
  const planned = scale(LEVAIN_CRESCENT, book, { by: 'flour', grams: 10_000 });

  it('is the sheet, where nothing else was recorded', () => {
    const same = actualMix({ planned, doughCelsius: 25, bowls: 1, changes: [] }, book);
    expect(inEnglish(same)).toMatchObject({ differs: false, words: [] });
    const [before, after] = [linesOf(LEVAIN_CRESCENT), linesOf(same.formula)];
    after.forEach(({ percent }, i) => expect(percent).toBeCloseTo(before[i]?.percent ?? NaN, 2));
  });

  it('has another hydration when 400 g of flour are held back, and flour is still 100', () => {
    const held = actualMix(
      {
        planned,
        doughCelsius: 25,
        bowls: 1,
        changes: [{ kind: 'adjusted', ingredient: 'wheat-flour', grams: -400 }],
      },
      book,
    );
    const [planning, real] = [analyse(LEVAIN_CRESCENT, book), analyse(held.formula, book)];
    expect(inEnglish(held.words)).toEqual(['400 g wheat flour held back']);
    expect(real.flour).toBeCloseTo(100, 2);
    expect(real.hydration).toBeCloseTo(planning.hydration / 0.96, 1);
  });

  it('has the allergens of what was taken instead', () => {
    const swapped = actualMix(
      {
        planned,
        doughCelsius: 25,
        bowls: 1,
        changes: [{ kind: 'swapped', line: lineId(1, 2), ingredient: 'soya-drink' }],
      },
      book,
    );
    expect(inEnglish(swapped.words)).toEqual(['soya drink for milk']);
    expect(analyse(swapped.formula, book).allergens.map(({ allergen }) => allergen)).toEqual([
      'gluten',
      'soya',
      'milk',
    ]);
  });

  it('is butter short by 300 g, as weighed, bowl by bowl; dust on the scale is no difference', () => {
    const butter = planned.stages[2]?.lines[0]?.grams ?? 0;
    const weighed = actualMix(
      {
        planned,
        doughCelsius: 25,
        bowls: 2,
        changes: [
          { kind: 'weighed', line: lineId(2, 0), bowl: 1, grams: butter / 2 - 300 },
          { kind: 'weighed', line: lineId(2, 0), bowl: 2, grams: butter / 2 },
          {
            kind: 'weighed',
            line: lineId(1, 0),
            bowl: 1,
            grams: (planned.stages[1]?.lines[0]?.grams ?? 0) / 2 + 1,
          },
        ],
      },
      book,
    );
    expect(inEnglish(weighed.words)).toEqual(['300 g less butter']);
    expect(rollInPercent(weighed.formula)).toBeCloseTo(44, 1);
  });

  it('gains a line for what the formula did not have', () => {
    const added = actualMix(
      {
        planned,
        doughCelsius: 25,
        bowls: 1,
        changes: [{ kind: 'adjusted', ingredient: 'cardamom', grams: 20 }],
      },
      book,
    );
    expect(linesOf(added.formula).find(({ ingredient }) => ingredient === 'cardamom')?.percent).toBeCloseTo(
      0.2,
      3,
    );
  });
});
