import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { did, forecastAt, MIN, plannedDough, plannedRecord, smallDough } from '../../../test-support/floor';
import type { CoolPlace } from './cool-place';
import { ovenClashes } from './oven-clashes';
import { proofWatch } from './proof-watch';
import { ovenLoads } from './oven-loads';
import { handover } from './handover';
import type { DoughForecast } from '../forecast/forecast';
import type { FloorEvent } from '../record/events';
import { inEnglish } from '../../../test-support/words';

const OVEN = machine('oven', { capacity: 9, changeover: 15 });
const PROOF = '5.1.proof';
const BAKE = '5.1.bake';

/** A dough in which everything before a step is done, the last of it at this minute; forecast `now` minutes after midnight. */
function standing(
  until: string,
  minute: number,
  { more = [], pieces = 40, now = minute }: { more?: FloorEvent[]; pieces?: number; now?: number } = {},
): DoughForecast {
  const { steps } = smallDough(pieces);
  const hands = steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === until),
    )
    .filter(({ step }) => step.work);
  const events = hands.flatMap(({ key }, n) => {
    const end = minute - (hands.length - 1 - n) * 20;
    return [did('start', key, end - 10), did('finish', key, end)];
  });
  return forecastAt(plannedRecord([...events, ...more], 60, pieces), now);
}

const named = (dough: DoughForecast, id: number, name: string): DoughForecast => ({ ...dough, id, name });

describe('the proof watch', () => {
  it('says from when to when a proof is ready, how far it is, and which bake it goes to', () => {
    const [watched] = proofWatch([standing(PROOF, 1000)], [OVEN], 1030 * MIN);
    expect(watched).toMatchObject({
      ...{ since: 1000 * MIN, soonest: 1060 * MIN, best: 1060 * MIN, latest: 1120 * MIN, share: 0.5 },
      bake: { setting: 185, trays: 4, minutes: 18, free: 1030 * MIN },
    });
  });

  it('looks more often as readiness nears', () => {
    const look = (minute: number) =>
      (proofWatch([standing(PROOF, 1000)], [OVEN], minute * MIN)[0]?.look ?? 0) / MIN;
    const ready = plannedDough([]).steps.find(({ key }) => key === PROOF)?.plannedEnd ?? 0;
    // The plan has this proof over long before; it cannot be ready before its soonest.
    expect(ready / MIN).toBeLessThan(1060);
    expect([look(1001), look(1031), look(1046), look(1054)]).toEqual([1030, 1045, 1053, 1060]);
  });

  it('follows a look that said not yet', () => {
    const later = did('check', PROOF, 1055, {
      data: { kind: 'checked', check: 'spring', answer: 'springs', minutes: 20 },
    });
    expect(proofWatch([standing(PROOF, 1000, { more: [later] })], [OVEN], 1056 * MIN)[0]?.soonest).toBe(
      1075 * MIN,
    );
  });

  it('knows when the oven is free for it', () => {
    const baking = named(standing(BAKE, 1020, { now: 1030 }), 2, 'Crescent 2');
    const [watched] = proofWatch([standing(PROOF, 1000), baking], [OVEN], 1030 * MIN);
    expect(watched?.bake?.free).toBe(1030 * MIN);
    const full = proofWatch([standing(PROOF, 1000), baking], [{ ...OVEN, capacity: 7 }], 1030 * MIN);
    expect(full[0]?.bake?.free).toBe(1038 * MIN);
  });
});

describe('two ovens', () => {
  const small = machine('oven', { id: 'small', capacity: 4, changeover: 5 });
  const into = (dough: DoughForecast, oven: string): DoughForecast => ({
    ...dough,
    steps: dough.steps.map((step) =>
      step.step.kind === 'bake'
        ? {
            ...step,
            uses: step.uses.map((use) => (use.setting === undefined ? use : { ...use, resource: oven })),
          }
        : step,
    ),
  });

  it('are free each for itself: what bakes in one keeps nobody out of the other', () => {
    const baking = standing(BAKE, 1020, { now: 1030 });
    const free = (oven: string) =>
      proofWatch([into(standing(PROOF, 1000), oven), into(baking, 'small')], [OVEN, small], 1030 * MIN)[0]
        ?.bake;
    expect(free('oven')).toMatchObject({ oven: 'oven', free: 1030 * MIN });
    expect(free('small')).toMatchObject({ oven: 'small', free: 1038 * MIN });
  });

  it('do not make loads meet that go into different ones', () => {
    const doughs = (second: string) => [
      into(named(standing(PROOF, 1000), 1, 'Crescent 1'), 'small'),
      into(named(standing(PROOF, 1005), 2, 'Crescent 2'), second),
    ];
    const met = (second: string) =>
      ovenClashes(proofWatch(doughs(second), [OVEN, small], 1010 * MIN), [OVEN, small], 'UTC');
    expect(met('small')).toHaveLength(1);
    expect(inEnglish(met('oven'))).toEqual([]);
  });
});

