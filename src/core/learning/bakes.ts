import { coded, type Coded } from '../codes/coded';
import { learnFromReadings } from './readings';
import type { Belief } from './grid';

/** What an oven, or one deck of it, does to the written minutes of a bake. */
export interface BakeCorrection {
  /** Times as long as written: 1.06 is 6 % longer. */
  ratio: number;
  spread: number;
  bakes: number;
}

/** A bake that took less or more than these times the written minutes was not ended when it was done. */
const RECORDED_RIGHT = { least: 0.6, most: 1.6 };

/** What a bake teaches, times as long as written; null where it was not recorded when it was done. */
export function bakeRatio(minutes: number, written: number): number | null {
  if (written <= 0) return null;
  const ratio = minutes / written;
  return ratio < RECORDED_RIGHT.least || ratio > RECORDED_RIGHT.most ? null : ratio;
}

/** Learns from how many times as long bakes took; beginning from an oven that is right, `spread` unsure. */
export function learnBakes(
  ratios: readonly number[],
  { spread, scatter }: { spread: number; scatter: number },
): BakeCorrection {
  const start: Belief = { mean: 1, spread };
  const { mean, spread: left, readings } = learnFromReadings(start, ratios, scatter);
  return { ratio: mean, spread: left, bakes: readings };
}

/** Smaller than this, a correction is within what a look at the colour decides. */
const TOLD = 0.03;

/** "6 % longer, by 8 bakes"; null where there is nothing to tell. */
export function correctionMessage({ ratio, bakes }: BakeCorrection): Coded | null {
  const off = ratio - 1;
  if (bakes === 0 || Math.abs(off) < TOLD) return null;
  return coded('racks.learntCorrection', {
    percent: Math.round(Math.abs(off) * 100),
    isLonger: off > 0,
    bakes,
  });
}
