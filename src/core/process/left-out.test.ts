import { describe, expect, it } from 'vitest';
import { SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { expandDough } from './expand';
import { optionalSteps, withoutSteps } from './left-out';
import type { ProductSpec, Route } from './route';

/** The small product with steps that can be left out. */
function optional(...ids: string[]): ProductSpec {
  const marked = (route: Route): Route => ({
    ...route,
    steps: route.steps.map((step) => (ids.includes(step.id) ? { ...step, optional: true } : step)),
  });
  const { route } = SMALL_PRODUCT;
  return { ...SMALL_PRODUCT, route: { ...route, dough: marked(route.dough), output: marked(route.output) } };
}
const expanded = (product: ProductSpec, pieces = 40) =>
  expandDough([{ id: 5, product, pieces }], SMALL_SIZES);
const keys = (dough: { steps: { key: string }[] }) => dough.steps.map(({ key }) => key);

describe('a dough with steps left out', () => {
  it('goes from what was before them to what comes after', () => {
    const dough = expanded(optional('retard'));
    const left = withoutSteps(dough, ['retard']);
    expect(keys(left)).toEqual(keys(dough).filter((key) => key !== 'retard'));
    const [into] = dough.links.filter(({ to }) => to === 'retard');
    const [on] = dough.links.filter(({ from }) => from === 'retard');
    expect(left.links).toContainEqual(
      expect.objectContaining({ from: into?.from, to: on?.to, min: (into?.min ?? 0) + (on?.min ?? 0) }),
    );
    expect(left.links.some(({ from, to }) => from === 'retard' || to === 'retard')).toBe(false);
  });

  it('leaves them out of every load', () => {
    const dough = expanded(optional('load'), 400);
    const loads = keys(dough).filter((key) => key.endsWith('.load'));
    expect(loads.length).toBeGreaterThan(1);
    const left = withoutSteps(dough, ['load']);
    expect(keys(left).filter((key) => key.endsWith('.load'))).toEqual([]);
    for (const { key } of left.ready) expect(keys(left)).toContain(key);
  });

  it('keeps what nobody may leave out, and the last step, by which the goods are ready', () => {
    const dough = expanded(SMALL_PRODUCT);
    expect(withoutSteps(dough, ['retard', 'mix'])).toEqual(dough);
    const last = dough.ready[0]?.key.split('.').at(-1) ?? '';
    const ending = expanded(optional(last));
    expect(keys(withoutSteps(ending, [last]))).toEqual(keys(ending));
  });

  it('is offered the steps that can be, in their order', () => {
    expect(optionalSteps(optional('load', 'retard')).map(({ id }) => id)).toEqual(['retard', 'load']);
    expect(optionalSteps(SMALL_PRODUCT)).toEqual([]);
  });
});
