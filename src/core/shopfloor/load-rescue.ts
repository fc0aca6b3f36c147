import type { OvenDecks } from '../bakery/decks';
import { type Machine, machinesOf } from '../bakery/machines';
import type { Conditions } from '../forecast/conditions';
import { workingFrom } from '../forecast/conditions';
import { forecastDough, type DoughForecast, type StepForecast } from '../forecast/forecast';
import { ovenOf } from '../forecast/observation';
import type { DoughRecord } from '../record/dough';
import { eventOf, type Recording } from '../record/events';
import { isHandsOn } from '../record/state';
import { MINUTE, type Instant } from '../time/local';
import { type CoolPlace, coldestPlace } from './cool-place';

/** One thing that can be done now with a load in trouble, and what comes of it. */
export interface Rescue {
  kind: 'cold' | 'oven' | 'early';
  /** The place or oven that it goes into. */
  into: string;
  /** Until when it keeps then, or when it is baked. */
  until: Instant;
  recording: Recording;
}

/** A load that rises now and cannot go on as planned, since a machine is out. */
export interface LoadInTrouble {
  dough: string;
  step: StepForecast;
  /** The machine that is out. */
  machine: string;
  /** It is past its best use after this. */
  keepsUntil: Instant;
  /** What saves it, what keeps it longest first. */
  ways: Rescue[];
}

/** A way has to give at least so much more time, minutes. */
const WORTH = 20;

/** The bakery as far as ways out of trouble depend on it. */
export interface RescueHouse {
  conditions: Conditions;
  machines: readonly Machine[];
  decks: OvenDecks;
  places: readonly CoolPlace[];
}

/**
 * Finds the loads that rise now though their oven is out until after they keep, or that stand in a proofer that is out, and what can be
 * done with each now: into the cold, into another oven, baked at once. Each way is true to its forecast: the load is forecast with it.
 */
export function loadsInTrouble(
  records: readonly DoughRecord[],
  house: RescueHouse,
  now: Instant,
): LoadInTrouble[] {
  return records.flatMap((record) => {
    const dough = forecastDough(record, house.conditions, now);
    if (dough.state.finished || !dough.state.started) return [];
    return dough.steps.flatMap((step) => {
      const found = troubleOf(dough, step, house, now);
      if (!found) return [];
      const ways = [
        ...intoCold(record, step, house, now),
        ...otherOvens(record, found, house, now),
        ...bakedNow(dough, found, house, now),
      ];
      const { machine } = found;
      return [{ dough: dough.name, step, machine: machine.label, keepsUntil: found.latest, ways }];
    });
  });
}

interface Trouble {
  step: StepForecast;
  bake: StepForecast;
  machine: Machine;
  latest: Instant;
}

function troubleOf(
  dough: DoughForecast,
  step: StepForecast,
  { machines }: RescueHouse,
  now: Instant,
): Trouble | null {
  if (step.step.kind !== 'proof' || step.status !== 'running' || !step.ready) return null;
  const bake = dough.steps.find(
    (one) => one.step.kind === 'bake' && one.outputId === step.outputId && one.load?.nth === step.load?.nth,
  );
  if (!bake) return null;
  const { latest, at } = step.ready;
  const isOut = (machine: Machine | undefined, amount: number, when: Instant, until: Instant) =>
    machine !== undefined && workingFrom(machine, amount, when) > until;
  const oven = machines.find(({ id }) => id === ovenOf(bake, dough.state.steps.get(bake.key)));
  const trays = bake.uses.find(({ setting }) => setting !== undefined)?.amount ?? 1;
  if (oven && isOut(oven, trays, Math.max(now, at), latest)) return { step, bake, machine: oven, latest };
  const moved = dough.state.steps.get(step.key)?.moved;
  const own = moved
    ? undefined
    : machines.find(
        ({ id, kind }) => kind === 'proofer' && step.uses.some(({ resource }) => resource === id),
      );
  const amount = step.uses.find(({ resource }) => resource === own?.id)?.amount ?? 1;
  return own && isOut(own, amount, now, now) ? { step, bake, machine: own, latest } : null;
}

/** The dough as it is forecast if this is recorded now. */
function supposing(
  record: DoughRecord,
  recording: Recording,
  { conditions }: RescueHouse,
  now: Instant,
): DoughForecast {
  const blank = { celsius: null, text: null, undoes: null, data: null };
  const event = eventOf({ ...blank, ...recording, id: 'supposed', at: now, personId: 0 });
  return forecastDough({ ...record, events: [...record.events, event] }, conditions, now);
}

function intoCold(record: DoughRecord, step: StepForecast, house: RescueHouse, now: Instant): Rescue[] {
  const cold = coldestPlace(house.places);
  if (!cold) return [];
  const recording: Recording = {
    ...{ doughId: record.id, stepKey: step.key, kind: 'move' },
    data: { kind: 'moved', place: cold.place },
  };
  const after = supposing(record, recording, house, now).steps.find(({ key }) => key === step.key)?.ready;
  if (!after || after.latest < (step.ready?.latest ?? 0) + WORTH * MINUTE) return [];
  return [{ kind: 'cold', into: cold.label, until: after.latest, recording }];
}

function otherOvens(
  record: DoughRecord,
  { step, bake, machine }: Trouble,
  house: RescueHouse,
  now: Instant,
): Rescue[] {
  if (machine.kind !== 'oven') return [];
  const trays = bake.uses.find(({ setting }) => setting !== undefined)?.amount ?? 1;
  return machinesOf('oven', house.machines)
    .filter((oven) => oven.id !== machine.id && oven.capacity >= trays)
    .flatMap((oven): Rescue[] => {
      const recording: Recording = {
        ...{ doughId: record.id, stepKey: bake.key, kind: 'deck' },
        // On which of its decks is seen by whoever puts it in.
        data: { kind: 'decks', oven: oven.id, decks: [] },
      };
      const from = workingFrom(oven, trays, Math.max(now, step.ready?.at ?? now));
      return from <= (step.ready?.latest ?? 0)
        ? [{ kind: 'oven', into: oven.label, until: from, recording }]
        : [];
    });
}

/** It may be baked at once where it has risen enough and its oven works still. */
function bakedNow(
  dough: DoughForecast,
  { step, bake }: Trouble,
  { machines }: RescueHouse,
  now: Instant,
): Rescue[] {
  const oven = machines.find(({ id }) => id === ovenOf(bake, dough.state.steps.get(bake.key)));
  const trays = bake.uses.find(({ setting }) => setting !== undefined)?.amount ?? 1;
  const next = dough.links.find(({ from }) => from === step.key)?.to;
  const work = dough.steps.find(({ key }) => key === next);
  if (!oven || !work || !isHandsOn(work) || work.status !== 'open') return [];
  if ((step.ready?.earliest ?? Infinity) > now || workingFrom(oven, trays, now) > now) return [];
  const recording: Recording = { doughId: dough.id, stepKey: work.key, kind: 'start' };
  return [{ kind: 'early', into: oven.label, until: now, recording }];
}
