import { describe, expect, it } from 'vitest';
import { laminatedDough, UNLAMINATED, usualScheme } from '../../../test-support/laminated';
import { foldAdvice } from '../lamination/advice';
import { foldDrawing, lockInDrawing, section } from '../lamination/drawing';
import { planBlock } from '../lamination/geometry';
import { USUAL_LIMITS } from '../lamination/kinds';
import { fractionOf, operationsOf } from '../lamination/scheme';
import { type Fold, LOCK_INS, pileOf } from '../lamination/stack';
import { laminate } from './scheme-steps';
import { USUAL_SCHEMES } from '../lamination/usual';
import { inEnglish } from '../../../test-support/words';

const ids = (name: string) => laminate(UNLAMINATED, usualScheme(name)).steps.map(({ id }) => id);

describe('a route with a scheme', () => {
  it('has a turn and a rest for each of the scheme’s, in its order', () => {
    expect(ids('Book, then letter').filter((id) => /turn|rest/.test(id))).toEqual([
      ...['turn-1', 'rest-1', 'turn-2', 'rest-2'],
    ]);
    const turns = laminate(UNLAMINATED, usualScheme('Book, then letter')).steps.filter(({ turn }) => turn);
    expect(inEnglish(turns.map(({ fold, given }) => [fold, given?.fold]))).toEqual([
      ['book fold', 'book'],
      ['letter fold', 'letter'],
    ]);
  });

  it('has no rest between turns that are given at one go', () => {
    expect(ids('Spread brioche, letters in pairs').filter((id) => /turn|rest/.test(id))).toEqual([
      ...['turn-1', 'turn-2', 'rest-2', 'turn-3', 'turn-4', 'rest-4'],
    ]);
  });

  it('brings the butter as the scheme wants it: a tempered block, frozen and grated, or soft', () => {
    expect(ids('Three letter folds')).toContain('temper');
    expect(ids('Grated frozen butter, four additions')).not.toContain('temper');
    expect(ids('Grated frozen butter, four additions')).not.toContain('lock-in');
    expect(ids('Stacked discs')).toEqual(expect.arrayContaining(['butter', 'lock-in']));
  });

  it('hangs together for every shipped scheme: one way in, one way out, every link between steps that are there', () => {
    for (const { scheme } of USUAL_SCHEMES) {
      const { steps, links } = laminate(UNLAMINATED, scheme);
      const known = new Set(steps.map(({ id }) => id));
      for (const { from, to } of links) expect([known.has(from), known.has(to)]).toEqual([true, true]);
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      const last = steps.filter(({ id }) => !links.some(({ from }) => from === id)).map(({ id }) => id);
      expect(last).toEqual(['sheet']);
    }
  });

  it('is left alone where there is nothing to laminate', () => {
    expect(laminate(UNLAMINATED, null)).toBe(UNLAMINATED);
    const plain = { steps: UNLAMINATED.steps.filter(({ id }) => id === 'mix'), links: [] };
    expect(laminate(plain, usualScheme('Three letter folds'))).toBe(plain);
  });

  it('turns into steps of a dough that can be folded', () => {
    const { steps } = laminatedDough([]);
    expect(steps.filter(({ step }) => step.turn).map(({ key }) => key)).toEqual([
      'turn-1',
      'turn-2',
      'turn-3',
    ]);
  });
});

describe('advice on what was done', () => {
  const three = usualScheme('Three letter folds');
  const advise = (given: Fold[], toCome: Fold[], mm = 4) =>
    foldAdvice(three, { dough: 3000, fat: 900 }, { mm, limits: USUAL_LIMITS.honeycomb, given, toCome });

  it('is silent as long as the layers are the scheme’s', () => {
    expect(advise(['letter'], ['letter', 'letter']).words).toBeNull();
    expect(advise(['letter', 'letter', 'letter'], []).words).toBeNull();
  });

  it('is to leave out the last turn after one fold too many', () => {
    const { words, outcome } = advise(['letter', 'letter'], ['letter', 'letter']);
    expect(outcome.layers.fatLayers).toBe(81);
    expect(inEnglish(words)).toMatch(
      /^Not as planned: 81 fat layers.*instead of 27\. Skip the last turn: 27 fat/,
    );
  });

  it('after the last turn is that it can stay, or to roll it thicker where the butter grows too thin', () => {
    const folds: Fold[] = ['letter', 'letter', 'letter', 'half'];
    expect(inEnglish(advise(folds, [], 6).words)).toMatch(/That is fine\.$/);
    expect(inEnglish(advise(folds, [], 4).words)).toMatch(
      /fine, brioche-like instead of 27\. Roll it thicker/,
    );
  });

  it('is a half fold more where a turn was left out', () => {
    expect(inEnglish(advise(['letter'], ['letter']).words)).toMatch(/Add a half fold: 18 fat layers/);
  });
});

describe('drawings', () => {
  const show = (cm: number) => `${Math.round(cm)}`;
  const weights = { dough: 3000, fat: 900 };
  const table = { width: 58, length: 240, reduction: 0.4, fineReduction: 0.25, fineBelow: 8, leastGap: 1 };

  it('of a fold show its lines and its size', () => {
    const { marks } = foldDrawing('book', { length: 120, width: 30, mm: 8 }, show);
    expect(marks.filter((mark) => mark.kind === 'line' && mark.dashed)).toHaveLength(3);
    expect(marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []))).toEqual(['120', '30']);
  });

  it('of every lock-in keep the butter on the dough', () => {
    for (const style of LOCK_INS) {
      const scheme = {
        ...usualScheme('Three letter folds'),
        beginning: { way: 'block' as const, style, blockMm: 10 },
      };
      const plan = planBlock(scheme, weights, 4, { table }).lockIn;
      if (!plan) throw new Error('A block is enclosed.');
      const { marks } = lockInDrawing(style, plan);
      const butter = marks.find((mark) => mark.kind === 'area' && mark.tone === 'butter');
      if (butter?.kind !== 'area') throw new Error(`${style} shows no butter.`);
      for (const [x, y] of butter.points) {
        expect(x).toBeGreaterThanOrEqual(-1e-9);
        expect(x).toBeLessThanOrEqual(plan.dough.length + 1e-9);
        expect(y).toBeGreaterThanOrEqual(-1e-9);
        expect(y).toBeLessThanOrEqual(plan.dough.width + 1e-9);
      }
    }
  });

  it('in section are single layers where they can be drawn, and their mean where not', () => {
    const pile = (name: string) =>
      pileOf(operationsOf(usualScheme(name)), fractionOf(usualScheme(name), weights));
    const whole = section(pile('Three letter folds'), 0, 1, 300);
    expect(whole.single).toBe(true);
    expect(whole.bands).toHaveLength(55);
    const fine = section(pile('Spread brioche, letters in pairs'), 0, 1, 300);
    expect(fine.single).toBe(false);
    const fat = fine.bands.reduce((sum, band) => sum + band.fat * (band.to - band.from), 0);
    expect(fat).toBeCloseTo(pile('Spread brioche, letters in pairs').fatShare, 6);
    expect(section(pile('Four letter folds'), 0.5, 0.52, 300).single).toBe(true);
  });
});
