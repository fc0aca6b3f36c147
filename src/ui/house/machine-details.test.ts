import { describe, expect, it } from 'vitest';
import { MACHINE_KINDS, type MachineDetails } from '@/core/bakery/machines';
import { beginDetails, readDetails } from './machine-details';

const DETAILS: MachineDetails = {
  ...{ mixing: 'spiral', fan: true, correction: 5 },
  ...{ width: 60, length: 240, leastGap: 1.5, reduction: 0.35 },
};

describe('details of a machine', () => {
  it('go to the house as they came where nothing is typed, each to the kinds that have it', () => {
    const texts = beginDetails({ details: DETAILS });
    const { mixing, fan, correction, width, length, leastGap, reduction } = DETAILS;
    expect(readDetails('mixer', texts)).toEqual({ mixing });
    expect(readDetails('oven', texts)).toEqual({ fan, correction });
    expect(readDetails('sheeter', texts)).toEqual({ width, length, leastGap, reduction });
    expect(readDetails('bench', texts)).toEqual({ width, length });
    expect(readDetails('tray', texts)).toEqual({});
  });

  it('are left out where nobody has told them', () => {
    for (const kind of MACHINE_KINDS) expect(readDetails(kind, beginDetails({}))).toEqual({});
    expect(readDetails('oven', { ...beginDetails({}), fan: 'no' })).toEqual({ fan: false });
  });

  it('that cannot be read go as they were typed, for the house to say', () => {
    const texts = { ...beginDetails({}), width: 'wide', reduction: 'half', correction: 'a bit' };
    expect(readDetails('sheeter', texts)).toEqual({ width: 'wide', reduction: 'half' });
    expect(readDetails('oven', texts)).toEqual({ correction: 'a bit' });
  });
});
