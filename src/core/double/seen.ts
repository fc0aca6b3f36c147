import type { CauseId } from '../diagnosis/causes';
import type { FaultId } from '../record/marks';
import { chanceOf } from './chance';
import { BEHIND, MISHAPS } from './mishaps';

/** What a baker marks on a batch with a mishap: the fault it is known for, and now and then another that it also shows as. */
export function seenOn(fault: FaultId, cause: CauseId, seed: number): FaultId[] {
  const also = Object.entries(MISHAPS[cause].also ?? {}) as [FaultId, number][];
  const chance = chanceOf(`seen of ${cause}`, seed);
  return [
    fault,
    ...also.flatMap(([other, share]) => (other !== fault && chance.happens(share) ? [other] : [])),
  ];
}

/** The faults that a mishap is known for. */
export const faultsOf = (cause: CauseId): FaultId[] =>
  (Object.keys(BEHIND) as FaultId[]).filter((fault) => BEHIND[fault].includes(cause));
