import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bowlsFor, oneBowl, roundToScale } from './bowls';
import { doughPercent, type Formula, rollInPercent } from './formula';
import { doughForPieces, scale } from './scale';
import { faultOf } from '../../../test-support/words';
import { book, LEVAIN_CRESCENT, lines } from '../../../test-support/formulas';

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
    expect(faultOf(to({ by: 'flour', grams: 0 }))).toContain('above 0');
    expect(faultOf(to({ by: 'dough', grams: -5 }))).toContain('above 0');
    expect(faultOf(to({ by: 'ingredient', ingredient: 'egg', grams: 500 }))).toContain('no egg to scale by');
    expect(faultOf(to({ by: 'pieces', batches: [{ pieces: 1, grams: 60, scrap: 1 }] }))).toContain(
      'from 0 to below 100',
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
