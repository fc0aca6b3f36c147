import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { did, MIN, plannedRecord } from '../../../test-support/floor';
import type { DoughRecord } from '../record/dough';
import type { FloorEvent } from '../record/events';
import { UNKNOWN_CONDITIONS, type Conditions } from './conditions';
import { cutsShort } from './early';
import { forecastDough, type DoughForecast, type StepForecast } from './forecast';
import { createForecaster } from './forecaster';
import { inEnglish } from '../../../test-support/words';

const PROOF = '5.1.proof';
const LOAD = '5.1.load';
const BAKE = '5.1.bake';
const RISES = { proof: { yeast: 'bakers', celsius: 26, minutes: 90, early: 0.75, late: 1.3 } } as const;
const PLACES: Conditions['places'] = {
  bakery: { celsius: 24, kind: 'room' },
  retarder: { celsius: 4, kind: 'retarder' },
  freezer: { celsius: -18, kind: 'freezer' },
  proofer: { celsius: 26, kind: 'proofer' },
};

/** The small dough, each step planned straight after the one before at its best, its proof a rise in the proofer. */
function wellPlanned(events: FloorEvent[] = []): DoughRecord {
  const raw = plannedRecord(events);
  const record: DoughRecord = {
    ...raw,
    outputs: raw.outputs.map((output) => ({ ...output, rises: RISES })),
    steps: raw.steps.map((step) =>
      step.key === PROOF
        ? { ...step, around: 26, step: { ...step.step, around: 26, rise: { phase: 'proof', decides: true } } }
        : step,
    ),
  };
  // What it comes to when everything is done at once is its plan.
  const free = record.steps.map((step) => ({ ...step, plannedStart: -Infinity, plannedEnd: 0 }));
  const best = forecastDough({ ...record, events: [], steps: free }, CALM, 0);
  return {
    ...record,
    steps: record.steps.map((step) => {
      const found = stepIn(best, step.key);
      const end = found.ready ? found.start + found.target * MIN : found.end;
      return { ...step, plannedStart: found.start, plannedEnd: Math.max(found.end, end) };
    }),
  };
}

const CALM: Conditions = { ...UNKNOWN_CONDITIONS, places: PLACES };

function stepIn(dough: DoughForecast, key: string): StepForecast {
  const step = dough.steps.find((one) => one.key === key);
  if (!step) throw new Error(`There is no ${key}.`);
  return step;
}

/** Everything before a step done as it was planned. */
function doneUpTo(until: string): FloorEvent[] {
  const { steps } = wellPlanned();
  return steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === until),
    )
    .filter(({ step }) => step.work)
    .flatMap(({ key, plannedStart, plannedEnd }) => [
      did('start', key, plannedStart / MIN),
      did('finish', key, plannedEnd / MIN),
    ]);
}

const plannedAt = (key: string) =>
  (wellPlanned().steps.find((step) => step.key === key)?.plannedStart ?? 0) / MIN;
const forecast = (events: FloorEvent[], minute: number, conditions = CALM) =>
  forecastDough(wellPlanned(events), conditions, minute * MIN);
const inProofer = doneUpTo(PROOF);
const since = plannedAt(PROOF);
const verdict = (minute: number, what: 'under' | 'right' | 'over') =>
  did('verdict', PROOF, minute, { data: { kind: 'verdict', verdict: what } });

