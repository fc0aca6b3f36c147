import { describe, expect, it } from 'vitest';
import type { RouteStep } from './route';
import { lackingKinds } from './set-up';

const holding = (machine: NonNullable<RouteStep['holds']>[number]['machine']): RouteStep => ({
  ...{ id: machine, kind: 'bake', label: 'Step', around: 22, settling: 60 },
  holds: [{ machine, amount: 1, per: 'once' }],
});
const loaf = { name: 'Loaf', routes: [{ steps: [holding('mixer')] }, { steps: [holding('oven')] }] };
const frozen = { name: 'Crescent', routes: [{ steps: [holding('oven'), holding('freezer')] }] };

describe('machines that a bakery lacks', () => {
  it('are those that a step of a product holds, each with its products', () => {
    expect(lackingKinds([loaf, frozen], [{ kind: 'mixer' }])).toEqual([
      { kind: 'oven', products: ['Loaf', 'Crescent'] },
      { kind: 'freezer', products: ['Crescent'] },
    ]);
  });

  it('are none where another kind does as well: a blast freezer freezes too', () => {
    expect(lackingKinds([frozen], [{ kind: 'oven' }, { kind: 'blast' }])).toEqual([]);
  });

  it('are none for a bakery without products', () => {
    expect(lackingKinds([], [])).toEqual([]);
  });
});
