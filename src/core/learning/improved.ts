import { medianOf } from './quantile';
import { learnFromVerdicts, type WaitVerdict } from './verdicts';

/** What a learnt time has changed, and what it was good for. */
export interface Improvement {
  /** Minutes at the reference temperature: as the product has it, and as learnt. */
  written: number;
  learnt: number;
  /** How far the one and the other were from when each wait looked right, minutes at the median. */
  offWritten: number;
  offLearnt: number;
  /** Waits that it was tried on: those that looked right, with some before them. */
  tried: number;
}

/** With fewer waits behind it nothing has been learnt. */
const BEHIND = 3;
/** Fewer waits than this are no trial. */
const LEAST = 3;

/**
 * Holds what a house has learnt against what its product says, on its own past: each wait that looked right is forecast from
 * those before it alone.
 *
 * @param judged - in the order of time
 * @returns null where there are too few to tell
 */
export function improvement(written: number, judged: readonly WaitVerdict[]): Improvement | null {
  const tried = judged.flatMap(({ minutes, verdict }, i) => {
    if (verdict !== 'right' || i < BEHIND) return [];
    const known = learnFromVerdicts(written, judged.slice(0, i)).mean;
    return [{ off: Math.abs(minutes - written), learnt: Math.abs(minutes - known) }];
  });
  if (tried.length < LEAST) return null;
  return {
    written,
    learnt: learnFromVerdicts(written, judged).mean,
    offWritten: medianOf(tried.map(({ off }) => off)),
    offLearnt: medianOf(tried.map(({ learnt }) => learnt)),
    tried: tried.length,
  };
}
