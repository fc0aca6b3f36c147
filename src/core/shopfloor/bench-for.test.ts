import { describe, expect, it } from 'vitest';
import { machine, ONE_OF_EACH } from '../../../test-support/equipment';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { agenda } from './agenda';
import { isFor } from './bench-for';
import type { FloorEvent } from '../record/events';
import { inEnglish } from '../../../test-support/words';

const ME = { personId: 1, duties: new Set(['1/mix']), machines: ONE_OF_EACH.machines };
const NOBODY = { personId: 1, duties: new Set<string>(), machines: ONE_OF_EACH.machines };
const itemsOf = (events: FloorEvent[], minute = 0) => {
  const { running, next, coming, waiting } = agenda([plannedDough(events)], minute * MIN, 48 * 60);
  return [...running, ...next, ...coming, ...waiting];
};
const named = (events: FloorEvent[], key: string, minute?: number) => {
  const item = itemsOf(events, minute).find(({ step }) => step.key === key);
  if (!item) throw new Error(`${key} is not on the bench.`);
  return item;
};

describe('whose bench it is', () => {
  it('shows everything to the team', () => {
    expect(itemsOf([]).every((item) => isFor(item, 'team', NOBODY))).toBe(true);
  });

  it('shows a person what the rota gives them, until somebody else takes it', () => {
    expect(isFor(named([], 'mix'), 'me', ME)).toBe(true);
    expect(isFor(named([], 'mix'), 'me', NOBODY)).toBe(false);
    expect(isFor(named([did('take', 'mix', 0, { personId: 2 })], 'mix'), 'me', ME)).toBe(false);
  });

  it('shows a person what they have taken or begun, whatever the rota says', () => {
    expect(isFor(named([did('take', 'mix', 0)], 'mix'), 'me', NOBODY)).toBe(true);
    expect(isFor(named([did('start', 'mix', 0)], 'mix'), 'me', NOBODY)).toBe(true);
    expect(isFor(named([did('start', 'mix', 0, { personId: 2 })], 'mix'), 'me', ME)).toBe(false);
  });

  it('shows a station what holds its machine, and what is done before the oven’s door', () => {
    const oven = itemsOf([]).filter((item) => isFor(item, 'oven', NOBODY));
    expect(oven.map(({ step }) => step.step.kind)).toEqual(['load']);
    expect(inEnglish(itemsOf([]).filter((item) => isFor(item, 'mixer', NOBODY)))).toEqual([]);
  });

  it('shows a station the work at every machine of its kind, whatever that is called', () => {
    const mix = named([], 'mix');
    const spiral = machine('mixer', { id: 'spiral' });
    const there = { ...mix, step: { ...mix.step, uses: [{ resource: 'spiral', amount: 1 }] } };
    expect(isFor(there, 'mixer', { ...NOBODY, machines: [spiral] })).toBe(true);
    expect(isFor(there, 'mixer', NOBODY)).toBe(false);
    expect(isFor(there, 'bench', { ...NOBODY, machines: [spiral] })).toBe(false);
  });
});
