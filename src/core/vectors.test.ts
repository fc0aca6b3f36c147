import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { countPieces } from './cutting/count';
import type { PieceShape } from './cutting/piece';
import { progressAlong } from './ferment/progress';
import { fermentationRate } from './ferment/rate';
import { analyse } from './formula/analysis';
import { convertYeast, doughPercent, type Formula } from './formula/formula';
import { ingredientBook } from './formula/ingredient';
import { USUAL_INGREDIENTS } from './formula/ingredients';
import { scale } from './formula/scale';
import { conduct, type Warming } from './heat/conduction';
import { factorRule, iceFor, liquidCelsius, WATER_HEAT } from './heat/water';
import { neededDough, shortBy, type LockInStyle, type Size } from './lamination/lock-in';
import { layersOf, type Operation } from './lamination/stack';

/** Inputs and right answers worked out apart from this code; another folder of the same shape may be named. */
const FOLDER = process.env.HEFETEIG_VECTORS ?? join(process.cwd(), 'test-data', 'vectors');

const near = (actual: number, wanted: number, tolerance: number, what: string) =>
  expect(Math.abs(actual - wanted), `${what}: ${actual}, not ${wanted}`).toBeLessThanOrEqual(tolerance);

const book = ingredientBook(USUAL_INGREDIENTS);

function formulaCase(c: {
  percent: Record<string, number>;
  by: 'flour' | 'dough';
  kg: number;
  weightsG: Record<string, number>;
  totalPercent: number;
  hydrationPercent: number;
  freshYeastG: number;
  activeDryYeastG: number;
}): void {
  const lines = Object.entries(c.percent).map(([name, percent]) => {
    const ingredient = book.find(name);
    if (!ingredient) throw new Error(`No ingredient ${name}.`);
    return { ingredient: ingredient.id, percent };
  });
  const formula: Formula = { doughCelsius: 24, stages: [{ kind: 'dough', lines }] };
  const scaled = scale(formula, book, { by: c.by, grams: c.kg * 1000 });
  near(doughPercent(formula), c.totalPercent, 0.02, 'total');
  near(analyse(formula, book).hydration, c.hydrationPercent, 0.02, 'hydration');
  const grams = (name: string) =>
    scaled.stages[0]?.lines.find((line) => line.ingredient === book.find(name)?.id)?.grams ?? 0;
  for (const [name, wanted] of Object.entries(c.weightsG)) near(grams(name), wanted, 0.2, name);
  const instant = grams('instant yeast');
  near(convertYeast(instant, 'instant', 'fresh'), c.freshYeastG, 0.2, 'fresh yeast');
  near(convertYeast(instant, 'instant', 'activeDry'), c.activeDryYeastG, 0.2, 'active dry yeast');
}

function heatBalanceCase(c: {
  ingredients: { kg: number; c: number; tempC: number }[];
  waterKg: number;
  ddtC: number;
  riseC: number;
  tapC: number;
  iceC: number;
  waterC: number;
  iceKg: number;
}): void {
  const parts = c.ingredients.map(({ kg, c: heat, tempC }) => ({ kg, heat, celsius: tempC }));
  const liquid = { kg: c.waterKg, heat: WATER_HEAT, isWater: true };
  near(liquidCelsius({ parts, liquid, target: c.ddtC, rise: c.riseC }), c.waterC, 0.05, 'water');
  const question = {
    parts,
    liquid,
    target: c.ddtC,
    rise: c.riseC,
    coldest: c.tapC,
    ice: c.iceC,
    warmest: 43,
  };
  near(iceFor(question), c.iceKg, 0.002, 'ice');
}

interface SlabCase {
  thicknessMm: number;
  startC: number;
  airC: number;
  k: number;
  rho: number;
  cp: number;
  minutes: number;
}

function slab(c: SlabCase, top: number, bottom: number): (of: (warming: Warming) => number[]) => number {
  const material = { conductivity: c.k, density: c.rho, heats: [{ from: -Infinity, heat: c.cp / 1000 }] };
  const body = { shape: 'slab' as const, layers: [{ material, mm: c.thicknessMm }] };
  const warming = conduct(body, c.startC, [{ minutes: c.minutes, celsius: c.airC, top, bottom }], c.minutes);
  return (of) => of(warming).at(-1) ?? NaN;
}

function slabCase(c: SlabCase & { h: number; coreC: number; surfaceC: number; meanC: number }): void {
  const end = slab(c, c.h, c.h);
  near(
    end((w) => w.core),
    c.coreC,
    0.15,
    'core',
  );
  near(
    end((w) => w.surface),
    c.surfaceC,
    0.15,
    'surface',
  );
  near(
    end((w) => w.mean),
    c.meanC,
    0.15,
    'mean',
  );
}

