import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doughYield, scrapOffers, type ScrapStock } from '../record/scrap';
import { tally, weighed } from './tally';
import { footOf, perTray, trayNeed } from './trays';
import { svgFile } from '../drawing/svg';
import { area, line, rectangle, text } from '../drawing/drawing';
import { coded } from '../codes/coded';
import { inEnglish } from '../../../test-support/words';

const divide = { target: 60, tolerance: 2, pieces: 48, dough: 2950 };

describe('a tally of divided pieces', () => {
  it('begins with what each should weigh', () => {
    expect(inEnglish(tally(divide, []))).toMatchObject({
      count: 0,
      mean: null,
      left: 48,
      words: 'Each 60 g ± 2 g.',
    });
  });

  it('says which way the pieces are off on average', () => {
    expect(inEnglish(tally(divide, [{ count: 10, grams: 640 }]).words)).toBe(
      'On average 4 g too heavy: divide smaller.',
    );
    expect(inEnglish(tally(divide, [{ count: 10, grams: 560 }]).words)).toBe(
      'On average 4 g too light: divide larger.',
    );
  });

  it('sees that the dough will not last', () => {
    const short = tally({ ...divide, dough: 2700 }, [{ count: 24, grams: 1480 }]);
    expect(inEnglish(short.words)).toBe('The remaining dough gives the other 24 only 51 g each.');
  });

  it('counts pieces outside the tolerance, and ends when all are weighed', () => {
    const all = tally(divide, [
      { count: 47, grams: 47 * 60 },
      { count: 1, grams: 70 },
    ]);
    expect(inEnglish(all)).toMatchObject({ off: 1, left: 0, restEach: null, words: 'All weighed.' });
    expect(weighed(divide, { count: 1, grams: 70 })).toEqual({ verdict: 'heavy', by: 10 });
    expect(weighed(divide, { count: 2, grams: 110 }).verdict).toBe('light');
    expect(weighed(divide, { count: 1, grams: 62 }).verdict).toBe('within');
  });

  it('neither loses nor finds a gram', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ count: fc.integer({ min: 1, max: 12 }), grams: fc.integer({ min: 20, max: 900 }) }),
        ),
        (weighings) => {
          const sum = tally(divide, weighings);
          expect(sum.grams).toBe(weighings.reduce((total, { grams }) => total + grams, 0));
          if (sum.restEach !== null) expect(sum.restEach * sum.left + sum.grams).toBeCloseTo(divide.dough, 6);
        },
      ),
    ));
});

describe('trimmings for another dough', () => {
  const stock = (name: string, grams: number, hours: number): ScrapStock => ({
    ...{ fromDough: hours, name, grams, hours, allergens: ['gluten'] },
  });
  const limits = { share: 0.12, mostHours: 48, taken: 0 };

  it('go in up to the house’s share of the dough, the oldest first', () => {
    const offers = scrapOffers([stock('young', 900, 3), stock('old', 700, 20)], 10_000, limits);
    expect(offers.map(({ name, most }) => [name, most])).toEqual([
      ['old', 700],
      ['young', 500],
    ]);
  });

  it('do not go in when they are too old, or the share is used up', () => {
    const [old] = scrapOffers([stock('old', 700, 60)], 10_000, limits);
    expect(inEnglish(old)).toMatchObject({
      most: 0,
      refused: '60 h old, over 48 h: too sour to use.',
    });
    const [late] = scrapOffers([stock('young', 700, 3)], 10_000, { ...limits, taken: 1200 });
    expect(inEnglish(late)).toMatchObject({ most: 0, refused: 'At most 12 % of a dough.' });
  });

  it('are never more than the share, whatever there is', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 3000 }), fc.integer({ min: 0, max: 90 })), {
          maxLength: 6,
        }),
        fc.integer({ min: 500, max: 20_000 }),
        fc.integer({ min: 0, max: 2000 }),
        (all, dough, taken) => {
          const offers = scrapOffers(
            all.map(([grams, hours], i) => stock(String(i), grams, hours)),
            dough,
            { ...limits, taken },
          );
          const most = offers.reduce((sum, offer) => sum + offer.most, 0);
          expect(most).toBeLessThanOrEqual(Math.max(0, dough * 0.12 - taken) + 1e-9);
          for (const offer of offers) expect(offer.most).toBeLessThanOrEqual(offer.grams);
        },
      ),
    ));

  it('count in the yield, used or not', () => {
    const told = [
      { grams: 500, use: 'loaf' as const },
      { grams: 500, use: 'waste' as const },
    ];
    expect(doughYield(10_000, told)).toEqual({ pieces: 0.9, used: 0.95 });
    expect(doughYield(10_000, [])).toEqual({ pieces: 1, used: 1 });
    expect(doughYield(100, told).pieces).toBe(0);
  });
});

describe('trays', () => {
  it('are counted whole, the last one with what is left', () => {
    expect(trayNeed(112, 15)).toEqual({ trays: 8, onLast: 7, perTray: 15 });
    expect(trayNeed(30, 15)).toEqual({ trays: 2, onLast: 15, perTray: 15 });
  });

  it('take pieces as they are set down: crescents rolled, snails lying, squares as cut', () => {
    const [long, thick] = footOf({ shape: 'triangle', base: 11, height: 27 }, 3.9);
    expect(long).toBeCloseTo(14.3, 6);
    expect(thick).toBeCloseTo(2.6, 1);
    const snail = footOf({ shape: 'slice', base: 3.6, height: 56.5 }, 3.9);
    expect(snail[0]).toBeCloseTo(5.3, 1);
    expect(footOf({ shape: 'square', base: 12, height: 0 }, 4.9)).toEqual([12, 12]);
    expect(footOf({ shape: 'rectangle', base: 8, height: 15 }, 4)).toEqual([8, 15]);
  });

  it('hold fewer of larger pieces, with room to double', () => {
    expect(perTray([60, 40], [14, 7])).toBeGreaterThanOrEqual(8);
    expect(perTray([60, 40], [28, 14])).toBeLessThan(perTray([60, 40], [14, 7]));
    expect(perTray([60, 40], [70, 70])).toBe(0);
  });
});

describe('a drawing as a file', () => {
  const drawing = {
    view: [0, 0, 60, 40] as const,
    says: coded('steps.lockIn'),
    marks: [
      area(rectangle(0, 0, 10, 10), 'dough'),
      line(
        [
          [0, 0],
          [5, 5],
        ],
        { dashed: true },
      ),
      text([1, 2], '10 < 11', 2),
      { kind: 'curve' as const, path: 'M0 0h5', tone: 'none' as const },
    ],
  };

  it('is SVG at its true size, with every sign escaped', () => {
    const file = svgFile(drawing, 'A sheet <of> "dough" & butter', 10);
    expect(file).toContain('width="600mm" height="400mm" viewBox="0 0 60 40"');
    expect(file).toContain('<title>A sheet &lt;of&gt; &quot;dough&quot; &amp; butter</title>');
    expect(file).toContain('10 &lt; 11');
    expect(file.match(/<path/g)).toHaveLength(3);
  });
});
