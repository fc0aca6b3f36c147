import { describe, expect, it } from 'vitest';
import type { FileProduct } from './products-file';
import { onHouseMachines } from './set-up-file';

const bake = (only?: string[]) => ({
  ...{ id: 'bake', kind: 'bake' as const, label: 'Bake', around: 185, settling: 25 },
  holds: [{ machine: 'oven' as const, amount: 1, per: 'tray' as const, ...(only ? { only } : {}) }],
});
const product = (only?: string[], tinKinds?: string[]): FileProduct => ({
  ...{ name: 'Loaf', doughName: 'Loaf', formula: 'Loaf dough', scheme: null, freshFor: 240, rises: {} },
  piece: { grams: 400, perTray: 6, scrap: 0.02, tins: 1, ...(tinKinds ? { tinKinds } : {}) },
  ...{ dough: [{ steps: [] }], output: [{ steps: [bake(only)] }] },
});
const idOf = new Map([
  ['oven', 'oven-2'],
  ['long-tins', 'tin-3'],
]);

describe('a product of another bakery', () => {
  it('names machines by the ids that they have here, in its order of preference', () => {
    const both = new Map([...idOf, ['small', 'oven']]);
    const taken = onHouseMachines(product(['small', 'oven'], ['long-tins']), both);
    expect(taken.output[0]?.steps[0]?.holds?.[0]?.only).toEqual(['oven', 'oven-2']);
    expect(taken.piece.tinKinds).toEqual(['tin-3']);
  });

  it('is free in the choice of what is not here', () => {
    const taken = onHouseMachines(product(['sold', 'oven'], ['sold']), idOf);
    expect(taken.output[0]?.steps[0]?.holds?.[0]?.only).toEqual(['oven-2']);
    expect(taken.piece).not.toHaveProperty('tinKinds');
    const free = onHouseMachines(product(['sold']), idOf);
    expect(free.output[0]?.steps[0]?.holds?.[0]).not.toHaveProperty('only');
  });

  it('that names none is the same here', () => {
    expect(onHouseMachines(product(), idOf)).toEqual(product());
  });
});
