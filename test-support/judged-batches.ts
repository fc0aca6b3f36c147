import { crescentDough } from './crescent';
import type { CauseId } from '@/core/diagnosis/causes';
import { explain } from '@/core/diagnosis/explain';
import { batchTrace } from '@/core/diagnosis/trace';
import { FAULT_IDS, type FaultId } from '@/core/record/marks';
import { BEHIND, MISHAPS } from '@/core/double/mishaps';
import { seenOn } from '@/core/double/seen';
import { playedBatch } from '@/core/double/played-batch';

/** Twenty batches for each fault; the causes were written with the first ten, the others were held back. */
export const EACH = 20;

/** A batch with one mishap, and the causes that were named for it, the likeliest first. */
export interface JudgedBatch {
  fault: FaultId;
  cause: CauseId;
  found: CauseId[];
}

function judged(fault: FaultId, nth: number): JudgedBatch {
  const causes = BEHIND[fault];
  const cause = causes[nth % causes.length] as CauseId;
  const seed = 1000 * FAULT_IDS.indexOf(fault) + nth;
  const { record, heard } = playedBatch(crescentDough(), MISHAPS[cause], seed);
  const found = explain(seenOn(fault, cause, seed), batchTrace(record, 5, heard));
  return { fault, cause, found: found.map((one) => one.cause) };
}

/** All of them, fault by fault. */
export const judgedBatches = (): JudgedBatch[] =>
  FAULT_IDS.flatMap((fault) => Array.from({ length: EACH }, (_, nth) => judged(fault, nth)));

/** In what share of some batches the cause is among the first ones named. */
export const foundShare = (batches: readonly JudgedBatch[], within: number): number =>
  batches.filter(({ cause, found }) => found.slice(0, within).includes(cause)).length / batches.length;
