import { describe, expect, it } from 'vitest';
import type { Formula } from './formula';
import { weighOut } from './weigh-out';

const CREAM: Formula = {
  doughCelsius: null,
  stages: [
    {
      kind: 'filling',
      lines: [
        { ingredient: 'milk', percent: 60 },
        { ingredient: 'sugar', percent: 20 },
        { ingredient: 'salt', percent: 0, uncounted: true },
      ],
    },
  ],
};

describe('weighing out', () => {
  it('gives each ingredient its share of the whole, and none to what is not weighed', () => {
    expect(weighOut(CREAM, 400)).toEqual([
      { ingredient: 'milk', grams: 300 },
      { ingredient: 'sugar', grams: 100 },
      { ingredient: 'salt', grams: null },
    ]);
  });
});
