import type { Formula, FormulaLine, StageKind } from '@/core/formula/formula';

/** The demo bakery's own formulas, made up. */

type Lines = [ingredient: string, percent: number, note?: string][];

function lines(rows: Lines): FormulaLine[] {
  return rows.map(([ingredient, percent, note]) => ({ ingredient, percent, ...(note ? { note } : {}) }));
}

function formula(doughCelsius: number | null, stages: Partial<Record<StageKind, Lines>>): Formula {
  return {
    doughCelsius,
    stages: Object.entries(stages).map(([kind, rows]) => ({ kind: kind as StageKind, lines: lines(rows) })),
  };
}

export const FORMULAS: Record<string, Formula> = {
  'Crescent dough': formula(24, {
    dough: [
      ['water', 27],
      ['milk', 25],
      ['fresh-yeast', 3.6, 'stirred into the water'],
      ['wheat-flour', 100],
      ['sugar', 11.5],
      ['butter', 6, 'soft'],
      ['salt', 1.9, 'late'],
    ],
    'roll-in': [['butter', 47.25]],
  }),
  'Danish dough': formula(21, {
    dough: [
      ['milk', 36],
      ['egg', 15],
      ['fresh-yeast', 4.2],
      ['wheat-flour', 100],
      ['sugar', 13],
      ['butter', 8],
      ['salt', 1.8, 'late'],
    ],
    'roll-in': [['butter', 55.2]],
  }),
  'Brioche dough': formula(25, {
    sponge: [
      ['milk', 12, '30 °C'],
      ['fresh-yeast', 4],
      ['strong-flour', 18, 'half an hour, until the flour cracks'],
    ],
    dough: [
      ['egg', 46, 'cold'],
      ['strong-flour', 82],
      ['sugar', 14],
      ['salt', 2],
      ['butter', 44, 'last, in portions, when the dough leaves the bowl'],
    ],
  }),
  'Levain crescent dough': formula(25, {
    levain: [
      ['ripe-levain', 4, 'at its peak'],
      ['wheat-flour', 10],
      ['water', 10, '26 °C'],
    ],
    dough: [
      ['water', 24],
      ['milk', 19],
      ['wheat-flour', 88],
      ['sugar', 11],
      ['butter', 5],
      ['salt', 2, 'late'],
    ],
    'roll-in': [['butter', 46.8]],
  }),
  'Poppy filling': formula(null, {
    filling: [
      ['milk', 34, 'brought to the boil'],
      ['sugar', 18],
      ['poppy-seed', 36],
      ['starch', 3],
      ['butter', 6],
      ['lemon-zest', 3],
    ],
  }),
  'Almond cream': formula(null, {
    filling: [
      ['butter', 25],
      ['sugar', 25],
      ['egg', 25],
      ['ground-almond', 23],
      ['starch', 2],
    ],
  }),
  'Egg wash': formula(null, {
    finish: [
      ['egg', 80],
      ['milk', 19],
      ['salt', 1],
    ],
  }),
};
