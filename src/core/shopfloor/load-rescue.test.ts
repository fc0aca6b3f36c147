import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { did, MIN, plannedDough, plannedRecord } from '../../../test-support/floor';
import type { Machine } from '../bakery/machines';
import { UNKNOWN_CONDITIONS } from '../forecast/conditions';
import { forecastDough } from '../forecast/forecast';
import { eventOf, type FloorEvent } from '../record/events';
import { loadsInTrouble, type RescueHouse } from './load-rescue';

const RISES = { proof: { yeast: 'bakers', celsius: 26, minutes: 90, early: 0.75, late: 1.3 } } as const;
const PLACES = {
  bakery: { celsius: 24, kind: 'room' },
  retarder: { celsius: 4, kind: 'retarder' },
  proofer: { celsius: 26, kind: 'proofer' },
} as const;
const PROOF = '5.1.proof';

/** The small dough with all before its proof done, its proof a rise. */
function proofing(more: FloorEvent[] = []) {
  const { steps } = plannedDough([]);
  const before = steps
    .slice(
      0,
      steps.findIndex(({ key }) => key === PROOF),
    )
    .filter(({ step }) => step.work);
  const events = before.flatMap(({ key, start }) => [
    did('start', key, start / MIN),
    did('finish', key, start / MIN + 5),
  ]);
  const raw = plannedRecord([...events, ...more]);
  return {
    ...raw,
    outputs: raw.outputs.map((output) => ({ ...output, rises: RISES })),
    steps: raw.steps.map((step) =>
      step.key === PROOF
        ? {
            ...step,
            place: 'proofer',
            around: 26,
            step: { ...step.step, around: 26, rise: { phase: 'proof' as const, decides: true } },
          }
        : step,
    ),
  };
}
const since = () => Math.max(...proofing().events.map(({ at }) => at));
const bakeOf = () => proofing().steps.find(({ step }) => step.kind === 'bake');
const ovenId = () => bakeOf()?.uses.find(({ setting }) => setting !== undefined)?.resource ?? '';
const prooferId = () =>
  proofing()
    .steps.find(({ key }) => key === PROOF)
    ?.uses.find(({ setting }) => setting !== undefined)?.resource ?? '';
const out = (from: number, hours: number) => [{ start: from, end: from + hours * 60 * MIN, units: null }];

function house(machines: Machine[], cold = true): RescueHouse {
  return {
    machines,
    conditions: { ...UNKNOWN_CONDITIONS, places: PLACES, machines },
    decks: {},
    places: cold ? [{ place: 'retarder', label: 'Retarder', celsius: 4 }] : [],
  };
}
const oven = (more: Partial<Machine> = {}) =>
  machine('oven', { id: ovenId(), label: 'Oven', capacity: 9, ...more });
const proofer = (more: Partial<Machine> = {}) =>
  machine('proofer', { id: prooferId(), label: 'Proofer', capacity: 20, ...more });

describe('a load that rises', () => {
  const now = () => since() + 20 * MIN;

  it('is in no trouble while its oven works, or works again before it is past', () => {
    expect(loadsInTrouble([proofing()], house([oven(), proofer()]), now())).toEqual([]);
    expect(
      loadsInTrouble([proofing()], house([oven({ outages: out(now(), 0.5) }), proofer()]), now()),
    ).toEqual([]);
  });

  it('can go into the cold, and keeps there for as long as that is forecast', () => {
    const broken = house([oven({ outages: out(now(), 12) }), proofer()]);
    const [load] = loadsInTrouble([proofing()], broken, now());
    expect(load).toMatchObject({ dough: 'Crescent 1', machine: 'Oven' });
    const [cold] = load?.ways ?? [];
    expect(cold).toMatchObject({ kind: 'cold', into: 'Retarder' });
    expect(cold?.until).toBeGreaterThan((load?.keepsUntil ?? 0) + 20 * MIN);
    if (!cold) throw new Error('There is a cold place.');
    const blank = { celsius: null, text: null, undoes: null, data: null };
    const moved = eventOf({ ...blank, ...cold.recording, id: 'moved', at: now(), personId: 1 });
    const after = forecastDough(proofing([moved]), broken.conditions, now());
    expect(after.steps.find(({ key }) => key === PROOF)?.ready?.latest).toBe(cold.until);
  });

  it('can go into another oven that has room and works, and into none that has not', () => {
    const small = machine('oven', { id: 'small', label: 'Small oven', capacity: 4 });
    const ways = (other: Machine) =>
      loadsInTrouble(
        [proofing()],
        house([oven({ outages: out(now(), 12) }), other, proofer()], false),
        now(),
      )[0]?.ways.map(({ kind, into }) => [kind, into]);
    expect(ways(small)).toEqual([['oven', 'Small oven']]);
    expect(ways({ ...small, capacity: 1 })).toEqual([]);
    expect(ways({ ...small, outages: out(now(), 12) })).toEqual([]);
  });

  it('in a proofer that is out can be baked at once when it has risen enough', () => {
    const late = since() + 112 * MIN;
    const broken = (at: number) => house([oven(), proofer({ outages: out(at, 5) })], false);
    expect(loadsInTrouble([proofing()], broken(now()), now())[0]?.ways).toEqual([]);
    const [load] = loadsInTrouble([proofing()], broken(late), late);
    expect(load?.machine).toBe('Proofer');
    expect(load?.ways).toMatchObject([{ kind: 'early', recording: { kind: 'start', stepKey: '5.1.load' } }]);
  });
});
