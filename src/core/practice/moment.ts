import type { Coded } from '../codes/coded';
import type { Instant } from '../time/local';

/** Something that a review tells: what went well, what was missed, what nobody could know. */
export interface Moment {
  at: Instant;
  doughId: number | null;
  how: 'well' | 'missed' | 'hidden';
  what: Coded;
  /** What a look or a reading would have shown; null where it needs none. */
  shown: Coded | null;
}
