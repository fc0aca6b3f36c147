import type { PlaceKind } from '../heat/places';
import type { Instant } from '../time/local';

/** Kinds of machines and equipment; what a route asks for. */
export const MACHINE_KINDS = [
  'mixer',
  'bench',
  'sheeter',
  'retarder',
  'freezer',
  'blast',
  'proofer',
  'oven',
  'tray',
  'tin',
] as const;
export type MachineKind = (typeof MACHINE_KINDS)[number];

/** A time in which some units of a machine cannot be used; `units` null: all of them. */
export interface Outage {
  start: Instant;
  end: Instant;
  units: number | null;
}

/** A machine of the bakery, or several alike that are planned as one. */
export interface Machine {
  id: string;
  kind: MachineKind;
  label: string;
  /** What it takes at once, in its `unit`: bowls, tables, shelves, trays. */
  capacity: number;
  unit: string;
  /** Minutes that it needs from one setting to another. */
  changeover: number;
  /** Decks of an oven. */
  decks?: number;
  /** Kilograms of dough that one bowl of a mixer takes: at least, and at most; null where nobody knows. */
  kgLeast?: number | null;
  kgAtOnce?: number | null;
  /** The place whose temperature it has inside; null for what stands in the room. */
  place?: string | null;
  outages?: Outage[];
}

/** A place of the house as far as a step chooses between them. */
export interface PlaceOfKind {
  id: string;
  kind: PlaceKind;
}

/** What a bakery has for its doughs: machines and places, both in the house's order. */
export interface Equipment {
  machines: readonly Machine[];
  places: readonly PlaceOfKind[];
}

/** Kinds that do what another does as well: a blast freezer freezes, and faster. */
const ALSO: Partial<Record<MachineKind, readonly MachineKind[]>> = { freezer: ['blast'] };
const ALSO_PLACES: Partial<Record<PlaceKind, readonly PlaceKind[]>> = {
  retarder: ['fridge'],
  freezer: ['blast'],
};

/** Machines that can do what `kind` does: those of the kind itself first, each in the house's order. */
export function machinesOf<M extends Pick<Machine, 'kind'>>(kind: MachineKind, machines: readonly M[]): M[] {
  return [kind, ...(ALSO[kind] ?? [])].flatMap((one) => machines.filter((machine) => machine.kind === one));
}

/** The place of a kind that is meant where nothing else is said: the first of the kind itself, then of one that does as well. */
export function placeOf(kind: PlaceKind, places: readonly PlaceOfKind[]): string | undefined {
  return [kind, ...(ALSO_PLACES[kind] ?? [])]
    .flatMap((one) => places.filter((place) => place.kind === one))
    .at(0)?.id;
}