describe('two loads that meet at the oven', () => {
  const clash = (oven = OVEN, places: CoolPlace[] = []) => {
    const doughs = [
      named(standing(PROOF, 1000), 1, 'Crescent 1'),
      named(standing(PROOF, 1005), 2, 'Crescent 2'),
    ];
    return ovenClashes(proofWatch(doughs, [oven], 1010 * MIN), [oven], 'UTC', places)[0];
  };
  const FOUR_TRAYS = { ...OVEN, capacity: 6 };

  it('are none where both go in together; else the second’s wait is told, and whether it can', () => {
    expect(clash()).toBeUndefined();
    expect(inEnglish(clash(FOUR_TRAYS))).toMatchObject({ wait: 13, tooLong: false });
    expect(inEnglish(clash(FOUR_TRAYS)?.message)).toContain('Crescent 2 would wait 13 min');
  });

  it('can be split where some trays have room beside the first', () => {
    expect(inEnglish(clash(FOUR_TRAYS)?.ways)).toContainEqual({
      kind: 'split',
      words: 'Split it: 2 of its 4 trays with Crescent 1, 2 after it.',
    });
    expect(inEnglish(clash({ ...OVEN, capacity: 4 })?.ways)).toEqual([]);
  });

  it('can wait in the cold, in the coldest place that does not freeze them', () => {
    const places = [
      { place: 'freezer', label: 'Freezer', celsius: -18 },
      { place: 'retarder', label: 'Retarder', celsius: 3.6 },
      { place: 'bakery', label: 'Bakery', celsius: 22 },
    ];
    expect(inEnglish(clash({ ...OVEN, capacity: 4 }, places)?.ways)).toEqual([
      {
        ...{ kind: 'cooler', doughId: 2, stepKey: PROOF, place: 'retarder' },
        words: 'Crescent 2 into the retarder, 4 °C',
      },
    ]);
    expect(inEnglish(clash({ ...OVEN, capacity: 4 }, places.slice(2))?.ways)).toEqual([]);
  });

  it('are baked the other way round where that makes less of a wait', () => {
    const slow = named(standing(PROOF, 1000), 1, 'Crescent 1');
    const steps = slow.steps.map((step) => (step.step.kind === 'bake' ? { ...step, target: 40 } : step));
    const doughs = [{ ...slow, steps }, named(standing(PROOF, 1005), 2, 'Crescent 2')];
    const small = { ...OVEN, capacity: 4 };
    const [found] = ovenClashes(proofWatch(doughs, [small], 1010 * MIN), [small], 'UTC');
    expect(found?.wait).toBe(35);
    expect(inEnglish(found?.ways)).toEqual([
      { kind: 'order', words: 'Bake Crescent 2 first: Crescent 1 then waits 23 min.' },
    ]);
  });
});

describe('the oven', () => {
  it('has what is in, with half time, and lets it be longer', () => {
    const longer = did('check', BAKE, 1020, {
      data: { kind: 'checked', check: 'bake', answer: 'longer', minutes: 4 },
    });
    const inside = (events: FloorEvent[]) =>
      ovenLoads([standing(BAKE, 1002, { more: events })], 1010 * MIN).in[0];
    expect(inside([])).toMatchObject({ setting: 185, trays: 4, turn: 1011 * MIN, done: 1020 * MIN });
    expect(inside([longer])?.done).toBe(1024 * MIN);
  });

  it('keeps what came out for two hours, with its phases, and forgets it then', () => {
    const out = did('finish', BAKE, 1020);
    const dough = standing(BAKE, 1002, { more: [out] });
    expect(ovenLoads([dough], 1100 * MIN).out).toHaveLength(1);
    expect(ovenLoads([dough], 1141 * MIN).out).toHaveLength(0);
  });
});

describe('a handover', () => {
  it('says where each dough is, and since when', () => {
    const { underWay: where } = handover([standing(PROOF, 1000)], 1030 * MIN);
    expect(inEnglish(where)).toMatchObject([
      { turns: 'turn 2 of 2 done', now: [{ label: 'proof', since: 1000 * MIN }] },
    ]);
  });

  it('tells what was not as usual: late, left out, judged, noted', () => {
    const dough = standing(PROOF, 1000, {
      more: [
        did('note', PROOF, 1010, { text: 'skin has formed' }),
        did('verdict', PROOF, 1020, { data: { kind: 'verdict', verdict: 'over' } }),
      ],
    });
    const sentences = handover([dough], 1030 * MIN).unusual.map(({ message }) => inEnglish(message));
    expect(sentences).toContain('Crescent 1, proof: “skin has formed”');
    expect(sentences).toContain('Crescent 1, proof: overproofed');
    expect(sentences.some((words) => /shape started .* late/.test(words))).toBe(true);
  });

  it('leaves out what is older than a shift and a half', () => {
    const dough = standing(PROOF, 1000, { more: [did('note', PROOF, 1010, { text: 'skin has formed' })] });
    expect(
      handover([dough], (1010 + 12 * 60 + 1) * MIN).unusual.map(({ message }) => inEnglish(message)),
    ).not.toContain('Crescent 1, proof: “skin has formed”');
  });
});
