import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { inEnglish } from '../../../test-support/words';
import { loadBehind, ovenDoubt } from './oven-room';
import { ovenLoads } from './oven-loads';

const MACHINES = [machine('oven', { capacity: 9 }), machine('mixer')];
const dough = plannedDough([]);
const load = { oven: 'oven', trays: 6, setting: 185 };
const inside = (trays: number, setting = 185, oven = 'oven') => ({ oven, trays, setting, dough });
const doubt = (...loads: ReturnType<typeof inside>[]) => {
  const words = ovenDoubt(load, loads, MACHINES);
  return words && inEnglish(words);
};

describe('before a load goes in', () => {
  it('nothing is asked where there is room at its temperature', () => {
    expect(doubt()).toBeNull();
    expect(doubt(inside(3))).toBeNull();
    expect(doubt(inside(9, 185, 'other'))).toBeNull();
  });

  it('it is asked where its trays are more than the oven has left', () => {
    expect(doubt(inside(2), inside(2))).toBe(
      'No room: 4 of 9 trays are in oven, and this load has 6. Load it anyway?',
    );
  });

  it('it is asked where the oven is at another temperature for something else', () => {
    expect(doubt(inside(2, 200))).toBe(
      'oven is at 200 °C for Crescent 1; this load needs 185 °C. Load it anyway?',
    );
  });
});

describe('the load of a step', () => {
  const at = plannedDough([did('start', 'mix', 0)]);
  const { coming } = ovenLoads([at], 900 * MIN);
  const step = (kind: string) => {
    const found = at.steps.find((one) => one.step.kind === kind);
    if (!found) throw new Error(`There is no ${kind}.`);
    return found;
  };

  it('is the one that goes in right after it', () => {
    const found = loadBehind(at, step('load'), coming);
    expect(found?.step.step.kind).toBe('bake');
    expect(loadBehind(at, step('shape'), coming)).toBeNull();
  });
});
