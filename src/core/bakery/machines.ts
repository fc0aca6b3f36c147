import type { MixingWay } from '../heat/friction';
import type { PlaceKind } from '../heat/places';
import type { Instant } from '../time/local';

/** Kinds of machines and equipment; what a route asks for. */
export const MACHINE_KINDS = [
  'mixer',
  'bench',
  'divider',
  'sheeter',
  'retarder',
  'freezer',
  'blast',
  'proofer',
  'oven',
  'rack',
  'tray',
  'tin',
] as const;
export type MachineKind = (typeof MACHINE_KINDS)[number];

/** A time in which some units of a machine cannot be used; `units` null: all of them. */
export interface Outage {
  start: Instant;
  end: Instant;
  units: number | null;
  /** They are those of this deck of an oven; left out where it is not one deck. */
  deck?: number;
}

/** A time in which a machine works and takes so many times as long. */
export interface Slowdown {
  start: Instant;
  end: Instant;
  times: number;
}

/** What is told of a machine of some kinds alone; what nobody has told is left out. */
export interface MachineDetails {
  /** How a mixer mixes. */
  mixing?: MixingWay;
  /** An oven blows its air about, and is set lower for that. */
  fan?: boolean;
  /** °C that an oven is set higher for what it says: what it falls short of. */
  correction?: number;
  /** What a sheeter, or a bench with a pin, rolls out: the widest and longest sheet, cm. */
  width?: number;
  length?: number;
  /** The smallest gap of a sheeter, mm. */
  leastGap?: number;
  /** Largest share of its thickness that a dough loses in one pass of it. */
  reduction?: number;
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
  details?: MachineDetails;
  outages?: Outage[];
  slow?: Slowdown[];
}

/** What is told of some kinds alone; of another kind it is not kept. */
const OWN: Partial<Record<MachineKind, readonly (keyof MachineDetails)[]>> = {
  mixer: ['mixing'],
  oven: ['fan', 'correction'],
  sheeter: ['width', 'length', 'leastGap', 'reduction'],
  bench: ['width', 'length'],
};

/** Of what is told of a machine, what its kind has. */
export const ownDetails = (kind: MachineKind, all: MachineDetails): MachineDetails =>
  Object.fromEntries(
    Object.entries(all).filter(([name]) => OWN[kind]?.includes(name as keyof MachineDetails)),
  );

/** °C that an oven with a fan is set lower by. */
const FAN = 20;

/**
 * What is set on a machine for a temperature of the recipe, which is that of an oven without a fan.
 *
 * @example dialFor({ kind: 'oven', details: { fan: true, correction: 5 } }, 200) // 185
 */
export function dialFor({ kind, details = {} }: Pick<Machine, 'kind' | 'details'>, celsius: number): number {
  if (kind !== 'oven') return celsius;
  return celsius - (details.fan ? FAN : 0) + (details.correction ?? 0);
}

/** The same on the machine of this id; as it is where the house has none of it. */
export function dialOn(
  id: string,
  celsius: number,
  machines: readonly Pick<Machine, 'id' | 'kind' | 'details'>[],
): number {
  const own = machines.find((machine) => machine.id === id);
  return own ? dialFor(own, celsius) : celsius;
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

/** Kinds that do what another does as well: a blast freezer freezes, and faster; what a divider does is done by hand at a bench. */
const ALSO: Partial<Record<MachineKind, readonly MachineKind[]>> = {
  freezer: ['blast'],
  divider: ['bench'],
};
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