function twoFacesCase(
  c: SlabCase & { hTop: number; hBottom: number; midC: number; topC: number; bottomC: number; meanC: number },
): void {
  const end = slab(c, c.hTop, c.hBottom);
  near(
    end((w) => w.core),
    c.midC,
    0.2,
    'middle',
  );
  near(
    end((w) => w.top),
    c.topC,
    0.2,
    'top',
  );
  near(
    end((w) => w.bottom),
    c.bottomC,
    0.2,
    'bottom',
  );
  near(
    end((w) => w.mean),
    c.meanC,
    0.2,
    'mean',
  );
}

const cardinal = ([lowest = 0, best = 0, highest = 0]: number[]) => ({ lowest, best, highest });

function progressCase(c: {
  cardinal: number[];
  referenceC: number;
  referenceMin: number;
  profile: [number, number][];
  progress: number;
}): void {
  const fermentation = { cardinal: cardinal(c.cardinal), celsius: c.referenceC, minutes: c.referenceMin };
  const profile = c.profile.map(([minute, celsius]) => ({ minute, celsius }));
  near(progressAlong(fermentation, profile), c.progress, 0.002, 'progress');
}

function laminationCase(c: {
  operations: Operation[];
  fatG: number;
  doughG: number;
  sheetMm: number;
  fatLayers: number;
  layers: number;
  fatVolumeFraction: number;
  meanFatUm: number;
  minFatUm: number;
  maxFatUm: number;
  minDoughUm: number;
  maxDoughUm: number;
}): void {
  const layers = layersOf(c.operations, c.fatG, c.doughG, c.sheetMm);
  expect([layers.fatLayers, layers.layers]).toEqual([c.fatLayers, c.layers]);
  near(layers.fatVolumeFraction, c.fatVolumeFraction, 0.0001, 'fat by volume');
  near(layers.meanFat, c.meanFatUm, 0.05, 'mean fat layer');
  near(layers.minFat, c.minFatUm, 0.05, 'thinnest fat layer');
  near(layers.maxFat, c.maxFatUm, 0.05, 'thickest fat layer');
  near(layers.minDough, c.minDoughUm, 0.05, 'thinnest dough layer');
  near(layers.maxDough, c.maxDoughUm, 0.05, 'thickest dough layer');
}

function lockInCase(c: {
  style: LockInStyle;
  butterCm: Size;
  doughCm: Size;
  seamCm: number;
  rimCm: number;
  neededDoughCm: Size;
  shortByCm: Size;
  fits: boolean;
}): void {
  const needed = neededDough(c.style, c.butterCm, c.seamCm, c.rimCm);
  const short = shortBy(c.doughCm, needed);
  for (const i of [0, 1] as const) {
    near(needed[i], c.neededDoughCm[i], 0.02, 'needed');
    near(short[i], c.shortByCm[i], 0.02, 'short by');
  }
  expect(short[0] < 0.005 && short[1] < 0.005).toBe(c.fits);
}

function cuttingCase(c: {
  shape: PieceShape;
  baseCm: number;
  heightCm: number;
  sheetCm: [number, number];
  thicknessMm: number;
  densityGcm3: number;
  baseAlongLength: number;
  baseAlongWidth: number;
  pieces: number;
  pieceG: number;
  scrapShare: number;
}): void {
  const count = countPieces({
    ...{ shape: c.shape, base: c.baseCm, height: c.heightCm, length: c.sheetCm[0], width: c.sheetCm[1] },
    ...{ thicknessMm: c.thicknessMm, density: c.densityGcm3 },
  });
  const { baseAlongLength, baseAlongWidth, pieces } = c;
  expect(count).toMatchObject({ baseAlongLength, baseAlongWidth, pieces });
  near(count.pieceGrams, c.pieceG, 0.02, 'piece');
  near(count.scrap, c.scrapShare, 0.0002, 'scrap');
}

/** What each file is checked by. A file that is not here fails. */
const CHECKS: Record<string, (one: never) => void> = {
  'formula.json': formulaCase,
  'water-heat-balance.json': heatBalanceCase,
  'water-factor-rule.json': (c: {
    ddtC: number;
    termsC: number[];
    frictionFactorC: number;
    waterC: number;
  }) => near(factorRule(c.ddtC, c.termsC, c.frictionFactorC), c.waterC, 0.005, 'water'),
  'slab.json': slabCase,
  'slab-two-faces.json': twoFacesCase,
  'ferment-rate.json': (c: { cardinal: number[]; tempC: number; rate: number }) =>
    near(fermentationRate(cardinal(c.cardinal), c.tempC), c.rate, 1e-4, 'rate'),
  'ferment-progress.json': progressCase,
  'lamination.json': laminationCase,
  'lock-in-fit.json': lockInCase,
  'cutting.json': cuttingCase,
};

describe('worked-out answers', () => {
  const files = readdirSync(FOLDER).filter((name) => name.endsWith('.json'));

  it('are there', () => expect(files.length).toBeGreaterThan(0));

  for (const file of files) {
    it(`of ${file} agree within their tolerances`, () => {
      const check = CHECKS[file];
      if (!check) throw new Error(`Nothing here knows how to check ${file}.`);
      const { cases } = JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as { cases: never[] };
      expect(cases.length).toBeGreaterThan(0);
      cases.forEach(check);
    });
  }
});