describe('a forecast of a dough that keeps time', () => {
  it('is its plan, and nothing has a cause', () => {
    for (const { start, plannedStart, cause } of forecast([], 0).steps) {
      expect(start).toBe(plannedStart);
      expect(cause).toBeNull();
    }
  });

  it('has every step after all that leads to it, whatever was recorded and whenever it is looked at', () => {
    const keys = wellPlanned().steps.map(({ key }) => key);
    fc.assert(
      fc.property(fc.nat(keys.length - 1), fc.integer({ min: 0, max: 1200 }), (done, minute) => {
        const events = doneUpTo(keys[done] as string).filter(({ at }) => at <= minute * MIN);
        const { steps, links } = forecast(events, minute);
        const byKey = new Map(steps.map((step) => [step.key, step]));
        for (const { from, to, min } of links) {
          const [before, after] = [byKey.get(from), byKey.get(to)];
          if (before && after) expect(after.start).toBeGreaterThanOrEqual(before.end + min * MIN);
        }
        for (const { status, start, end, step } of steps) {
          expect(end).toBeGreaterThanOrEqual(start);
          if (status === 'open' && step.work) expect(start).toBeGreaterThanOrEqual(minute * MIN);
        }
      }),
    );
  });

  it('says no time that is none, also of a wait that does not come about where it stands', () => {
    const slab = { shape: 'slab', mm: 24, lying: 'tray' } as const;
    const record = wellPlanned(doneUpTo('turn-2'));
    const steps = record.steps.map((step) =>
      step.key === 'rest'
        ? { ...step, place: 'retarder', step: { ...step.step, until: 2, piece: slab } }
        : step,
    );
    const minute = plannedAt('turn-2');
    const dough = forecastDough({ ...record, steps }, CALM, minute * MIN);
    expect(stepIn(dough, 'rest').never).toBe(true);
    for (const { start, end, dueAt, mayStart, ready } of dough.steps) {
      const when = ready ? [ready.earliest, ready.at, ready.best, ready.latest] : [];
      for (const time of [start, end, dueAt, mayStart, ...when]) expect(Number.isFinite(time)).toBe(true);
    }
    expect(stepIn(dough, 'turn-2').start).toBe(minute * MIN);
  });

  it('leaves a dough that was forgotten half a day ago as it was planned', () => {
    const { steps } = forecast([], plannedAt('5.1.finish') + 13 * 60);
    for (const { start, plannedStart } of steps) expect(start).toBe(plannedStart);
  });
});

describe('a look at a rise', () => {
  const best = () => (stepIn(forecast(inProofer, since + 5), PROOF).ready?.best ?? 0) / MIN;

  it('that finds it not ready a little before its best moves it by little, and everything after it as well', () => {
    const minute = Math.round(best()) - 3;
    const before = forecast(inProofer, minute);
    const after = forecast([...inProofer, verdict(minute, 'under')], minute);
    const later = (stepIn(after, PROOF).ready?.best ?? 0) - (stepIn(before, PROOF).ready?.best ?? 0);
    expect(later / MIN).toBeGreaterThan(3);
    expect(later / MIN).toBeLessThan(20);
    for (const key of [LOAD, BAKE, '5.1.finish']) {
      const moved = stepIn(after, key).start - stepIn(before, key).start;
      expect(moved, key).toBeGreaterThan(0);
      expect(stepIn(after, key).cause, key).toEqual({ code: 'look', key: PROOF });
    }
  });

  it('moves the more the later it finds it not ready, and not at all long before', () => {
    const at = (share: number) => {
      const minute = since + Math.round((best() - since) * share);
      const ready = stepIn(forecast([...inProofer, verdict(minute, 'under')], minute), PROOF).ready;
      return (ready?.best ?? 0) / MIN - best();
    };
    expect(at(0.4)).toBe(0);
    expect(at(0.9)).toBeGreaterThan(0);
    expect(at(1)).toBeGreaterThan(at(0.9));
    expect(at(1.3)).toBeGreaterThan(at(1));
  });

  it('that finds it ready lets the load begin now, and one that finds it over makes it due now', () => {
    const minute = Math.round(best()) - 15;
    const right = stepIn(forecast([...inProofer, verdict(minute, 'right')], minute), LOAD);
    expect(right.mayStart).toBeLessThanOrEqual(minute * MIN);
    expect(stepIn(forecast([...inProofer, verdict(minute, 'over')], minute), LOAD).dueAt).toBeLessThanOrEqual(
      (minute + 15) * MIN,
    );
  });

  it('is asked about by whoever starts the next step all the same', () => {
    const minute = Math.round(best()) - 3;
    const dough = forecast([...inProofer, verdict(minute, 'under')], minute);
    const { ready } = stepIn(dough, PROOF);
    expect(inEnglish(cutsShort(dough, stepIn(dough, LOAD), minute * MIN))).toEqual({
      ...{ label: 'proof', until: ready?.earliest },
    });
    const unjudged = forecast(inProofer, minute);
    expect(cutsShort(unjudged, stepIn(unjudged, LOAD), minute * MIN)).toBeNull();
  });
});

