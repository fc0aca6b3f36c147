import type { Instant } from '../time/local';

/** A time in which some units of a machine cannot be used; `units` null: all of them. */
export interface Outage {
  start: Instant;
  end: Instant;
  units: number | null;
}

/** A machine of the bakery, or several alike that are planned as one. */
export interface Machine {
  id: string;
  label: string;
  /** What it takes at once, in its `unit`: bowls, tables, shelves, trays. */
  capacity: number;
  unit: string;
  /** Minutes that it needs from one setting to another. */
  changeover: number;
  /** Decks of an oven. */
  decks?: number;
  outages?: Outage[];
}
