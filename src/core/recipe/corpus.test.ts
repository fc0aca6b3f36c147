import { describe, expect, it } from 'vitest';
import { hitRate, RECIPES, scoreOf, type Score, sumOf, table } from '../../../test-support/recipes';

/** Every second recipe was held back until the rules stood. */
const half = (nth: 0 | 1) => RECIPES.filter((_, i) => i % 2 === nth);

function hold(score: Score) {
  process.stdout.write(`${table(score)}\n`);
  expect(hitRate(score.amounts)).toBeGreaterThanOrEqual(0.98);
  expect(hitRate(score.steps)).toBeGreaterThanOrEqual(0.92);
  expect(score.wrong.length / score.values).toBeLessThanOrEqual(1 / 200);
}

describe('recipes as people write them', () => {
  it.skipIf(process.env.HEFETEIG_RECIPES)('are read: those that the rules were written with', () => {
    hold(sumOf(half(0).map(scoreOf)));
  });

  it.skipIf(process.env.HEFETEIG_RECIPES)('are read: those that were held back', () => {
    hold(sumOf(half(1).map(scoreOf)));
  });

  it.runIf(process.env.HEFETEIG_RECIPES)('are read: those of another folder', () => {
    hold(sumOf(RECIPES.map(scoreOf)));
  });
});
