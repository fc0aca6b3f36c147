import { describe, expect, it } from 'vitest';
import { inEnglish } from '../../../test-support/words';
import type { Words } from '../codes/coded';
import { ingredientBook } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import type { Thread } from '../process/threads';
import { readRecipeText } from './read-recipe';
import { recipeThreads } from './recipe-steps';

const book = ingredientBook(USUAL_INGREDIENTS);
const say = (words: Words) => (typeof words === 'string' ? words : inEnglish(words));
const LIST = '500 g bread flour\n260 g water\n10 g salt\n250 g butter for lamination\n\n';
const threads = (method: string) =>
  recipeThreads(readRecipeText(LIST + method, { book, kitchen: 'metric', benchCm: 240 }), say);
const kinds = ([main]: readonly Thread[]) => main?.steps.map(({ step }) => step.kind);
const stepOf = (of: readonly Thread[], kind: string) =>
  of.flatMap(({ steps }) => steps).find(({ step }) => step.kind === kind)?.step;

describe('the threads of a recipe', () => {
  it('part where the dough is cut, with its turns as one step of lamination', () => {
    const { dough, output, assumed } = threads(
      'Mix. Lock in. Two letter folds, 30 min in the fridge after each. Roll out, cut and shape. Proof 2 h. Bake 18 min at 190 °C.',
    );
    expect(kinds(dough)).toEqual(['mix', 'laminate', 'sheet']);
    expect(kinds(output)).toEqual(['shape', 'proof', 'load', 'bake']);
    expect(assumed).toEqual(['load', 'windows']);
  });

  it('get what nobody writes down: a step to divide, and somebody between two waits', () => {
    const { dough, output, assumed } = threads(
      'Mix. Rise 1 h, then 12 h in the fridge. Shape 12 rolls. Final proof 1 h. Bake 18 min at 190 °C. Cool.',
    );
    expect(kinds(dough)).toEqual(['mix', 'bulk', 'move', 'retard', 'divide']);
    expect(kinds(output)).toEqual(['shape', 'proof', 'load', 'bake', 'cool', 'finish']);
    expect(assumed).toContain('divide');
  });

  it('keep with each step what the text says of it, and nothing with what the house adds', () => {
    const { dough, output } = threads(
      'Mix the flour, water and salt until smooth. Rise 1 h. Divide in 12. Shape. Proof 1 h. Bake 18 min at 190 °C.',
    );
    expect(stepOf(dough, 'mix')?.method).toBe('Mix the flour, water and salt until smooth.');
    expect(stepOf(output, 'bake')?.method).toMatch(/^Bake 18 min at 190 °C/);
    expect(stepOf(output, 'load')).not.toHaveProperty('method');
  });

  it('have windows as they are given, and some give where one time is', () => {
    const { dough, output } = threads(
      'Mix. Rise 60 to 90 min. Divide. Shape. Final proof 100 min. Bake 18 min at 190 °C.',
    );
    expect(stepOf(dough, 'bulk')?.wait).toMatchObject({ shortest: 60, best: 75, longest: 90 });
    expect(stepOf(output, 'proof')?.wait).toMatchObject({ shortest: 80, best: 100, longest: 130 });
  });

  it('proof in the proofer where it is warm, and in the room where it is cool', () => {
    const proof = (celsius: number) =>
      stepOf(threads(`Mix. Shape. Final proof 2 h at ${celsius} °C. Bake 18 min at 190 °C.`).output, 'proof');
    expect(proof(27)?.holds?.map(({ machine, setting }) => [machine, setting])).toEqual([['proofer', 27]]);
    expect(proof(21)).toMatchObject({ place: 'room', holds: [], around: 21 });
  });

  it('bake by the phases that are given, a fan twenty degrees higher', () => {
    const bake = (text: string) => stepOf(threads(`Mix. Shape. Proof 1 h. ${text}`).output, 'bake');
    expect(bake('Bake at 205 °C for 5 minutes, then at 175 °C for 12 minutes.')?.program).toEqual([
      { celsius: 205, minutes: 5 },
      { celsius: 175, minutes: 12 },
    ]);
    expect(bake('Bake for 15 min at 180°C fan.')).toMatchObject({ around: 200, wait: { best: 15 } });
  });

  it('make a levain and a cooked filling beside', () => {
    const { dough, output } = threads(
      'Feed the starter and leave it for 8 hours. Mix. Boil the custard. Roll out, cut, shape. Proof 1 h. Bake 16 min at 190 °C.',
    );
    expect(dough.slice(1).map(({ branch }) => branch)).toEqual(['levain']);
    expect(output.slice(1).map(({ branch }) => branch)).toEqual(['filling']);
  });
});
