import { describe, expect, it } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import type { Formula } from '../formula/formula';
import type { ScaledFormula } from '../formula/scale';
import { expandDough } from './expand';
import { onMachines } from './on-machines';
import type { ProductSpec } from './route';
import { stepAmounts } from './step-amounts';

const line = (ingredient: string, grams: number) => ({
  ...{ ingredient, percent: 0, grams, approximate: false, uncounted: false },
});
const SCALED: ScaledFormula = {
  stages: [
    { kind: 'sponge', grams: 1000, lines: [line('wheat-flour', 500), line('water', 490), line('yeast', 10)] },
    { kind: 'dough', grams: 2000, lines: [line('wheat-flour', 1500), line('salt', 40)] },
    { kind: 'roll-in', grams: 900, lines: [line('butter', 900)] },
  ],
  ...{ flourGrams: 2000, doughGrams: 3000, rollInGrams: 900 },
};
const WASH: Formula = {
  doughCelsius: null,
  stages: [
    {
      kind: 'finish',
      lines: [
        { ingredient: 'egg', percent: 80 },
        { ingredient: 'milk', percent: 20 },
      ],
    },
  ],
};
const FILLING: Formula = {
  doughCelsius: null,
  stages: [
    {
      kind: 'filling',
      lines: [
        { ingredient: 'poppy-seed', percent: 75 },
        { ingredient: 'milk', percent: 25 },
      ],
    },
  ],
};
const formulaOf = (id: number) =>
  new Map([
    [7, WASH],
    [8, FILLING],
  ]).get(id);

function amounts(product: ProductSpec, pieces = 40) {
  const dough = onMachines(expandDough([{ id: 5, product, pieces }], SMALL_SIZES), ONE_OF_EACH);
  return stepAmounts({ ...dough, outputs: [{ id: 5, pieces, piece: product.piece }] }, SCALED, formulaOf);
}
const whatAt = (found: ReturnType<typeof amounts>, key: string) => found.get(key)?.map(({ what }) => what);

describe('what is weighed out', () => {
  it('is butter at the block, and all else where it is mixed, where nothing is set beside it', () => {
    const found = amounts(SMALL_PRODUCT);
    expect(whatAt(found, 'mix')).toEqual([{ stage: 'sponge' }, { stage: 'dough' }]);
    expect(whatAt(found, 'butter')).toEqual([{ stage: 'roll-in' }]);
    expect(found.get('butter')?.[0]).toMatchObject({
      grams: 900,
      lines: [{ ingredient: 'butter', grams: 900 }],
    });
  });

  it('is a sponge where that is set, in a branch of its own', () => {
    const { dough, ...route } = SMALL_PRODUCT.route;
    const set = {
      id: 'set',
      kind: 'sponge',
      label: 'set',
      work: { fixed: 5, people: 1 },
      branch: 'sponge',
      around: 22,
      settling: 60,
    } as const;
    const product: ProductSpec = {
      ...SMALL_PRODUCT,
      route: {
        ...route,
        dough: {
          steps: [set, ...dough.steps],
          links: [{ from: 'set', to: 'mix', min: 0, max: 600 }, ...dough.links],
        },
      },
    };
    const found = amounts(product);
    expect(whatAt(found, 'set')).toEqual([{ stage: 'sponge' }]);
    expect(whatAt(found, 'mix')).toEqual([{ stage: 'dough' }]);
  });

  it('is a filling for the pieces of this load, by its formula; what has none is not weighed out', () => {
    const filled = (formulaId?: number): ProductSpec => ({
      ...SMALL_PRODUCT,
      piece: {
        ...SMALL_PRODUCT.piece,
        fillings: [
          {
            ...{
              name: 'poppy',
              moment: 'laid',
              per: 'piece',
              grams: 20,
              limit: 25,
              bareEdge: 0,
              where: 'middle',
            },
            ...(formulaId === undefined ? {} : { formulaId }),
          },
        ],
      },
    });
    expect(amounts(filled(8)).get('5.1.shape')).toEqual([
      {
        ...{ what: { part: 'poppy' }, grams: 800 },
        lines: [
          { ingredient: 'poppy-seed', grams: 600 },
          { ingredient: 'milk', grams: 200 },
        ],
      },
    ]);
    expect(amounts(filled()).get('5.1.shape')).toBeUndefined();
    expect(amounts(filled(99)).get('5.1.shape')).toBeUndefined();
  });

  it('is nothing of a dough that is not mixed', () => {
    const dough = onMachines(
      expandDough([{ id: 5, product: SMALL_PRODUCT, pieces: 40 }], SMALL_SIZES),
      ONE_OF_EACH,
    );
    const outputs = [{ id: 5, pieces: 40, piece: SMALL_PRODUCT.piece }];
    expect(stepAmounts({ ...dough, outputs }, null, formulaOf).size).toBe(0);
  });
});
