import { describe, expect, it } from 'vitest';
import { machine, ONE_OF_EACH } from '../../../test-support/equipment';
import { SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import type { Equipment } from '../bakery/machines';
import { expandDough } from './expand';
import { choicesOf, mixerOf, movedTo, onMachines } from './on-machines';
import type { ProductSpec, RouteStep } from './route';
import { inEnglish } from '../../../test-support/words';

/** The small product with a step that holds a machine, and stands in its place. */
function holding(
  ...holds: [id: string, machine: NonNullable<RouteStep['holds']>[number]['machine'], RouteStep['place']?][]
): ProductSpec {
  const { dough, ...route } = SMALL_PRODUCT.route;
  const steps = dough.steps.map((step): RouteStep => {
    const found = holds.find(([id]) => id === step.id);
    if (!found) return step;
    const [, kind, place] = found;
    return { ...step, holds: [{ machine: kind, amount: 1, per: 'once' }], ...(place ? { place } : {}) };
  });
  return { ...SMALL_PRODUCT, route: { ...route, dough: { ...dough, steps } } };
}
const on = (
  equipment: Equipment,
  product = holding(['mix', 'mixer'], ['retard', 'retarder', 'retarder']),
  pieces = 40,
) => {
  const dough = onMachines(expandDough([{ id: 5, product, pieces }], SMALL_SIZES), equipment);
  return (key: string) => {
    const step = dough.steps.find((one) => one.key === key);
    if (!step) throw new Error(`There is no ${key}.`);
    return step;
  };
};
const machineOf = (step: { uses: { resource: string }[] }) =>
  step.uses.map(({ resource }) => resource).at(-1);
const more = (...machines: Equipment['machines']): Equipment => {
  return { ...ONE_OF_EACH, machines: [...ONE_OF_EACH.machines, ...machines] };
};

describe('a step at a divider', () => {
  it('is on the house’s divider, and at a bench by hand where it has none', () => {
    const divided = holding(['mix', 'divider']);
    expect(machineOf(on(ONE_OF_EACH, divided)('mix'))).toBe('bench');
    expect(machineOf(on(more(machine('divider', { id: 'press' })), divided)('mix'))).toBe('press');
  });
});

describe('a step that may be on some machines only', () => {
  const big = machine('oven', { id: 'big' });
  const small = machine('oven', { id: 'small' });
  const bakery = {
    ...ONE_OF_EACH,
    machines: [...ONE_OF_EACH.machines.filter(({ kind }) => kind !== 'oven'), big, small],
  };
  const only = (...ids: string[]) => {
    const product = holding(['mix', 'oven']);
    const { dough } = product.route;
    const steps = dough.steps.map((step) =>
      step.holds ? { ...step, holds: step.holds.map((hold) => ({ ...hold, only: ids })) } : step,
    );
    return on(bakery, { ...product, route: { ...product.route, dough: { ...dough, steps } } })('mix');
  };

  it('is on the preferred one, and may be moved to another that is named', () => {
    expect(machineOf(only('small', 'big'))).toBe('small');
    expect(only('small', 'big').uses.at(-1)?.among).toEqual(['small', 'big']);
  });

  it('is on no other, and on any where none of them is there any more', () => {
    expect(machineOf(only('small'))).toBe('small');
    expect(choicesOf(only('small'))).toEqual([]);
    expect(machineOf(only('sold'))).toBe('big');
    expect(only('sold').uses.at(-1)?.among).toEqual(['big', 'small']);
  });
});

describe('a dough on the machines of a bakery', () => {
  it('holds the one machine of a kind, in whose place it is', () => {
    const step = on(ONE_OF_EACH);
    expect(machineOf(step('mix'))).toBe('mixer');
    expect(inEnglish(step('retard'))).toMatchObject({
      place: 'retarder',
      uses: [{ resource: 'retarder', amount: 1 }],
    });
    expect(choicesOf(step('retard'))).toEqual([]);
  });

  it('has the first that takes it of several, and may be on any that does', () => {
    const small = machine('mixer', { id: 'small', kgAtOnce: 8 });
    const step = on(more(small))('mix');
    expect(machineOf(step)).toBe('mixer');
    expect(choicesOf(step)).toEqual(['mixer']);
    expect(choicesOf(step, ['crew', 'small'])).toEqual(['small']);
    expect(step.uses.at(-1)?.among).toEqual(['mixer', 'small']);
  });

  it('is in no mixer that it is too little or too much for, unless there is no other', () => {
    const large = machine('mixer', { id: 'large', kgLeast: 15, kgAtOnce: 80 });
    const tiny = machine('mixer', { id: 'tiny', kgAtOnce: 1 });
    const among = on(more(large, tiny))('mix').uses.at(-1)?.among;
    expect(among).toBeUndefined();
    expect(machineOf(on(more(large, tiny))('mix'))).toBe('mixer');
    const alone = { ...ONE_OF_EACH, machines: [large] };
    expect(machineOf(on(alone)('mix'))).toBe('large');
  });

  it('takes its place along to another machine', () => {
    const second = machine('retarder', { id: 'walk-in', capacity: 60, place: 'cellar' });
    const has = more(second);
    const step = on(has)('retard');
    expect(step.place).toBe('retarder');
    const moved = movedTo(step, ['walk-in'], has);
    expect(moved.place).toBe('cellar');
    expect(machineOf(moved)).toBe('walk-in');
    // What it has no choice of moves nothing.
    expect(inEnglish(movedTo(step, ['oven'], has))).toEqual(step);
  });

  it('freezes in a blast freezer too, but only where the freezer is not enough', () => {
    const blast = machine('blast', { id: 'shock', capacity: 20, place: 'shock' });
    const product = holding(['retard', 'freezer', 'freezer']);
    const both = on(more(blast), product)('retard');
    expect(both.uses.at(-1)).toMatchObject({ resource: 'freezer', among: ['freezer', 'shock'] });
    const only = { ...ONE_OF_EACH, machines: [blast] };
    expect(inEnglish(on(only, product)('retard'))).toMatchObject({
      place: 'shock',
      uses: [{ resource: 'shock' }],
    });
  });

  it('holds nothing of what the bakery does not have, and is then in the first place of that kind', () => {
    const step = on({ machines: [], places: ONE_OF_EACH.places })('retard');
    expect(inEnglish(step)).toMatchObject({ uses: [], place: 'retarder' });
    expect(on({ machines: [], places: [] })('retard').place).toBeUndefined();
  });

  it('names the mixer that it is mixed in', () => {
    const dough = expandDough([{ id: 5, product: holding(['mix', 'mixer']), pieces: 40 }], SMALL_SIZES);
    expect(mixerOf(onMachines(dough, ONE_OF_EACH).steps)).toBe('mixer');
    expect(mixerOf([])).toBeUndefined();
  });
});
