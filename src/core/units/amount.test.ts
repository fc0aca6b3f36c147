import { describe, expect, it } from 'vitest';
import { readAmount } from './amount';
import { weighText } from './weigh';
import { parseMillimetres } from './length';
import type { Measuring } from './measures';
import { parseNumber } from './number';
import { METRIC, showCelsius, showLength, showMass } from './reader';
import { inEnglish } from '../../../test-support/words';

const of = (name: string, density: number | null, more: Partial<Measuring> = {}): Measuring => ({
  ...{ kitchen: 'metric', name, density },
  ...more,
});

function grams(text: string, measuring: Measuring): number {
  const weighed = weighText(text, measuring);
  if (!weighed.ok) throw new Error(inEnglish(weighed.message));
  return weighed.value.grams;
}

function fault(text: string, measuring = of('flour', 0.53)): string {
  const weighed = weighText(text, measuring);
  if (!weighed.ok) return inEnglish(weighed.message);
  throw new Error(`${text} was read.`);
}

describe('a number as a baker writes it', () => {
  it.each([
    ['12', 12],
    ['1,5', 1.5],
    ['.75', 0.75],
    ['1/2', 0.5],
    ['1 1/2', 1.5],
    ['2½', 2.5],
    ['¾', 0.75],
    ['1 000', 1000],
    ['12 500,5', 12500.5],
    ['−4', -4],
  ])('%s is read', (text, value) => expect(parseNumber(text)).toBeCloseTo(value, 9));

  it.each(['', 'a', '1/0', '1..2', '1,2,3', '1e6', '3 4'])('%j is none', (text) =>
    expect(parseNumber(text)).toBeNull(),
  );
});

