import { describe, expect, it } from 'vitest';
import { compareFormulas } from './compare';
import { type Formula } from './formula';
import { LEVAIN_CRESCENT, lines } from '../../../test-support/formulas';

describe('versions side by side', () => {
  it('show what came, went and moved, stage by stage', () => {
    const after: Formula = {
      ...LEVAIN_CRESCENT,
      stages: LEVAIN_CRESCENT.stages.map((stage) =>
        stage.kind === 'dough'
          ? {
              ...stage,
              lines: lines({
                'wheat-flour': 88,
                water: 26,
                'oat-drink': 20,
                sugar: 11,
                salt: 2,
                butter: 5,
                'instant-yeast': 0.8,
              }),
            }
          : stage,
      ),
    };
    const changed = compareFormulas(LEVAIN_CRESCENT, after).filter(
      ({ before, after: now }) => before !== now,
    );
    expect(changed).toEqual([
      { stage: 'dough', ingredient: 'water', before: 24, after: 26 },
      { stage: 'dough', ingredient: 'oat-drink', before: null, after: 20 },
      { stage: 'dough', ingredient: 'milk', before: 20, after: null },
    ]);
  });
});
