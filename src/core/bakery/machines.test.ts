import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { dialFor, dialOn, machinesOf, placeOf } from './machines';

const ids = (machines: { id: string }[]) => machines.map(({ id }) => id);

describe('machines by kind', () => {
  const oven = machine('oven');
  const small = machine('oven', { id: 'small oven' });
  const freezer = machine('freezer');
  const blast = machine('blast');

  it('are those of the kind, in the house’s order, whatever they are called', () => {
    expect(ids(machinesOf('oven', [small, freezer, oven]))).toEqual(['small oven', 'oven']);
    expect(machinesOf('proofer', [oven, freezer])).toEqual([]);
  });

  it('are also those that do as well, after the kind itself, and not the other way round', () => {
    expect(ids(machinesOf('freezer', [blast, freezer]))).toEqual(['freezer', 'blast']);
    expect(ids(machinesOf('blast', [blast, freezer]))).toEqual(['blast']);
  });
});

describe('what is set on an oven', () => {
  it('is what the recipe says, lower for a fan and by what the oven is off', () => {
    expect(dialFor(machine('oven'), 200)).toBe(200);
    expect(dialFor(machine('oven', { details: { fan: true } }), 200)).toBe(180);
    expect(dialFor(machine('oven', { details: { fan: true, correction: 5 } }), 200)).toBe(185);
    expect(dialFor(machine('oven', { details: { correction: -8 } }), 200)).toBe(192);
    expect(dialOn('small', 200, [machine('oven', { id: 'small', details: { fan: true } })])).toBe(180);
    expect(dialOn('sold', 200, [])).toBe(200);
    expect(dialFor(machine('proofer', { details: { correction: 5 } }), 26)).toBe(26);
  });
});

describe('the place that a kind means', () => {
  it('is the first of that kind, else one that does as well', () => {
    const fridge = { id: 'walk-in', kind: 'fridge' } as const;
    const retarder = { id: 'cabinet', kind: 'retarder' } as const;
    expect(placeOf('retarder', [fridge, retarder])).toBe('cabinet');
    expect(placeOf('retarder', [fridge])).toBe('walk-in');
    expect(placeOf('fridge', [retarder])).toBeUndefined();
    expect(placeOf('room', [])).toBeUndefined();
  });
});
