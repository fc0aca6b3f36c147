import type { Instant } from '../time/local';

/** A machine that is out, or somebody who cannot work, as the floor has to know it now. */
export interface Trouble {
  id: number;
  machineId: string | null;
  personId: number | null;
  /** How many of the machine's units are out; null: all of it. */
  units: number | null;
  since: Instant;
  /** Until when the plan reckons with it. */
  until: Instant;
  note: string;
}
