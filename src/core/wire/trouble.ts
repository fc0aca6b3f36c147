import type { Instant } from '../time/local';

/** A machine that is out, or somebody who cannot work, as the floor has to know it now. */
export interface Trouble {
  id: number;
  machineId: string | null;
  personId: number | null;
  /** How many of the machine's units are out; null: all of it. */
  units: number | null;
  /** The deck of an oven that is out, counted from 1; null where it is not one deck. */
  deck: number | null;
  /** It works, and takes so many times as long; null where it is out. */
  slower: number | null;
  since: Instant;
  /** Until when the plan reckons with it. */
  until: Instant;
  note: string;
}

/** What is wrong, as a message takes it: `person`, `slower`, `deck`, some `units` of it, or `all` of it. */
export function troubleValues({ machineId, units, deck, slower }: Trouble) {
  const kind =
    machineId === null
      ? 'person'
      : slower !== null
        ? 'slower'
        : deck !== null
          ? 'deck'
          : units !== null
            ? 'units'
            : 'all';
  return { kind, units: units ?? 0, deck: deck ?? 0, percent: Math.round(((slower ?? 1) - 1) * 100) };
}
