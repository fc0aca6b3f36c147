import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  convertYeast,
  doughForPieces,
  hydrationPercent,
  scaleByDough,
  scaleByFinished,
  scaleByFlour,
  totalPercent,
  WATER_SHARE,
  type Formula,
} from './formula';

interface Vector {
  percent: Record<string, number>;
  by: 'flour' | 'dough';
  kg: number;
  weightsG: Record<string, number>;
  totalPercent: number;
  hydrationPercent: number;
  freshYeastG: number;
  activeDryYeastG: number;
}

const FOLDER = process.env.HEFETEIG_VECTORS ?? join(process.cwd(), 'test-data', 'vectors');
const { cases } = JSON.parse(readFileSync(join(FOLDER, 'formula.json'), 'utf8')) as { cases: Vector[] };
const water = (ingredient: string) =>
  ingredient in WATER_SHARE ? WATER_SHARE[ingredient as keyof typeof WATER_SHARE] : 0;
const formulaOf = (percent: Record<string, number>): Formula => ({
  lines: Object.entries(percent).map(([ingredient, value]) => ({
    ingredient,
    percent: value,
    water: water(ingredient),
  })),
  doughCelsius: 24,
  rollInPercent: 25,
});

describe('baker’s percent', () => {
  it.each(cases.map((vector, i) => [i + 1, vector] as const))(
    'agrees with worked-out case %i',
    (_, vector) => {
      const formula = formulaOf(vector.percent);
      const scaled = (vector.by === 'flour' ? scaleByFlour : scaleByDough)(formula, vector.kg * 1000);
      expect(totalPercent(formula)).toBeCloseTo(vector.totalPercent, 2);
      expect(Math.abs(hydrationPercent(formula) - vector.hydrationPercent)).toBeLessThan(0.02);
      for (const { ingredient, grams } of scaled.lines) {
        expect(Math.abs(grams - (vector.weightsG[ingredient] ?? 0)), ingredient).toBeLessThan(0.2);
      }
      const instant = scaled.lines.find(({ ingredient }) => ingredient === 'instant yeast')?.grams ?? 0;
      expect(Math.abs(convertYeast(instant, 'instant', 'fresh') - vector.freshYeastG)).toBeLessThan(0.2);
      expect(Math.abs(convertYeast(instant, 'instant', 'activeDry') - vector.activeDryYeastG)).toBeLessThan(
        0.2,
      );
    },
  );

  it('comes back to the flour it started from', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1e5, noNaN: true }), (flour) => {
        const formula = formulaOf(cases[0]?.percent ?? {});
        const { doughGrams, rollInGrams } = scaleByFlour(formula, flour);
        expect(scaleByDough(formula, doughGrams).flourGrams).toBeCloseTo(flour, 6);
        expect(scaleByFinished(formula, doughGrams + rollInGrams).flourGrams).toBeCloseTo(flour, 6);
      }),
    );
  });

  it('leaves the pieces their weight after trimming', () => {
    expect(doughForPieces(120, 62, 0.07) * 0.93).toBeCloseTo(120 * 62, 8);
  });
});
