import { believe, normal } from './grid';
import type { Learnt } from './readings';

export type Verdict = 'under' | 'right' | 'over';

/** A finished wait: how long it was, in minutes at the reference temperature, and how it looked. */
export interface WaitVerdict {
  minutes: number;
  verdict: Verdict;
}

/** How readings and eyes err: house values to begin with. */
export interface Judging {
  /** Scatter of the minutes, as a share: thermometers that are 1 °C off make about 7 % of it. */
  scatter: number;
  /** A rise looks right within this share of its time. */
  tolerance: number;
  /** Share of verdicts that are simply wrong. */
  wrong: number;
}

export const USUAL_JUDGING: Judging = { scatter: 0.09, tolerance: 0.1, wrong: 0.1 };

/** How sure a house is of a reference time it has never tested: within about a third. */
export const START_SPREAD = 0.3;

/** How likely a verdict is on a wait whose true time has this logarithm. */
export function verdictLikelihood(
  log: number,
  { minutes, verdict }: WaitVerdict,
  { scatter, tolerance, wrong }: Judging,
): number {
  const off = Math.log(minutes) - log;
  const under = normal((-tolerance - off) / scatter);
  const over = normal((off - tolerance) / scatter);
  const seen = verdict === 'under' ? under : verdict === 'over' ? over : Math.max(0, 1 - under - over);
  return wrong / 3 + (1 - wrong) * seen;
}

/**
 * Learns a reference time from judged waits. Each verdict says on which side of the true time, or how near it, the wait
 * was; wrong verdicts are allowed for, so that one wild batch moves little. Works on the logarithm: twice as long is as
 * far off as half. `spread` is in minutes.
 */
export function learnFromVerdicts(
  startMinutes: number,
  judged: readonly WaitVerdict[],
  judging = USUAL_JUDGING,
): Learnt {
  const { wrong } = judging;
  const likelihood = (log: number, one: WaitVerdict) => verdictLikelihood(log, one, judging);
  const belief = believe({ mean: Math.log(startMinutes), spread: START_SPREAD }, (log) =>
    judged.reduce((sum, one) => sum + Math.log(likelihood(log, one)), 0),
  );
  const questioned = judged.flatMap((one, i) => (likelihood(belief.mean, one) < wrong / 3 + 0.03 ? [i] : []));
  const mean = Math.exp(belief.mean);
  return { mean, spread: mean * belief.spread, readings: judged.length, questioned };
}
