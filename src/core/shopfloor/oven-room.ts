import { coded, type Coded } from '../codes/coded';
import { machinesOf, type Machine } from '../bakery/machines';
import type { DoughForecast, StepForecast } from '../forecast/forecast';
import type { OvenLoad } from './oven-loads';

/** The load that goes into the oven when a step is started: of the work that a bake comes right after. */
export function loadBehind(
  dough: Pick<DoughForecast, 'id' | 'links' | 'steps'>,
  step: Pick<StepForecast, 'key' | 'step'>,
  coming: readonly OvenLoad[],
): OvenLoad | null {
  if (step.step.kind !== 'load') return null;
  const after = dough.links.filter(({ from }) => from === step.key).map(({ to }) => to);
  return coming.find((load) => load.dough.id === dough.id && after.includes(load.step.key)) ?? null;
}

/**
 * What is asked before a load goes in: that its oven has no room for all of its trays, or is at another temperature for
 * what is in it. Null where it goes in without a question.
 */
export function ovenDoubt(
  load: Pick<OvenLoad, 'oven' | 'trays' | 'setting'>,
  inside: readonly Pick<OvenLoad, 'oven' | 'trays' | 'setting' | 'dough'>[],
  machines: readonly Machine[],
): Coded | null {
  const oven = machinesOf('oven', machines).find(({ id }) => id === load.oven);
  if (!oven) return null;
  const own = inside.filter((other) => other.oven === load.oven);
  const held = own.reduce((sum, { trays }) => sum + trays, 0);
  if (held + load.trays > oven.capacity)
    return coded('racks.noRoom', { oven: oven.label, held, capacity: oven.capacity, trays: load.trays });
  const other = own.find(({ setting }) => setting !== load.setting);
  return other
    ? coded('racks.otherHeat', {
        ...{ oven: oven.label, dough: other.dough.name },
        ...{ celsius: { celsius: other.setting }, wanted: { celsius: load.setting } },
      })
    : null;
}
