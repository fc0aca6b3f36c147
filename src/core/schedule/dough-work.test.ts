import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough, smallDough } from '../../../test-support/floor';
import type { ProbeReadings } from '../forecast/conditions';
import { doseOf, observe } from '../forecast/observation';
import { windowMisses } from './window-misses';
import type { FloorEvent } from '../record/events';
import { foldDough } from '../record/state';
import { inEnglish } from '../../../test-support/words';

const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const alive = (
  minute: number,
  data: { answer: 'ready' | 'wait' | 'anew' | 'add-yeast'; minutes?: number; grams?: number },
) => did('alive', 'retard', minute, { data: { kind: 'alive', sign: 'hardly moved', ...data } });
const retard = (events: ReturnType<typeof did>[]) => {
  const state = foldDough(smallDough(), events).steps.get('retard');
  if (!state) throw new Error('No retard.');
  return state;
};

describe('a look at what should be alive', () => {
  it('puts the end of its wait off until the next look, and takes that back when it is ready', () => {
    const later = [...mixed, alive(600, { answer: 'wait', minutes: 45 })];
    expect(retard(later).notBefore).toBe(645 * MIN);
    expect(retard([...later, alive(640, { answer: 'ready' })]).notBefore).toBeNull();
    const step = plannedDough(later).steps.find(({ key }) => key === 'retard');
    expect(step?.ready?.at).toBe(645 * MIN);
  });

  it('begins the wait anew where it was dead', () => {
    expect(retard([...mixed, alive(600, { answer: 'anew' })]).startedAt).toBe(600 * MIN);
  });

  it('counts the yeast that was added against the formula’s', () => {
    const state = foldDough(smallDough(), [...mixed, alive(600, { answer: 'add-yeast', grams: 50 })]);
    expect(doseOf(state, 100)).toBeCloseTo(1.5, 9);
    expect(doseOf(state, 0)).toBe(1);
  });
});

describe('what is recorded of a mix', () => {
  it('is kept in order: conditions, weights, what was held back', () => {
    const { steps } = foldDough(smallDough(), [
      ...mixed,
      did('conditions', 'mix', 1, {
        data: { kind: 'conditions', flour: 21, room: 24, liquid: 12, iceKg: 0.3 },
      }),
      did('mix', 'mix', 2, { data: { kind: 'weighed', line: '0.0', bowl: 1, grams: 2700 } }),
      did('mix', 'mix', 3, { data: { kind: 'adjusted', ingredient: 'wheat-flour', grams: -400 } }),
    ]);
    expect(steps.get('mix')?.conditions?.iceKg).toBe(0.3);
    expect(steps.get('mix')?.changes.map(({ kind }) => kind)).toEqual(['weighed', 'adjusted']);
  });

  it('is taken back by an undo', () => {
    const held = did('mix', 'mix', 3, { data: { kind: 'adjusted', ingredient: 'wheat-flour', grams: -400 } });
    const { steps } = foldDough(smallDough(), [held, did('undo', 'mix', 4, { undoes: held.id })]);
    expect(steps.get('mix')?.changes).toEqual([]);
  });
});

describe('where a dough stands, and the core probe in it', () => {
  const put = (minute: number, probe: string | null) =>
    did('probe', 'retard', minute, { data: { kind: 'probed', probe } });
  const moved = (minute: number, place: string) =>
    did('move', 'retard', minute, { data: { kind: 'moved', place } });
  const today = { retarder: { celsius: 6, kind: 'fridge' }, bakery: { celsius: 22, kind: 'room' } } as const;
  const observed = (
    dough: Pick<ReturnType<typeof smallDough>, 'steps' | 'links'>,
    events: FloorEvent[],
    probes: ProbeReadings,
  ) => {
    const step = dough.steps.find(({ key }) => key === 'retard');
    const state = foldDough(dough, events).steps.get('retard');
    return step && state && observe(step, state, { places: today, probes, decks: {}, machines: [] });
  };
  const known = (events: FloorEvent[], probes: ProbeReadings) => observed(smallDough(), events, probes);
  const said = (minute: number, celsius: number) => new Map([['core-1', { celsius, at: minute * MIN }]]);

  it('is the last word of each, taken back by an undo', () => {
    const first = put(20, 'core-1');
    expect(retard([...mixed, first]).coreProbe).toEqual({ id: 'core-1', at: 20 * MIN });
    expect(retard([...mixed, first, put(90, null)]).coreProbe).toBeNull();
    expect(retard([...mixed, first, did('undo', 'retard', 30, { undoes: first.id })]).coreProbe).toBeNull();
    expect(retard([...mixed, moved(60, 'bakery')]).moved).toEqual({
      ...{ place: 'bakery', shelf: null, at: 60 * MIN },
    });
    const shelved = did('move', 'retard', 90, { data: { kind: 'moved', place: 'bakery', shelf: 4 } });
    expect(retard([...mixed, moved(60, 'bakery'), shelved]).moved).toEqual({
      ...{ place: 'bakery', shelf: 4, at: 60 * MIN },
    });
  });

  it('is measured by the core probe from when it went in, and by whoever told it last', () => {
    const events = [...mixed, put(20, 'core-1')];
    expect(known(events, said(60, 12.5))?.reading).toEqual({ minute: 45, celsius: 12.5 });
    expect(known(events, said(18, 12.5))?.reading).toBeUndefined();
    const told = did('temperature', 'retard', 90, { celsius: 8 });
    expect(known([...events, told], said(60, 12.5))?.reading).toEqual({ minute: 75, celsius: 8 });
    expect(known([...mixed, put(20, 'core-2')], said(60, 12.5))?.reading).toBeUndefined();
  });

  it('has around it what its new place has, and before that what the old one had', () => {
    expect(known([...mixed, moved(75, 'bakery')], new Map())).toMatchObject({
      around: 22,
      moved: { minute: 60, before: 4 },
    });
    expect(known([...mixed, moved(75, 'cellar')], new Map())?.moved).toBeUndefined();
    // Another shelf of the place where it was is no move.
    const small = smallDough();
    const cold = {
      ...small,
      steps: small.steps.map((step) => (step.key === 'retard' ? { ...step, place: 'retarder' } : step)),
    };
    const there = observed(cold, [...mixed, moved(75, 'retarder')], new Map());
    expect(there).toMatchObject({ around: 6 });
    expect(there?.moved).toBeUndefined();
  });
});

describe('a plan that no longer fits', () => {
  it('names the waits that it gives too little time', () => {
    const list = windowMisses(plannedDough([]));
    expect(list.map(({ key }) => key)).toContain('retard');
    expect(inEnglish(list.find(({ key }) => key === 'retard'))).toMatchObject({
      by: -420,
      message: 'retard now takes 8 h to 15 h; the plan allows 1 h.',
    });
  });

  it('names a wait that is in vain today, however long it is', () => {
    const dough = plannedDough([], 600);
    const steps = dough.steps.map((step) =>
      step.key === 'rest'
        ? { ...step, remark: { code: 'core-out-of-reach' as const, around: 9, until: 6 } }
        : step,
    );
    expect(inEnglish(windowMisses({ ...dough, steps }).find(({ key }) => key === 'rest'))).toMatchObject({
      by: 0,
      message: 'rest: At 9 °C the core does not reach 6 °C.',
    });
  });

  it('says nothing of waits that are over', () => {
    const over = [...mixed, did('start', 'lock-in', 75)];
    expect(windowMisses(plannedDough(over)).map(({ key }) => key)).not.toContain('retard');
  });
});
