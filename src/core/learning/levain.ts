import { type Cardinal, fermentationRate } from '../ferment/rate';
import { believe } from './grid';
import { START_SPREAD, USUAL_JUDGING, type Verdict, verdictLikelihood } from './verdicts';

/** A rise of levain that was looked at: minutes that it took, mean °C of its dough, and how it looked. */
export interface LevainRise {
  minutes: number;
  celsius: number;
  verdict: Verdict;
}

/** How sure a house is of the temperature at which its levain is fastest, °C. */
const BEST_SPREAD = 2;
/** Points of the grid over its reference time. */
const POINTS = 41;
/** Where rises are compared, °C; which temperature that is changes nothing. */
const COMPARED_AT = 24;

/** A levain whose best temperature is another: the temperature at which it dies moves with it. */
const withBest = (start: Cardinal, best: number): Cardinal => ({
  ...{ lowest: start.lowest, best },
  highest: start.highest + best - start.best,
});

/** Minutes of a rise as they would be at another temperature. */
export const minutesAt = (cardinal: Cardinal, minutes: number, from: number, to: number): number =>
  (minutes * fermentationRate(cardinal, from)) / fermentationRate(cardinal, to);

/**
 * Learns at what temperature the levain of a house is fastest, from rises at several temperatures: each set of them has a
 * reference time of its own, which is as unknown, so that a slow starter is no cold one. Rises at one temperature alone say
 * next to nothing of it. The cardinal model with inflection (Rosso 1993).
 */
export function learnLevain(start: Cardinal, sets: readonly (readonly LevainRise[])[]): Cardinal {
  const belief = believe({ mean: start.best, spread: BEST_SPREAD }, (best) =>
    sets.reduce((sum, one) => sum + evidenceFor(withBest(start, best), one), 0),
  );
  return withBest(start, belief.mean);
}

/** The log of how likely these looks are with such a levain, whatever its reference time. */
function evidenceFor(cardinal: Cardinal, judged: readonly LevainRise[]): number {
  if (judged.length === 0) return 0;
  const looks = judged.map((one) => ({
    minutes: minutesAt(cardinal, one.minutes, one.celsius, COMPARED_AT),
    verdict: one.verdict,
  }));
  const middle = looks.reduce((sum, { minutes }) => sum + Math.log(minutes), 0) / looks.length;
  let total = 0;
  for (let i = 0; i < POINTS; i++) {
    const z = (6 * i) / (POINTS - 1) - 3;
    const log = middle + z * START_SPREAD;
    const fits = looks.reduce((product, look) => product * verdictLikelihood(log, look, USUAL_JUDGING), 1);
    total += Math.exp(-0.5 * z * z) * fits;
  }
  return Math.log(total);
}
