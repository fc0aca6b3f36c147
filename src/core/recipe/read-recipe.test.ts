import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientBook } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import type { Words } from '../codes/coded';
import { draftOfFile } from '../exchange/products-file';
import { productFaults } from '../process/product-faults';
import { RECIPES } from '../../../test-support/recipes';
import { faultOf, inEnglish } from '../../../test-support/words';
import { durationsIn } from './durations';
import { openAsks } from './open-asks';
import { readRecipeText } from './read-recipe';
import { recipeProduct } from './recipe-product';
import { LONGEST_RECIPE } from './recipe-text';
import { segments } from './spans';
import { temperaturesIn } from './temperatures';
import { languageOf, RECIPE_WORDS } from './words';

const book = ingredientBook(USUAL_INGREDIENTS);
const read = (text: string) => readRecipeText(text, { book, kitchen: 'metric', benchCm: 240 });
const steps = (text: string) => read(text).steps.map(({ kind, minutes }) => [kind, ...(minutes ?? [])]);
const asked = (text: string) => {
  const reading = read(text);
  return reading.asks.map(({ from, to, message }) => [reading.text.slice(from, to), inEnglish(message)]);
};
const LIST = '500 g bread flour\n260 g water\n50 g sugar\n10 g salt\n';

describe('lengths of time', () => {
  const minutes = (text: string) =>
    durationsIn(text, RECIPE_WORDS[languageOf(text)]).map((one) => one.minutes);
  it.each([
    ['rest for 45 min in the fridge', [45, 45]],
    ['bake for 18-20 mins until golden', [18, 20]],
    ['leave for an hour and a half', [90, 90]],
    ['proof 2½ to 3 hours', [150, 180]],
    ['the dough rests for three quarters of an hour', [45, 45]],
    ['rise 1 h 30 at 26 °C', [90, 90]],
    ['bulk 1 h 24 C', [60, 60]],
    ["steam for 4' then open", [4, 4]],
    ['chill overnight and then roll', [480, 720]],
    ['anderthalb Stunden gehen lassen und den Teig teilen', [90, 90]],
    ['eine halbe Stunde ruhen lassen und dann kneten', [30, 30]],
    ['laisser lever une heure et demie dans la pâte', [90, 90]],
    ['une demi-heure de repos pour la pâte', [30, 30]],
    ['1 h 15 à 1 h 30 dans le four', [75, 90]],
  ])('of “%s”', (text, wanted) => expect(minutes(text)).toEqual([wanted]));

  it('are not amounts, temperatures or sizes', () => {
    expect(minutes('add 500 g of the flour at 24 °C, roll to 30 x 40 cm')).toEqual([]);
  });
});

describe('temperatures', () => {
  const celsius = (text: string) =>
    temperaturesIn(text, RECIPE_WORDS[languageOf(text)]).map((one) => [
      ...one.celsius.map(Math.round),
      one.isUnclear ?? false,
    ]);
  it.each([
    ['at 24 °C for an hour', [[24, 24, false]]],
    ['at 20-22 °C', [[20, 22, false]]],
    ['bake at 375°F', [[191, 191, false]]],
    ['heat the oven to 200C/180C fan/gas 6', [[200, 200, false]]],
    ['bake at 190 °C (425 °F)', [[190, 190, true]]],
    ['cuire au four à 180 °C (th. 6)', [[180, 180, false]]],
    ['backen bei 190 °C (Gas Stufe 5) und dann', [[190, 190, false]]],
    ['freeze at −18 °C', [[-18, -18, false]]],
  ])('of “%s”', (text, wanted) => expect(celsius(text)).toEqual(wanted));
});

describe('a method', () => {
  it('counts turns out: rests after each, and another after the last', () => {
    expect(
      steps('Lock in. Three letter folds with 30 min in the fridge after each, 1 h after the last.').slice(1),
    ).toEqual([['turn'], ['rest', 30, 30], ['turn'], ['rest', 30, 30], ['turn'], ['rest', 60, 60]]);
  });

  it('does again what is to be repeated, and lets a rest between turns be between them alone', () => {
    expect(steps('Fold in three, rest 20 minutes in the fridge; repeat this twice more.')).toHaveLength(6);
    expect(steps('Lock in. Two book folds with 30 minutes in the fridge in between.').slice(1)).toEqual([
      ['turn'],
      ['rest', 30, 30],
      ['turn'],
    ]);
  });

  it('calls a rise by where the work stands', () => {
    expect(
      steps('Mix. Let rise 1 hour. Divide, shape. Let rise 50 minutes. Bake.').map(([kind]) => kind),
    ).toEqual([...['mix', 'bulk', 'divide', 'shape', 'proof', 'bake']]);
  });
});

