import type { Shift } from '../time/shifts';
import type { Instant } from '../time/local';
import type { Person, Skill } from './people';
import type { Place, PlaceKind } from '../heat/places';
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

/** A place of the house, or a probe that is put into doughs. */
export interface HousePlace {
  id: string;
  label: string;
  kind: PlaceKind;
  purpose: Place['purpose'];
  /** °C that it has when nobody has said, and between which a reading can be true. */
  usual: number;
  lowest: number;
  highest: number;
  /** It is a probe that is put into a dough, and no place. */
  inDough: boolean;
  /** The machine that it is the inside of; null for what stands by itself. */
  machine: string | null;
}

/** A gateway of probes, or a scale, that may send what it measures. */
export interface Sender {
  id: string;
  kind: 'probes' | 'scale';
  label: string;
  /** When it was let in; null for those of the beginning. */
  madeAt: Instant | null;
}

/** Everything that the house page shows. */
export interface HouseBook {
  /** With what they read; null: what the tablet reads. */
  people: (Person & { skills: Skill[]; shifts: Shift[]; language: string | null })[];
  machines: Machine[];
  exceptions: Exception[];
  places: HousePlace[];
  senders: Sender[];
}