describe('an amount in any unit', () => {
  it.each([
    ['540 g', 540],
    ['1,5 kg', 1500],
    ['2 oz', 56.699],
    ['1 lb', 453.592],
    ['10-12 g', 10],
    ['about 30 g', 30],
    ['~30g', 30],
  ])('%s by weight', (text, value) => expect(grams(text, of('flour', 0.53))).toBeCloseTo(value, 2));

  it('takes cups and spoons of the chosen country, by the density of the ingredient', () => {
    expect(grams('1 cup', of('sugar', 0.85))).toBeCloseTo(212.5, 1);
    expect(grams('1 cup', of('sugar', 0.85, { kitchen: 'us' }))).toBeCloseTo(201.1, 1);
    expect(grams('1/2 tbsp', of('fine salt', 1.2))).toBeCloseTo(9, 2);
    expect(grams('2 tbsp', of('milk', 1.03, { kitchen: 'australia' }))).toBeCloseTo(41.2, 2);
    expect(grams('1 T', of('milk', 1))).toBe(15);
    expect(grams('1 t', of('milk', 1))).toBe(5);
  });

  it('knows eggs by size, sticks of butter and packets of yeast', () => {
    expect(grams('2 eggs', of('egg', 1.03))).toBe(100);
    expect(grams('2 L eggs', of('egg', 1.03))).toBe(116);
    expect(grams('3 eggs (large)', of('egg', 1.03))).toBeGreaterThan(100);
    expect(grams('1 yolk', of('yolk', 1.03))).toBeCloseTo(16.67, 1);
    expect(grams('2 sticks', of('butter', 0.95))).toBeCloseTo(226.8, 1);
    expect(grams('1 packet', of('instant yeast', 0.63))).toBe(7);
    expect(grams('1 cube', of('fresh yeast', 0.9))).toBe(42);
    expect(grams('zest of 2', of('lemon zest', 0.5))).toBe(10);
  });

  it('keeps what is not counted as not counted, and says what is approximate', () => {
    expect(inEnglish(readAmount('to taste'))).toMatchObject({
      ok: true,
      value: { uncounted: true, approximate: true },
    });
    expect(inEnglish(readAmount('1 cup'))).toMatchObject({ value: { approximate: true } });
    expect(inEnglish(readAmount('120 g'))).toMatchObject({ value: { approximate: false } });
    expect(inEnglish(readAmount('about 120 g'))).toMatchObject({ value: { approximate: true } });
  });

  it('flags two values for one amount that disagree, and goes by the scale', () => {
    expect(inEnglish(weighText('120 g (1 cup)', of('flour', 0.53)))).toMatchObject({
      value: { grams: 120, disagree: null },
    });
    expect(inEnglish(weighText('1 cup / 250 g', of('flour', 0.53)))).toMatchObject({
      value: {
        grams: 250,
        disagree: expect.stringMatching(/disagree: 250 g and 133 g, 47 % apart/) as string,
      },
    });
    expect(inEnglish(weighText('100 g = 3.6 oz', of('flour', 0.53)))).toMatchObject({
      value: { disagree: expect.stringContaining('disagree') as string },
    });
  });

  it('leaves the name that follows', () => {
    expect(inEnglish(readAmount('2 tbsp of sugar'))).toMatchObject({ value: { rest: 'sugar' } });
    expect(inEnglish(readAmount('54 % water'))).toMatchObject({
      value: { values: [[{ from: 54, to: 54, unit: '%' }]], rest: 'water' },
    });
  });

  it('weighs the lower end of a range and keeps the rest ready', () => {
    expect(inEnglish(weighText('3 1/2 to 4 cups', of('flour', 0.53)))).toMatchObject({
      value: { grams: 463.75, upTo: 530 },
    });
    expect(inEnglish(weighText('540 g', of('flour', 0.53)))).toMatchObject({
      value: { grams: 540, upTo: 540 },
    });
  });

  it('keeps how a thing is as a remark', () => {
    expect(inEnglish(readAmount('2 heaped tbsp soft butter, cubed'))).toMatchObject({
      value: { remarks: ['soft', 'cubed'], rest: 'butter' },
    });
    expect(inEnglish(readAmount('250 ml milk (about 38 °C)'))).toMatchObject({ value: { rest: 'milk' } });
  });

  it('takes a bare number in a field for weights alone, and asks elsewhere', () => {
    expect(grams('540', of('dough', null, { bare: 'g' }))).toBe(540);
    expect(grams('2', of('dough', null, { bare: 'oz' }))).toBeCloseTo(56.7, 1);
    expect(fault('540')).toMatch(/540 of what\?/);
    expect(fault('1,500', of('dough', null, { bare: 'g' }))).toMatch(/Is that 1.5 or 1500\?/);
    expect(grams('3', of('egg', 1.03))).toBe(150);
  });

  it.each([
    ['', /Enter an amount/],
    ['a lot', /Could not read “lot”|of what/],
    ['-5 g', /negative/],
    ['1/0 cup', /not a number/],
    ['1 tin', /How much does one tin of flour weigh/],
    ['120 g (much)', /Could not read “\(much\)”/],
    ['1,250 kg', /Is that 1.25 kg or 1250 kg\?/],
    ['2 tins (400 g)', /each tin or of all 2/],
    ['1 package plus 1 yolk', /package|packet/],
  ])('%j is answered in a sentence', (text, sentence) => expect(fault(text)).toMatch(sentence));

  it('asks for a density where a cup of something has no weight', () => {
    expect(fault('1 cup', of('quince paste', null))).toMatch(/Quince paste has no density/);
  });
});

describe('lengths', () => {
  it.each([
    ['25 mm', 25],
    ['2,5 cm', 25],
    ['1 in', 25.4],
    ['3/8"', 9.525],
    ['25', 25],
  ])('%s', (text, value) => expect(parseMillimetres(text)).toBeCloseTo(value, 6));

  it('are none without a number or with another unit', () => {
    expect([parseMillimetres('thin'), parseMillimetres('3 g')]).toEqual([null, null]);
  });
});

describe('what a reader sees', () => {
  it('is in the reader’s units', () => {
    const pounds = { ...METRIC, mass: 'oz', temperature: 'F', length: 'in' } as const;
    expect([showMass(9000, METRIC), showMass(540, METRIC), showMass(0.75, METRIC)]).toEqual([
      '9.000 kg',
      '540 g',
      '0.8 g',
    ]);
    expect([showMass(540, pounds), showMass(9000, pounds)]).toEqual(['19.05 oz', '19 lb 13.5 oz']);
    expect([showCelsius(23.9, METRIC), showCelsius(23.9, pounds)]).toEqual(['23.9 °C', '75 °F']);
    expect([showLength(25, METRIC), showLength(415, METRIC), showLength(41.4, pounds)]).toEqual([
      '25 mm',
      '41.5 cm',
      '1.63 in',
    ]);
  });
});
