import { describe, expect, it } from 'vitest';
import { actualMix, lineId } from './actual';
import { analyse } from './analysis';
import { linesOf, rollInPercent } from './formula';
import { scale } from './scale';
import { inEnglish } from '../../../test-support/words';
import { book, LEVAIN_CRESCENT } from '../../../test-support/formulas';

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
