import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { machine } from '../../../test-support/equipment';
import type { Machine } from '../bakery/machines';
import { COOLING_RULES, type CoolingRule } from '../climate/cooling';
import { alarms } from './alarms';
import { excursions } from '../climate/excursions';
import type { FloorEvent } from '../record/events';
import { inEnglish } from '../../../test-support/words';

const ONE = COOLING_RULES[0] as CoolingRule;
const LEADS = { preheat: 45, wash: 10, butter: 5, levain: 30, thaw: 840 };
const ask = (events: FloorEvent[], minute: number, more: Partial<Parameters<typeof alarms>[2]> = {}) =>
  alarms([plannedDough(events, 60, 40, minute)], minute * MIN, {
    leads: LEADS,
    taken: [],
    coolingRule: ONE,
    zone: 'UTC',
    ...more,
  });

const BAKE = '5.1.bake';

/** Everything up to a step done, each as soon as the one before lets it. */
function upTo(until: string): FloorEvent[] {
  const { steps } = plannedDough([]);
  const hands = steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === until),
    )
    .filter(({ step }) => step.work);
  return hands.flatMap(({ key, start }) => [
    did('start', key, start / MIN),
    did('finish', key, start / MIN + 5),
  ]);
}

/** When the bake is expected, minutes, once the pieces are in the proofer. */
const PROOFING = upTo('5.1.proof');
const bakeAt = () => (plannedDough(PROOFING).steps.find(({ key }) => key === BAKE)?.start ?? 0) / MIN;

