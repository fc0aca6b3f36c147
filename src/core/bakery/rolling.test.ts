import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { longestBench, tableOf } from './rolling';

const HOUSE = { width: 58, length: 240, reduction: 0.4, fineReduction: 0.25, fineBelow: 8, leastGap: 1 };
const wide = machine('sheeter', { id: 'wide', details: { width: 64, length: 300, leastGap: 0.5 } });
const narrow = machine('sheeter', { id: 'narrow', details: { width: 45, reduction: 0.2 } });

describe('the table that a dough must fit', () => {
  it('is the house’s where no machine tells anything', () => {
    expect(tableOf([], HOUSE)).toEqual(HOUSE);
    expect(tableOf([machine('sheeter'), machine('bench', { details: { width: 30 } })], HOUSE)).toEqual(HOUSE);
  });

  it('is that of its sheeter, and of several the smallest of each measure', () => {
    expect(tableOf([wide], HOUSE)).toEqual({ ...HOUSE, width: 64, length: 300, leastGap: 0.5 });
    expect(tableOf([wide, narrow], HOUSE)).toMatchObject({
      ...{ width: 45, length: 240, leastGap: 0.5, reduction: 0.2, fineReduction: 0.2 },
    });
  });

  it('is the bench where a pin is used', () => {
    const bench = machine('bench', { details: { width: 60, length: 120 } });
    expect(tableOf([bench], HOUSE)).toMatchObject({ width: 60, length: 120 });
    expect(longestBench([bench, machine('bench', { details: { length: 180 } })], 200)).toBe(180);
    expect(longestBench([machine('bench')], 200)).toBe(200);
  });
});
