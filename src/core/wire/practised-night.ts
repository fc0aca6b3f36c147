import type { Instant } from '../time/local';

/** A practice night that somebody has worked, or is at. */
export interface PractisedNight {
  id: number;
  person: string;
  /** A situation that ships by its id; `own 3` for one of the house, `batch 12 6.1.proof` for a batch. */
  situation: string;
  /** What the bakery itself calls it; null for one that ships. */
  name: string | null;
  openedAt: Instant;
  /** Null while it is under way. */
  endedAt: Instant | null;
  good: number | null;
  possible: number | null;
}
