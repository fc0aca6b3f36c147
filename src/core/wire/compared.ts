import type { CommonGround } from '../diagnosis/common-ground';
import type { BatchSummary } from '../diagnosis/summary';
import type { DoughRecord } from '../record/dough';
import type { Instant } from '../time/local';

/** A batch beside others of its product. */
export interface ComparedBatch {
  summary: BatchSummary;
  /** Its dough, for its thread. */
  dough: DoughRecord;
}

/** Batches of one product side by side. */
export interface Compared {
  /** Null where there is nothing to compare. */
  product: { id: number; name: string } | null;
  batches: ComparedBatch[];
  /** Other products of these doughs, with how many of them have it. */
  others: { id: number; name: string; count: number }[];
  /** What good batches of the product share. */
  ground: CommonGround[];
  /** How many of its batches were good, of how many judged, since when. */
  good: number;
  judged: number;
  since: Instant;
}
