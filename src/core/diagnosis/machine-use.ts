import type { Machine } from '../bakery/machines';
import type { DoughRecord } from '../record/dough';
import type { DoughState } from '../record/state';
import { addLocalDays, type Instant, MINUTE } from '../time/local';
import { type Period, periodOf } from './periods';

/** A load in a machine that has a setting, as it was recorded: from when to when, and how much of it was taken. */
export interface MachineUse {
  machine: string;
  from: Instant;
  to: Instant;
  /** In the machine's own unit: trays. */
  amount: number;
}

/** What ovens and proofers held of one output of a dough. */
export function usesOf({ steps }: DoughRecord, state: DoughState, outputId: number): MachineUse[] {
  return steps
    .filter(({ outputId: of }) => of === outputId)
    .flatMap(({ key, uses }): MachineUse[] => {
      const own = state.steps.get(key);
      const use = uses.find(({ setting }) => setting !== undefined);
      if (!use || !own || own.startedAt === null || own.finishedAt === null) return [];
      const machine = own.oven ?? use.resource;
      return [{ machine, from: own.startedAt, to: own.finishedAt, amount: use.amount }];
    });
}

/** How much one machine was used in a day, or on the mean day of a week. */
export interface PeriodUse {
  from: string;
  machine: string;
  /** Hours in which something was in it. */
  hours: number;
  /** How full it was in those hours, share of its capacity. */
  full: number;
}

/**
 * How long and how full machines were in use, day by day or week by week. What crosses midnight counts for both days. Loads
 * that overlap are one stretch of use.
 *
 * @example
 * machineHours(batches, machines, 'UTC', 'day'); // [{ from: '2026-11-18', machine: 'oven', hours: 6.5, full: 0.7 }, …]
 */
export function machineHours(
  batches: readonly { uses: readonly MachineUse[] }[],
  machines: readonly Pick<Machine, 'id' | 'capacity'>[],
  zone: string,
  period: Period,
): PeriodUse[] {
  const uses = batches.flatMap((batch) => batch.uses);
  return machines.flatMap(({ id, capacity }) => {
    const own = uses.filter(({ machine }) => machine === id).flatMap((use) => byDays(use, zone));
    const periods = new Set(own.map(({ from }) => periodOf(from, zone, period)));
    return [...periods].sort().map((from): PeriodUse => {
      const inside = own.filter((use) => periodOf(use.from, zone, period) === from);
      const minutes = coveredMinutes(inside);
      const held = inside.reduce((sum, use) => sum + ((use.to - use.from) / MINUTE) * use.amount, 0);
      return {
        ...{ from, machine: id, hours: minutes / 60 / (period === 'week' ? 7 : 1) },
        full: minutes === 0 ? 0 : held / minutes / capacity,
      };
    });
  });
}

/** A use cut at the midnights of the house. */
function byDays(use: MachineUse, zone: string): MachineUse[] {
  const midnight = addLocalDays(use.from, 1, zone);
  return use.to <= midnight ? [use] : [{ ...use, to: midnight }, ...byDays({ ...use, from: midnight }, zone)];
}

/** Minutes in which at least one of them was. */
function coveredMinutes(uses: readonly MachineUse[]): number {
  let [minutes, end] = [0, -Infinity];
  for (const { from, to } of [...uses].sort((a, b) => a.from - b.from)) {
    minutes += Math.max(0, to - Math.max(from, end)) / MINUTE;
    end = Math.max(end, to);
  }
  return minutes;
}