describe('what else is recorded', () => {
  const checked = (key: string, minute: number, minutes: number) =>
    did('check', key, minute, { data: { kind: 'checked', check: 'spring', answer: 'springs', minutes } });

  it('moves the next turn where a dough springs back', () => {
    const rested = doneUpTo('turn-2');
    const minute = plannedAt('turn-2') - 1;
    const turn = stepIn(forecast([...rested, checked('rest', minute, 15)], minute), 'turn-2');
    expect(turn.start).toBe((minute + 15) * MIN);
    expect(turn.cause).toEqual({ code: 'check', key: 'rest' });
  });

  it('moves what a sponge or levain is for where it has hardly moved, and asks who starts it', () => {
    const wait = did('alive', 'retard', plannedAt('lock-in') - 1, {
      data: { kind: 'alive', answer: 'wait', sign: 'hardly moved', minutes: 45 },
    });
    const minute = plannedAt('lock-in');
    const dough = forecast([...doneUpTo('lock-in'), wait], minute);
    expect(stepIn(dough, 'lock-in').start).toBe((minute + 44) * MIN);
    expect(cutsShort(dough, stepIn(dough, 'lock-in'), minute * MIN)?.until).toBe((minute + 44) * MIN);
  });

  it('carries a late start through until some wait takes it up', () => {
    const late = [did('start', 'mix', 30), did('finish', 'mix', 45)];
    const dough = forecast(late, 50);
    expect(stepIn(dough, 'lock-in').start).toBe((45 + 480) * MIN);
    expect(stepIn(dough, 'lock-in').cause).toEqual({ code: 'late', key: 'mix' });
  });

  it('loads nothing into an oven that is out', () => {
    const bake = stepIn(forecast(inProofer, since + 5), BAKE);
    const outages = [{ start: bake.start - 60 * MIN, end: bake.start + 40 * MIN, units: null }];
    const oven = { id: 'oven', capacity: 9, outages };
    const dough = forecast(inProofer, since + 5, { ...CALM, machines: [oven] });
    expect(stepIn(dough, LOAD).start).toBe(bake.start + 40 * MIN);
    expect(stepIn(dough, LOAD).cause).toEqual({ code: 'machine', key: LOAD });
    expect(stepIn(dough, BAKE).cause).toEqual({ code: 'machine', key: LOAD });
  });

  it('bakes longer in an oven that is slow, and works longer on a machine that is', () => {
    const usual = forecast(inProofer, since + 5);
    const slow = [{ start: 0, end: Infinity, times: 1.5 }];
    const dough = forecast(inProofer, since + 5, { ...CALM, machines: [{ id: 'oven', capacity: 9, slow }] });
    const [was, is] = [usual, dough].map((one) => stepIn(one, BAKE).target);
    expect(is).toBe(Math.round((was ?? 0) * 1.5));
    const record = plannedRecord([]);
    const steps = record.steps.map((step) =>
      step.key === 'mix' ? { ...step, uses: [...step.uses, { resource: 'mixer', amount: 1 }] } : step,
    );
    const mixer = [{ id: 'mixer', capacity: 1, slow }];
    const after = forecastDough({ ...record, steps }, { ...CALM, machines: mixer }, 0);
    expect(stepIn(after, 'mix').target).toBe(Math.round(stepIn(forecast([], 0), 'mix').target * 1.5));
    // So does what rises in a proofer that is: what a screen says of it, every forecast follows.
    const own = stepIn(usual, PROOF);
    const proofer = own.uses.find(({ resource }) => resource !== 'crew')?.resource ?? '';
    const rising = forecast(inProofer, since + 5, {
      ...CALM,
      machines: [{ id: proofer, capacity: 20, slow }],
    });
    expect(stepIn(rising, PROOF).target).toBe(Math.round(own.target * 1.5));
    // Over by then: as usual.
    const over = [{ id: 'oven', capacity: 9, slow: [{ start: 0, end: 1, times: 1.5 }] }];
    expect(stepIn(forecast(inProofer, since + 5, { ...CALM, machines: over }), BAKE).target).toBe(was);
  });

  it('ripens sooner in a room that is expected to be warm, whatever it has now', () => {
    const room = (celsius: number): Conditions['places'] => ({
      bakery: {
        kind: 'room',
        celsius: 20,
        course: { from: 0, hours: Array.from({ length: 60 }, () => celsius) },
      },
    });
    const around = (celsius: number) => {
      const moved = did('move', PROOF, since + 1, { data: { kind: 'moved', place: 'bakery' } });
      const places = { ...CALM.places, ...room(celsius) };
      return (
        stepIn(forecast([...inProofer, moved], since + 2, { ...CALM, places }), PROOF).ready?.earliest ?? 0
      );
    };
    expect(around(30)).toBeLessThan(around(20) - 20 * MIN);
  });

  it('follows the dough to where it stands: out of the proofer it is ready later', () => {
    const moved = did('move', PROOF, since + 20, { data: { kind: 'moved', place: 'retarder' } });
    const [there, here] = [[...inProofer, moved], inProofer].map((events) =>
      stepIn(forecast(events, since + 20), LOAD),
    );
    expect((there?.start ?? 0) - (here?.start ?? 0)).toBeGreaterThan(60 * MIN);
    expect(there?.cause).toEqual({ code: 'place', key: PROOF });
  });

  it('is reckoned with also where it was not allowed: pieces baked early have risen less', () => {
    const early = [...inProofer, did('start', LOAD, since + 20)];
    expect(stepIn(forecast(early, since + 21), PROOF).risen?.after).toBeLessThan(60);
  });
});

