import { describe, expect, it } from 'vitest';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { productOn } from './product-on';
import type { ProductSpec, RouteStep } from './route';
import { addBranch, addStep, routeOf, threadsOf } from './threads';

const idsOf = (product: ProductSpec) => {
  const { dough, output, fork } = product.route;
  const main = threadsOf(output)[0]?.steps.map(({ step }) => step.id) ?? [];
  return { dough: dough.steps.map(({ id }) => id), output: main, fork: [fork.from, fork.to] };
};
const step = (id: string, kind: RouteStep['kind']): RouteStep => ({
  ...{ id, kind, label: id, around: 4, settling: 60 },
  wait: { shortest: 60, best: 90, longest: 600, shortCost: 1, longCost: 1 },
});
const pieces = threadsOf(SMALL_PRODUCT.route.output);
const withOutput = (threads: typeof pieces): ProductSpec => ({
  ...SMALL_PRODUCT,
  route: { ...SMALL_PRODUCT.route, output: routeOf(threads) },
});

describe('the way of pieces', () => {
  it('fresh is the product’s own', () => expect(productOn('fresh', SMALL_PRODUCT)).toBe(SMALL_PRODUCT));

  it('to the freezer ends when they are bagged: the dough is the same, so that fresh ones can come from it too', () => {
    const frozen = productOn('to-freezer', SMALL_PRODUCT);
    expect(idsOf(frozen).output).toEqual(['shape', 'to-freezer', 'bag']);
    expect(frozen.route.dough).toBe(SMALL_PRODUCT.route.dough);
    expect(frozen.route.output.steps.filter(({ stock }) => stock === 'in').map(({ id }) => id)).toEqual([
      'bag',
    ]);
  });

  it('from the freezer mixes nothing: taken out, thawed, and on as ever', () => {
    const thawed = productOn('from-freezer', SMALL_PRODUCT);
    const { dough, output, fork } = idsOf(thawed);
    expect([dough, output.slice(0, 2), fork]).toEqual([
      ['take-out'],
      ['thawing', 'to-proof'],
      ['take-out', 'thawing'],
    ]);
    expect(thawed.scheme).toBeNull();
    expect(thawed.route.dough.steps[0]?.gives).toBe(-18);
    expect(output.at(-1)).toBe(threadsOf(SMALL_PRODUCT.route.output)[0]?.steps.at(-1)?.step.id);
  });

  it('is parted where the product itself freezes and thaws', () => {
    const own = withOutput(
      addStep(addStep(pieces, 'shape', step('deep', 'freeze')), 'deep', step('night', 'thaw')),
    );
    expect(idsOf(productOn('to-freezer', own)).output).toEqual(['shape', 'deep', 'bag']);
    expect(idsOf(productOn('from-freezer', own)).output.slice(0, 2)).toEqual(['night', 'proof']);
  });

  it('keeps what is made beside the steps that stay, and nothing else', () => {
    const icing = { branch: 'icing' as const, steps: [step('icing', 'filling')] };
    const late = withOutput(addBranch(pieces, 'bake', icing));
    expect(productOn('from-freezer', late).route.output.steps.some(({ id }) => id === 'icing')).toBe(true);
    expect(productOn('to-freezer', late).route.output.steps.some(({ id }) => id === 'icing')).toBe(false);
  });
});