describe('alarms', () => {
  it('call for a hot oven before the load goes in, and not before that', () => {
    const before = bakeAt() - LEADS.preheat;
    expect(inEnglish(ask(PROOFING, before - 1).filter(({ kind }) => kind === 'preheat'))).toEqual([]);
    const [alarm] = ask(PROOFING, before).filter(({ kind }) => kind === 'preheat');
    expect(inEnglish(alarm)).toMatchObject({ doughId: 1, stepKey: BAKE, at: before * MIN, takenBy: null });
    expect(inEnglish(alarm?.message)).toContain('185 °C');
  });

  it('call for a dough that was put elsewhere when it is ready there, and not for one on another shelf', () => {
    const mixed = [did('start', 'mix', 0), did('finish', 'mix', 15)];
    const SOON = { earliest: 75 * MIN, at: 105 * MIN, best: 105 * MIN, latest: 135 * MIN };
    const put = (place: string) => did('move', 'retard', 30, { data: { kind: 'moved', place, shelf: 4 } });
    const dough = (place: string) => {
      const one = plannedDough([...mixed, put(place)]);
      const steps = one.steps.map((step) =>
        step.key === 'retard'
          ? { ...step, min: 60, target: 90, max: 120, place: 'retarder', ready: SOON }
          : step,
      );
      return { ...one, steps };
    };
    const called = (place: string, minute: number) =>
      alarms([dough(place)], minute * MIN, { leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC' }).filter(
        ({ kind, stepKey }) => kind === 'ready' && stepKey === 'retard',
      );
    expect(called('bakery', 136)).toHaveLength(1);
    expect(inEnglish(called('bakery', 60))).toEqual([]);
    expect(inEnglish(called('retarder', 136))).toEqual([]);
  });

  it('do not call for an oven that is hot from another load', () => {
    const first = plannedDough(upTo(BAKE));
    const second = { ...plannedDough(PROOFING), id: 2, name: 'Crescent 2' };
    const later = {
      ...second,
      steps: second.steps.map((s) => ({
        ...s,
        start: s.start + 30 * MIN,
        end: s.end + 30 * MIN,
      })),
    };
    const now = first.steps.find(({ key }) => key === BAKE)?.start ?? 0;
    const called = alarms([first, later], now, { leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC' });
    expect(inEnglish(called.filter(({ kind, doughId }) => kind === 'preheat' && doughId === 2))).toEqual([]);
  });

  it('call for the trays at half time and for the load when it should be done, anew after a little longer', () => {
    const events = upTo(BAKE);
    const begun = (events.at(-1)?.at ?? 0) / MIN;
    expect(ask(events, begun + 8).map(({ kind }) => kind)).not.toContain('turn-trays');
    expect(ask(events, begun + 9).map(({ kind }) => kind)).toContain('turn-trays');
    const done = ask(events, begun + 18).find(({ kind }) => kind === 'out');
    expect(done).toBeDefined();
    const longer = did('check', BAKE, begun + 18, {
      data: { kind: 'checked', check: 'bake', answer: 'longer', minutes: 3 },
    });
    expect(ask([...events, longer], begun + 19).map(({ kind }) => kind)).not.toContain('out');
    const again = ask([...events, longer], begun + 21).find(({ kind }) => kind === 'out');
    expect(again?.id).not.toBe(done?.id);
  });

  it('turn the trays and look when the product says so, and never where it says never', () => {
    const events = upTo(BAKE);
    const begun = (events.at(-1)?.at ?? 0) / MIN;
    const dough = plannedDough(events);
    const called = (more: { turnTrays?: number; lookAt?: number }, minute: number) =>
      alarms(
        [{ ...dough, steps: dough.steps.map((s) => ({ ...s, step: { ...s.step, ...more } })) }],
        (begun + minute) * MIN,
        { leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC' },
      ).map(({ kind }) => kind);
    expect(called({ turnTrays: 12, lookAt: 6 }, 7)).toContain('look');
    expect(called({ turnTrays: 12, lookAt: 6 }, 10)).not.toContain('turn-trays');
    expect(called({ turnTrays: 12 }, 12)).toContain('turn-trays');
    expect(called({ turnTrays: 0 }, 17)).not.toContain('turn-trays');
  });

  it('say what is set on this oven', () => {
    const dough = plannedDough([]);
    const oven = dough.steps.find(({ step }) => step.kind === 'bake')?.uses.at(-1)?.resource ?? '';
    const heat = (details: Machine['details']) =>
      inEnglish(
        alarms([dough], dough.steps.at(-1)?.start ?? 0, {
          ...{ leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC' },
          machines: [machine('oven', { id: oven, ...(details ? { details } : {}) })],
        }).find(({ kind }) => kind === 'preheat')?.message,
      );
    expect(heat({ fan: false })).toMatch(/Heat oven to 185/);
    expect(heat({ fan: true })).toMatch(/Heat oven to 165/);
  });

  it('call for starter and flour before a levain is set', () => {
    const dough = plannedDough([]);
    const set = { ...(dough.steps[0] as (typeof dough.steps)[number]) };
    const feed = { ...set, label: 'Feed levain', step: { ...set.step, branch: 'levain' as const } };
    const at = (minute: number) =>
      alarms([{ ...dough, steps: [{ ...feed, start: 20 * 60 * MIN }] }], minute * MIN, {
        ...{ leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC' },
      });
    expect(inEnglish(at(20 * 60 - 31))).toEqual([]);
    expect(inEnglish(at(20 * 60 - 30)[0])).toMatchObject({ kind: 'levain', stepKey: feed.key });
    expect(inEnglish(at(20 * 60 - 30)[0]?.message)).toBe(
      'Feed levain for Crescent 1, 20:00: get ripe starter, flour and water ready.',
    );
  });

  it('call for frozen pieces the evening before they are due, once for each order time', () => {
    const thaws = [6, 8].map((hour) => ({
      ...{ productId: 3, product: 'Sugared bun', pieces: 20, dueAt: (24 + hour) * 60 * MIN },
    }));
    const at = (hour: number) =>
      alarms([], hour * 60 * MIN, {
        ...{ leads: LEADS, taken: [], coolingRule: ONE, zone: 'UTC', thaws },
      });
    expect(inEnglish(at(15.9))).toEqual([]);
    expect(at(16).map(({ message }) => inEnglish(message))).toEqual([
      'Take 20 sugared bun out of the freezer for Fri 06:00. Thaw overnight in the cold, covered.',
    ]);
    expect(new Set(at(18).map(({ id }) => id)).size).toBe(2);
  });

  it('call for one oven at one heat once: what follows finds it heated', () => {
    const first = plannedDough(PROOFING);
    const second = { ...first, id: 2, name: 'Crescent 2' };
    const now = bakeAt() - 20;
    const called = (taken: { alarm: string; personId: number; at: number }[]) =>
      alarms([first, second], now * MIN, { leads: LEADS, taken, coolingRule: ONE, zone: 'UTC' }).filter(
        ({ kind, takenBy }) => kind === 'preheat' && takenBy === null,
      );
    const before = called([]);
    expect(before.length).toBeGreaterThan(0);
    const heated = { alarm: before[0]?.id ?? '', personId: 3, at: (now - 1) * MIN };
    expect(called([heated])).toEqual([]);
    // Long ago it was for other loads.
    expect(called([{ ...heated, at: (now - 121) * MIN }]).length).toBe(before.length - 1);
  });

  it('do not ask again in other words what a look has answered', () => {
    const raw = plannedDough(PROOFING);
    const proof = (events: FloorEvent[], minute: number) =>
      alarms([risen(events, minute)], minute * MIN, {
        leads: LEADS,
        taken: [],
        coolingRule: ONE,
        zone: 'UTC',
      }).filter(({ kind }) => kind === 'ready' || kind === 'alive');
    const risen = (events: FloorEvent[], minute: number) => {
      const dough = plannedDough(events, 60, 40, minute);
      const steps = dough.steps.map((step) =>
        step.key === '5.1.proof'
          ? {
              ...step,
              risen: { phase: 'proof' as const, before: 0, after: 90 },
              ready: step.ready ?? raw.steps[0]?.ready ?? null,
            }
          : step,
      );
      return { ...dough, steps };
    };
    const minute = bakeAt() + 60;
    expect(proof(PROOFING, minute)).toHaveLength(1);
    const said = (verdict: 'right' | 'under') =>
      did('verdict', '5.1.proof', minute, { data: { kind: 'verdict', verdict } });
    expect(proof([...PROOFING, said('right')], minute + 30)).toEqual([]);
    const [again] = proof([...PROOFING, said('under')], minute + 600);
    expect(again?.id).not.toBe(proof(PROOFING, minute)[0]?.id);
  });

  it('do not call to a dough of which nobody knows any more', () => {
    const minute = bakeAt() + 3 * 60;
    expect(ask(PROOFING, minute).length).toBeGreaterThan(0);
    expect(inEnglish(ask(PROOFING, minute, { quiet: 45 }))).toEqual([]);
  });

  it('fall silent for everybody once somebody has one', () => {
    const minute = bakeAt();
    const [alarm] = ask(PROOFING, minute).filter(({ kind }) => kind === 'preheat');
    const taken = [{ alarm: alarm?.id ?? '', personId: 3, at: minute * MIN }];
    expect(ask(PROOFING, minute, { taken }).find(({ id }) => id === alarm?.id)?.takenBy).toEqual({
      ...{ personId: 3, at: minute * MIN },
    });
  });

  it('are over with the step that they prepare', () => {
    const { steps } = plannedDough([]);
    const all = steps
      .filter(({ step }) => step.work ?? step.ends)
      .map(({ key }, n) => did('skip', key, n, { text: 'not needed today' }));
    expect(inEnglish(ask(all, 9000))).toEqual([]);
  });
});

describe('places outside their limits', () => {
  const limits = [{ place: 'retarder', label: 'Retarder', low: null, high: 7, minutes: 30 }];
  const reading = (minute: number, celsius: number) => ({ place: 'retarder', celsius, at: minute * MIN });

  it('are an alarm only after as long as they may be', () => {
    expect(excursions(limits, [reading(0, 4), reading(10, 8), reading(30, 9)])).toEqual([]);
    expect(excursions(limits, [reading(0, 4), reading(10, 8), reading(30, 9.4), reading(40, 9)])).toEqual([
      { place: 'retarder', label: 'Retarder', celsius: 9.4, limit: 7, since: 10 * MIN, at: 40 * MIN },
    ]);
  });

  it('are none where the place has come back, or came back in between', () => {
    expect(excursions(limits, [reading(0, 9), reading(60, 9), reading(70, 5)])).toEqual([]);
    expect(excursions(limits, [reading(0, 9), reading(40, 5), reading(50, 9), reading(70, 9)])).toEqual([]);
  });

  it('are told in a sentence with how long and what to look at', () => {
    const out = excursions(limits, [reading(0, 8), reading(40, 9)]);
    const [alarm] = alarms([], 41 * MIN, {
      leads: LEADS,
      taken: [],
      coolingRule: ONE,
      excursions: out,
      zone: 'UTC',
    });
    expect(inEnglish(alarm?.message)).toBe('Retarder 9 °C for 40 min, above 7 °C. Check door, fan and load.');
  });
});
