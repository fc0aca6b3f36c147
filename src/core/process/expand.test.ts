import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { quickestWay } from './earliest';
import { doughSize, expandDough, traysFor } from './expand';
import { taskId } from './step-ref';
import { planProblem } from '../schedule/problem';
import { canShareDough } from './route';
import { temperatureTrace } from './trace';
import { solve } from '../solver/solve';

const output = (id: number, pieces: number) => ({ id, product: SMALL_PRODUCT, pieces });

describe('expanding a dough', () => {
  it('weighs pieces and scrap', () => {
    expect(doughSize([output(1, 90)], SMALL_SIZES.cutting).kg).toBeCloseTo((90 * 0.06) / 0.9, 10);
  });

  it('gives every output its own way from the fork', () => {
    const { steps, links, ready } = expandDough([output(1, 20), output(2, 30)], SMALL_SIZES);
    expect(steps.filter(({ step }) => step.id === 'mix')).toHaveLength(1);
    expect(steps.filter(({ step }) => step.id === 'bake').map(({ key }) => key)).toEqual([
      '1.1.bake',
      '2.1.bake',
    ]);
    expect(links).toContainEqual({ from: 'sheet', to: '2.1.shape', min: 0, max: 30 });
    expect(ready.map(({ key }) => key)).toEqual(['1.1.finish', '2.1.finish']);
  });

  it('bakes in equal loads what does not fit the oven at once, and loses no piece', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 12 }), (pieces, oven) => {
        const bakes = expandDough([output(1, pieces)], { ...SMALL_SIZES, ovenTrays: oven }).steps.filter(
          ({ step }) => step.id === 'bake',
        );
        expect(bakes.reduce((sum, { load }) => sum + (load?.pieces ?? 0), 0)).toBe(pieces);
        for (const { uses } of bakes) expect(uses[0]?.amount).toBeLessThanOrEqual(oven);
      }),
    );
  });

  it('counts the trays that are begun', () => {
    expect(traysFor(output(1, 41))).toBe(5);
  });

  it('holds trays and tins from makeup to the end of cooling, and no longer', () => {
    const product = { ...SMALL_PRODUCT, piece: { ...SMALL_PRODUCT.piece, tins: 2 } };
    const carriers = ['rack', 'tray', 'tin'] as const;
    const { steps } = expandDough([{ id: 1, product, pieces: 40 }], { ...SMALL_SIZES, carriers });
    const held = (carrier: string) =>
      steps
        .filter(({ uses }) => uses.some(({ resource }) => resource === carrier))
        .map(({ step }) => step.kind);
    expect(held('tray')).toEqual(['shape', 'proof', 'load', 'bake']);
    expect(held('tin')).toEqual(held('tray'));
    expect(held('rack')).toEqual(held('tray'));
    const shape = steps.find(({ step }) => step.kind === 'shape');
    expect(shape?.uses).toContainEqual({ resource: 'tray', amount: traysFor(output(1, 40)) });
    expect(shape?.uses).toContainEqual({ resource: 'tin', amount: 80 });
  });

  it('holds no tins of pieces that need none, and nothing that the house does not count', () => {
    const held = expandDough([output(1, 40)], { ...SMALL_SIZES, carriers: ['tin'] }).steps.flatMap(
      ({ uses }) => uses.map(({ resource }) => resource),
    );
    expect(held).not.toContain('tin');
    expect(held).not.toContain('tray');
  });

  it('makes a problem that the engine can plan', () => {
    const expanded = expandDough([output(1, 40)], SMALL_SIZES);
    const machines = ['retarder', 'proofer', 'oven'].map((id) => ({ id, capacity: 9, changeover: 0 }));
    const frame = { name: 'one', horizon: 2880, now: 0, crew: [[0, 1]] as [number, number][], machines };
    const problem = planProblem(
      frame,
      [{ id: 3, expanded, promises: [{ outputId: 1, due: 1500, freshFor: 120 }] }],
      [],
    );
    const solution = solve(problem, { seed: 1, shouldStop: () => false });
    expect(solution?.plan).toMatchObject({ status: 'feasible', cost: 0 });
    if (solution?.plan.status === 'feasible')
      expect(solution.plan.times[taskId(3, '1.1.finish')]?.[1]).toBeLessThanOrEqual(1500);
  });
});

describe('sharing a dough', () => {
  it('is for products of one formula and one way to the fork', () => {
    expect(canShareDough(SMALL_PRODUCT, { ...SMALL_PRODUCT, versionId: 2, name: 'Roll' })).toBe(true);
    expect(canShareDough(SMALL_PRODUCT, { ...SMALL_PRODUCT, formulaVersionId: 2 })).toBe(false);
    const { dough } = SMALL_PRODUCT.route;
    const fewer = { ...SMALL_PRODUCT.route, dough: { ...dough, steps: dough.steps.slice(1) } };
    expect(canShareDough(SMALL_PRODUCT, { ...SMALL_PRODUCT, route: fewer })).toBe(false);
  });
});

describe('the quickest way', () => {
  it('is the longest chain of shortest lengths', () => {
    const way = quickestWay(expandDough([output(1, 40)], SMALL_SIZES), '1.1.finish');
    expect(way.minutes).toBe(659);
    expect(way.path.map(({ key }) => key)).not.toContain('butter');
  });
});

describe('the temperature of a thread', () => {
  const [mix, retard] = SMALL_PRODUCT.route.dough.steps as [
    (typeof SMALL_PRODUCT.route.dough.steps)[0],
    (typeof SMALL_PRODUCT.route.dough.steps)[0],
  ];
  const points = temperatureTrace(
    [
      { step: mix, start: 0, end: 15 },
      { step: retard, start: 15, end: 615 },
    ],
    20,
  );

  it('starts a wait where mixing left the dough and goes towards what is around it', () => {
    expect(points[0]?.celsius).toBe(24);
    expect(points.at(-1)?.celsius).toBeCloseTo(4, 1);
    const cooling = points.filter(({ minute }) => minute >= 15).map(({ celsius }) => celsius);
    expect([...cooling].sort((a, b) => b - a)).toEqual(cooling);
  });

  it('has covered two thirds of the way after its settling time', () => {
    const at =
      temperatureTrace([{ step: { ...retard, settling: 60 }, start: 0, end: 60 }], 24).at(-1)?.celsius ?? 0;
    expect((24 - at) / (24 - 4)).toBeCloseTo(1 - 1 / Math.E, 6);
  });
});
