import { describe, expect, it } from 'vitest';
import { ingredientBook } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import type { AmountLanguage } from '../units/words';
import { amountsWithin, readAmountLine } from './amount-parts';
import { RECIPE_WORDS } from './words';

const book = ingredientBook(USUAL_INGREDIENTS);
const reading = (text: string, language: AmountLanguage) => ({
  ...{ text, language, words: RECIPE_WORDS[language], kitchen: 'metric' as const, book },
});
const line = (text: string, language: AmountLanguage = 'en') =>
  readAmountLine(reading(text, language), { from: 0, to: text.length })?.map(
    ({ ingredient, grams }) => `${ingredient ?? '?'} ${grams ? Math.round(grams[0]) : '-'}`,
  ) ?? null;

describe('a line of ingredients', () => {
  it.each([
    ['500 g bread flour, plus extra for dusting', ['strong-flour 500']],
    ['Water (cold), 260 g', ['water 260']],
    ['Flour (bread)   1000 g', ['strong-flour 1000']],
    ['Unsalted butter, 82% fat: 280 g', ['butter 280']],
    ['600 g flour, 300 g water and 12 g salt', ['wheat-flour 600', 'water 300', 'salt 12']],
    ['500 g flour | 250 ml water | 10 g salt', ['wheat-flour 500', 'water 250', 'salt 10']],
    ['2 cups plus 1 tbsp (260 g) flour', ['wheat-flour 260']],
    ['1 egg yolk + 1 tbsp milk, for the wash', ['egg-yolk 17', 'milk 15']],
    ['1 egg beaten with 1 tablespoon water', ['egg 50', 'water 15']],
    ['10 g fresh yeast, crumbled', ['fresh-yeast 10']],
    ['zest of 1 lemon', ['lemon-zest 5']],
    ['Salt to taste', ['salt -']],
    ['- 75 g raisins, soaked in rum', ['raisins 75']],
  ])('is read in English: %s', (text, wanted) => expect(line(text)).toEqual(wanted));

  it.each([
    ['1/2 Würfel frische Hefe (ca. 21 g)', ['fresh-yeast 21']],
    ['1 Würfel Hefe (42 g)', ['fresh-yeast 42']],
    ['Weizenmehl Type 405 – 400 g', ['soft-flour 400']],
    ['ca. 280 ml kaltes Wasser', ['water 280']],
    ['abgeriebene Schale von 1 Bio-Zitrone', ['lemon-zest 5']],
    ['1 Ei und 1 EL Milch zum Bestreichen', ['egg 50', 'milk 15']],
  ])('is read in German: %s', (text, wanted) => expect(line(text, 'de')).toEqual(wanted));

  it.each([
    ['250 g de beurre AOP bien froid', ['butter 250']],
    ['Beurre sec 82 % : 300 g', ['dry-butter 300']],
    ['1 c. à soupe de miel', ['honey 21']],
    ['18 g de levure fraîche de boulanger', ['fresh-yeast 18']],
    ['1 œuf pour la dorure', ['egg 50']],
  ])('is read in French: %s', (text, wanted) => expect(line(text, 'fr')).toEqual(wanted));

  it.each([['1 h at 24 °C'], ['45 min in the fridge'], ['Mix the dough.'], ['Roll out to 4 mm']])(
    'is none of these: %s',
    (text) => expect(line(text)).toBeNull(),
  );

  it('keeps what the book does not know, with a question', () => {
    const text = '15 g yeast';
    const [part] = readAmountLine(reading(text, 'en'), { from: 0, to: text.length }) ?? [];
    expect([part?.ingredient, part?.trouble?.code]).toEqual([null, 'recipe.unknownIngredient']);
    expect(line('40 g orange blossom water')).toEqual(['? -']);
  });
});

describe('amounts within a sentence', () => {
  it('are found with their places, and nothing is made of times and sizes', () => {
    const text = 'Mix with 420 g bread flour and 180 g cold milk for 8 min, roll to 30 x 40 cm.';
    const found = amountsWithin(reading(text, 'en'), { from: 0, to: text.length });
    expect(found.map(({ ingredient, from, to }) => [ingredient, text.slice(from, to)])).toEqual([
      ['strong-flour', '420 g bread flour'],
      ['milk', expect.stringContaining('180 g cold milk')],
    ]);
  });
});