describe('what has to be asked', () => {
  it.each([
    [`${LIST}60 g (1 tablespoon) honey`, '60 g (1 tablespoon) honey', 'disagree'],
    [`${LIST}15 g yeast`, '15 g yeast', 'Which one is it'],
    [`${LIST}Mix with the 80 g sugar.`, '80 g sugar', 'another amount of sugar'],
    [`${LIST}Roll to 400 x 30 cm and cut.`, '400 x 30 cm', 'Longer than the bench'],
    [`Three letter folds\n${LIST}Mix. Lock in. Letter fold. Letter fold.`, 'Three letter folds', '2 turns'],
    [`Makes 12\n${LIST}Mix. Cut into 16 triangles.`, 'Makes 12', 'makes 16'],
    [`${LIST}Mix. Shape. Bake 18 minutes at 400 °C.`, '400 °C', 'Too hot for an oven'],
    [`${LIST}Mix. Shape. Final proof 2 hours at 40 °C.`, '40 °C', 'Too warm'],
  ])('in “%s”', (text, part, words) => {
    expect(asked(text)).toEqual([[part, expect.stringContaining(words)]]);
  });

  it('is settled by whoever looked at it', () => {
    const reading = read(`${LIST}15 g yeast`);
    expect(openAsks(reading, [])).toHaveLength(1);
    expect(openAsks(reading, ['15 g yeast'])).toEqual([]);
  });
});

describe('any text', () => {
  const words = [
    'mix',
    'fold in three',
    '30 min',
    '500 g',
    'bread flour',
    '180 °C',
    'overnight',
    '\n',
    '(',
    '½',
    'rest',
    ', ',
  ];
  const texts = fc.oneof(
    fc.string({ maxLength: 300, unit: 'grapheme' }),
    fc.array(fc.constantFrom(...words), { maxLength: 60 }).map((all) => all.join(' ')),
  );

  it('is read without a fault, and every place lies in it', () => {
    fc.assert(
      fc.property(texts, (text) => {
        const reading = read(text);
        for (const { from, to } of [...reading.marks, ...reading.asks, ...reading.unread]) {
          expect(from).toBeGreaterThanOrEqual(0);
          expect(to).toBeGreaterThan(from);
          expect(to).toBeLessThanOrEqual(reading.text.length);
        }
        expect(
          segments(reading.text, reading.marks)
            .map(({ from, to }) => reading.text.slice(from, to))
            .join(''),
        ).toBe(reading.text);
      }),
    );
  });

  it('that is none, or too long, is refused', () => {
    expect(faultOf(() => read('x'.repeat(LONGEST_RECIPE + 1)))).toContain('Too long for a recipe');
    expect(faultOf(() => read('\u0000\u0001\u0002PNG\u0003'))).toContain('not text');
  });

  it('that is a script stays text', () => {
    const reading = read("<script>alert('x')</script>\nLovely weather.");
    expect([reading.amounts, reading.steps]).toEqual([[], []]);
    expect(reading.text).toContain('<script>');
  });
});

describe('a product of a recipe', () => {
  const whole = RECIPES.filter(
    ({ text, meaning }) => meaning.steps && !meaning.ask && read(text).pieces.count,
  );
  const say = (words: Words) => (typeof words === 'string' ? words : inEnglish(words));
  const bakery = { machines: [], people: [], isStaffed: true };

  it.each(whole.map(({ name, text }) => [name, text]))('%s', (name, text) => {
    const { file } = recipeProduct(read(text), { name, book, say });
    const [product] = file.products;
    const [formula] = file.formulas;
    if (!product || !formula) throw new Error('a product has one of each');
    const draft = draftOfFile(
      product,
      { formulaId: 1, schemeId: product.scheme === null ? null : 1 },
      () => 1,
    );
    const wrong = productFaults(draft, bakery).filter(({ isLack }) => !isLack);
    expect(wrong.map(({ at, message }) => [at, inEnglish(message)])).toEqual([]);
    const flours = formula.stages
      .filter(({ kind }) => kind !== 'filling')
      .flatMap(({ lines }) => lines)
      .filter(({ ingredient }) => book.find(ingredient)?.kind === 'flour');
    expect(flours.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 2);
  });

  it('stands in its tins: a loaf in each, rolls in the holes of one or together in a pan', () => {
    const pieceOf = (method: string) =>
      recipeProduct(read(`${LIST}Mix. Rise 1 hour. ${method} Proof 1 hour. Bake at 180 °C for 30 minutes.`), {
        ...{ name: 'x', book, say },
      }).file.products[0]?.piece;
    const flour = 820;
    const loaf = pieceOf('Shape and lay into two 25 cm loaf tins.');
    expect([loaf?.tins, Math.round(loaf?.grams ?? 0) > flour / 3]).toEqual([1, true]);
    expect(pieceOf('Shape into balls, one in each hole of a 12-hole muffin tin.')).toMatchObject({
      perTray: 12,
    });
    const pan = pieceOf('Divide into 15 pieces, shape into balls and set in a greased pan of 24 x 34 cm.');
    expect([pan?.perTray, pan?.tins]).toEqual([15, undefined]);
  });

  it('needs flour and a number of pieces', () => {
    const make = (text: string) => () => recipeProduct(read(text), { name: 'x', book, say });
    expect(faultOf(make('200 g milk\n50 g sugar\n20 g butter\nMix. Shape 12 rolls. Bake.'))).toContain(
      'no flour',
    );
    expect(faultOf(make(`${LIST}Mix. Bake.`))).toContain('How many pieces');
  });
});