describe('a wait that is over', () => {
  /** The dough with a rest in which the pieces' rise begins, and what was recorded of that rest. */
  const proofAfter = (recorded: FloorEvent[], more: FloorEvent[], minute: number) => {
    const record = wellPlanned([...doneUpTo('turn-2'), ...recorded, ...more]);
    const steps = record.steps.map((step): DoughRecord['steps'][number] =>
      step.key === 'rest' ? { ...step, step: { ...step.step, rise: { phase: 'proof' } } } : step,
    );
    const dough = { ...record, rises: RISES, steps };
    return stepIn(forecastDough(dough, CALM, minute * MIN), PROOF).target;
  };
  const minute = plannedAt('turn-2');
  const over = [did('start', 'turn-2', minute)];

  it.each([
    ['where it stood', did('move', 'rest', minute - 28, { data: { kind: 'moved', place: 'bakery' } })],
    ['how it looked', did('verdict', 'rest', minute - 1, { data: { kind: 'verdict', verdict: 'over' } })],
  ])('still counts for what rises after it: %s', (_, event) => {
    const [running, ended, plain] = [
      proofAfter([event], [], minute),
      proofAfter([event], over, minute),
      proofAfter([], over, minute),
    ];
    expect(running).not.toBe(plain);
    expect(Math.abs(ended - running)).toBeLessThanOrEqual(1);
  });
});

describe('a forecaster', () => {
  it('makes anew only the forecast of what an event touches', () => {
    const forecaster = createForecaster();
    const [one, two] = [wellPlanned(), { ...wellPlanned(), id: 2 }];
    const first = forecaster([one, two], CALM, 0);
    const touched = { ...one, events: [did('start', 'mix', 0)] };
    const second = forecaster([touched, two], CALM, 30_000);
    expect(inEnglish(second[0])).not.toBe(first[0]);
    expect(second[1]).toBe(first[1]);
    expect(inEnglish(forecaster([touched, two], CALM, 60_000)[1])).not.toBe(first[1]);
  });
});
