import type { Decks } from '@/core/bakery/decks';
import { machinesOf, type Machine } from '@/core/bakery/machines';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import type { Board } from '@/core/wire/board';

/** An oven, what is in it now, and what its decks are known to do. */
export interface OvenInside {
  machine: Machine;
  decks: Decks;
  loads: readonly OvenLoad[];
  trays: number;
  /** Decks that loads are on, each as often as something is on it. */
  taken: readonly number[];
  /** What its probe last read. */
  reading: Board['places'][number] | undefined;
}

/** Every oven of the house with what is in it, in the house's order. */
export function ovensOf(
  { machines, decks, places }: Pick<Board, 'machines' | 'decks' | 'places'>,
  inside: readonly OvenLoad[],
): OvenInside[] {
  return machinesOf('oven', machines).flatMap((machine) => {
    const own = decks[machine.id];
    const loads = inside.filter(({ oven }) => oven === machine.id);
    if (!own) return [];
    return {
      ...{ machine, loads, decks: own },
      trays: loads.reduce((sum, { trays }) => sum + trays, 0),
      taken: loads.flatMap(({ dough, step }) => dough.state.steps.get(step.key)?.decks ?? []),
      reading: places.find(({ place }) => place === machine.place),
    };
  });
}
