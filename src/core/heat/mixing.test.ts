import { describe, expect, it } from 'vitest';
import type { Formula, StageKind } from '../formula/formula';
import { ingredientBook } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import { scale } from '../formula/scale';
import { chillMessages } from './answers';
import { conduct } from './conduction';
import { DOUGH } from './material';
import { doughAsItComes, lessonOf, mixingOf } from './mixing';
import { doughCelsius, liquidCelsius } from './water';
import { inEnglish } from '../../../test-support/words';

const book = ingredientBook(USUAL_INGREDIENTS);
const at = { flour: 20, room: 22, fridge: 5, tap: 13, preferment: 24, ice: -10, warmest: 43 };

function bowl(stages: Partial<Record<StageKind, Record<string, number>>>) {
  const formula: Formula = {
    doughCelsius: 24,
    stages: Object.entries(stages).map(([kind, lines]) => ({
      kind: kind as StageKind,
      lines: Object.entries(lines).map(([ingredient, percent]) => ({ ingredient, percent })),
    })),
  };
  return scale(formula, book, { by: 'flour', grams: 10_000 });
}
const CRESCENT = {
  dough: { 'wheat-flour': 100, water: 27, milk: 25, sugar: 11, butter: 6, salt: 2 },
  'roll-in': { butter: 47 },
};

describe('a mix as a question of heat', () => {
  it('solves for the water, everything else at its own temperature, the roll-in left out', () => {
    const mixing = mixingOf(bowl(CRESCENT), book, { at, target: 24, rise: 6 });
    expect(mixing?.liquid).toMatchObject({ name: 'water', grams: 2700 });
    expect(mixing?.question.parts.map(({ celsius }) => celsius)).toEqual([20, 5, 22, 5, 22]);
    expect(mixing?.question.parts[mixing.flour]?.kg).toBe(10);
    expect(mixing?.terms).toEqual([20, 22]);
  });

  it('solves for milk where there is no water, which ice cannot stand in for, and never for egg', () => {
    const danish = mixingOf(bowl({ dough: { 'wheat-flour': 100, milk: 36, egg: 15 } }), book, {
      at,
      target: 21,
      rise: 6,
    });
    expect([danish?.liquid.name, danish?.question.liquid.isWater, danish?.question.coldest]).toEqual([
      'milk',
      false,
      5,
    ]);
    const cream = mixingOf(bowl({ dough: { 'wheat-flour': 100, cream: 30, egg: 40 } }), book, {
      at,
      target: 24,
      rise: 6,
    });
    expect(cream?.liquid.name).toBe('cream');
    const brioche = bowl({ dough: { 'wheat-flour': 100, egg: 46, butter: 44 } });
    expect(mixingOf(brioche, book, { at, target: 24, rise: 6 })).toBeNull();
    // All of it as it comes: flour at 20 °C, egg and butter at 5 °C, warmed by 6 °C.
    const cold = 46 * 3.3 + 44 * 4.3;
    expect(doughAsItComes(brioche, book, at, 6)).toBeCloseTo((180 * 20 + cold * 5) / (180 + cold) + 6, 6);
    expect(
      mixingOf(bowl({ dough: { 'wheat-flour': 100, butter: 50 } }), book, { at, target: 24, rise: 6 }),
    ).toBeNull();
  });

  it('solves for the water of a sponge where the dough itself has none', () => {
    const sponge = {
      sponge: { 'wheat-flour': 20, milk: 15 },
      dough: { 'wheat-flour': 80, egg: 40, butter: 40 },
    };
    expect(mixingOf(bowl(sponge), book, { at, target: 24, rise: 6 })?.liquid).toMatchObject({
      name: 'milk',
      grams: 1500,
    });
  });

  it('takes a preferment as one part at its own temperature, and as a term of the factor rule', () => {
    const levain = { levain: { 'wheat-flour': 10, water: 10 }, dough: { 'wheat-flour': 90, water: 40 } };
    const mixing = mixingOf(bowl(levain), book, { at, target: 25, rise: 6 });
    expect(mixing?.question.parts.at(-1)).toMatchObject({ kg: 2, celsius: 24 });
    expect(mixing?.question.parts.at(-1)?.heat).toBeCloseTo((1.8 + 4.19) / 2, 6);
    expect(mixing?.terms).toEqual([20, 22, 24]);
  });

  it('learns the very rise that a mix had', () => {
    const mixing = mixingOf(bowl(CRESCENT), book, { at, target: 24, rise: 7.5 });
    if (!mixing) throw new Error('There is water in it.');
    const celsius = liquidCelsius(mixing.question);
    const dough = doughCelsius(mixing.question.parts, { ...mixing.question.liquid, celsius }, 7.5);
    const lesson = lessonOf(mixing, celsius, 0, dough);
    expect(lesson.rise).toBeCloseTo(7.5, 9);
    expect(lesson.factor).toBeCloseTo(3 * 24 - 42 - celsius, 9);
    expect(lessonOf(mixing, 13, 0.5, 24).factor).toBeNull();
  });
});

describe('chilling in words', () => {
  const cool = (celsius: number, film: number, minutes = 180) =>
    conduct({ shape: 'slab', layers: [{ material: DOUGH, mm: 24 }] }, 15, [
      { minutes, celsius, top: film, bottom: film },
    ]);
  const words = (warming: ReturnType<typeof cool>, laminated: boolean) =>
    chillMessages(warming, 6, laminated).map(inEnglish).join(' ');

  it('says when the core is there', () =>
    expect(words(cool(3, 10), true)).toMatch(/^Core at 6 °C in 1 h \d+ min\.$/));

  it('warns of butter that cracks at the edge, only where there is butter', () => {
    expect(words(cool(-18, 12), true)).toMatch(/the butter at the edges will crack/);
    expect(words(cool(-18, 12), false)).not.toMatch(/crack/);
  });

  it('says where it never gets there', () => {
    expect(words(cool(9, 10), true)).toMatch(
      /^The core does not reach 6 °C in 3 h; by then it is at \d+ °C\.$/,
    );
  });
});
