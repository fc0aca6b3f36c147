import type { Words } from '../codes/coded';
import type { MixChange } from '../formula/actual';
import type { Verdict } from '../learning/verdicts';
import type { Instant } from '../time/local';
import type { AliveAnswer, FloorRecord, MixConditions } from './events';

export type StepStatus = 'open' | 'running' | 'done' | 'skipped';

/** Where a step stands, folded from what was recorded. */
export interface StepState {
  key: string;
  status: StepStatus;
  startedAt: Instant | null;
  startedBy: number | null;
  finishedAt: Instant | null;
  /** Who has said that they will do it; the last one counts. */
  takenBy: number | null;
  finishedBy: number | null;
  skipReason: Words | null;
  /** It was not left out for itself: its dough, or its part of it, was lost or closed. */
  isEndedWithDough: boolean;
  /** When its end or, before that, its start was entered, where that was later than it happened. */
  enteredAt: Instant | null;
  /** `receivedAt`: when the house heard of one that had waited on a tablet. */
  temperatures: { celsius: number; at: Instant; personId: number; receivedAt?: Instant }[];
  notes: { text: string; at: Instant; personId: number }[];
  verdict: { verdict: Verdict; at: Instant; personId: number } | null;
  alive: (AliveAnswer & { at: Instant; personId: number })[];
  /** Not ready before, by the last look; null where nobody has said so. */
  notBefore: Instant | null;
  conditions: MixConditions | null;
  /** The oven that a load went into; null where nobody has said: the planned one. */
  oven: string | null;
  /** Decks of the oven that a load is on; null where nobody has said. */
  decks: number[] | null;
  /** The core probe that is in it, and since when; only where it is said. */
  coreProbe: { id: string; at: Instant } | null;
  /** Where it stands since somebody has put it there; null while it stands where the route has it. */
  moved: { place: string; shelf: number | null; at: Instant } | null;
  changes: MixChange[];
  /** Folds, checks, weights and trimmings, in the order in which they happened. */
  records: { data: FloorRecord; at: Instant; personId: number }[];
  /** An open hands-on step that nothing before it holds up any more. */
  startable: boolean;
}
