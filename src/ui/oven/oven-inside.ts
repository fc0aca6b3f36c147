import type { Decks, OnDecks } from '@/core/bakery/decks';
import { machinesOf, type Machine } from '@/core/bakery/machines';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import type { Board } from '@/core/wire/board';

/** A load, and the decks it is told to be on. */
export interface LoadOnDecks extends OnDecks {
  load: OvenLoad;
}

/** An oven, what is in it now, and what its decks are known to do. */
export interface OvenInside {
  machine: Machine;
  decks: Decks;
  loads: readonly OvenLoad[];
  trays: number;
  /** Loads that are told to be on some of its decks. */
  onDecks: readonly LoadOnDecks[];
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
      onDecks: loads.flatMap((load) => {
        const told = decksOf(load);
        return told ? [{ load, decks: told, trays: load.trays }] : [];
      }),
      reading: places.find(({ place }) => place === machine.place),
    };
  });
}

/** Decks that a load is told to be on; null where nobody has said. */
export const decksOf = ({ dough, step }: OvenLoad): readonly number[] | null =>
  dough.state.steps.get(step.key)?.decks ?? null;

/** What else is on the decks of an oven. */
export const othersOn = ({ onDecks }: OvenInside, { dough, step }: OvenLoad): readonly LoadOnDecks[] =>
  onDecks.filter(({ load }) => load.dough.id !== dough.id || load.step.key !== step.key);
