import type { Shift } from '../time/shifts';
import type { Instant } from '../time/local';
import type { Person, Skill } from './people';
import type { Machine } from './machines';

/** An exception from the weekly pattern: a shift more, somebody away, a machine down. */
export interface Exception {
  id: number;
  kind: 'extra' | 'away';
  personId: number | null;
  machineId: string | null;
  /** Units of the machine that are out; null for all. */
  units: number | null;
  start: Instant;
  end: Instant;
  note: string;
}

/** Everything that the house page shows. */
export interface HouseBook {
  people: (Person & { skills: Skill[]; shifts: Shift[] })[];
  machines: Machine[];
  exceptions: Exception[];
}
