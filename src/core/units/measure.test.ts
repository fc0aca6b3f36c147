import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KITCHENS } from './measures';
import { measure, readMeasure, showMeasure, type MeasureKind } from './measure';
import { METRIC, type ReaderUnits } from './reader';

const SYSTEMS: ReaderUnits[] = (['g', 'oz'] as const).flatMap((mass) =>
  (['C', 'F'] as const).flatMap((temperature) =>
    (['cm', 'in'] as const).flatMap((length) =>
      KITCHENS.map(({ id: kitchen }) => ({ mass, temperature, length, kitchen })),
    ),
  ),
);

/** The values a field may hold, in steps of what it is exact to. */
const FIELDS: Record<MeasureKind, { from: number; to: number; step: number }> = {
  celsius: { from: -40, to: 300, step: 0.1 },
  difference: { from: -20, to: 40, step: 0.1 },
  mm: { from: 0.5, to: 400, step: 0.1 },
  cm: { from: 1, to: 400, step: 0.5 },
  grams: { from: 1, to: 60_000, step: 1 },
};

describe('a measurement in a field', () => {
  it.each(Object.entries(FIELDS) as [MeasureKind, (typeof FIELDS)['mm']][])(
    '%s: shown and read back it is the same number, in every unit system',
    (kind, { from, to, step }) => {
      const values = fc.integer({ min: Math.round(from / step), max: Math.round(to / step) });
      fc.assert(
        fc.property(values, fc.constantFrom(...SYSTEMS), (steps, units) => {
          const value = steps * step;
          const back = readMeasure(kind, showMeasure(measure(kind, value), units), units);
          expect(Math.round(back / step)).toBe(steps);
        }),
        { numRuns: 2000 },
      );
    },
  );

  it('names its unit, and is read in the reader’s where it names none', () => {
    const fahrenheit: ReaderUnits = { mass: 'oz', temperature: 'F', length: 'in', kitchen: 'us' };
    expect(showMeasure(measure('celsius', 24), fahrenheit)).toBe('75.2 °F');
    expect(showMeasure(measure('mm', 25.4), fahrenheit)).toBe('1 in');
    expect(showMeasure(measure('grams', 10_000), fahrenheit)).toBe('352.74 oz');
    expect(readMeasure('celsius', '75.2', fahrenheit)).toBeCloseTo(24, 6);
    expect(readMeasure('celsius', '24 °C', fahrenheit)).toBe(24);
    expect(readMeasure('cm', '10', fahrenheit)).toBeCloseTo(25.4, 6);
    expect(readMeasure('grams', '2', fahrenheit)).toBeCloseTo(56.699, 3);
    expect(readMeasure('difference', '9 °F', fahrenheit)).toBe(5);
    expect(readMeasure('difference', '5 °C', fahrenheit)).toBe(5);
  });

  it('is none where a text is no such value', () => {
    const units = SYSTEMS[0] as ReaderUnits;
    for (const kind of Object.keys(FIELDS) as MeasureKind[])
      expect([kind, readMeasure(kind, 'warm', units)]).toEqual([kind, NaN]);
    expect(showMeasure(measure('mm', NaN), units)).toBe('');
  });
});

describe('a weight that a field asks for', () => {
  it('is no word for an amount that nobody weighs, and may be nothing where that is written', () => {
    for (const text of ['a little', 'enough', 'to taste', 'some'])
      expect(readMeasure('grams', text, METRIC), text).toBeNaN();
    expect(readMeasure('grams', '0 g', METRIC)).toBe(0);
    expect(readMeasure('grams', '12 g', METRIC)).toBe(12);
  });
});
