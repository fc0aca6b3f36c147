import type { DoughStep } from '../process/expand';
import type { Verdict } from '../learning/verdicts';

/** A look at a rise: how it was, so many minutes after it began. */
export interface Judgement {
  minutes: number;
  verdict: Verdict;
}

/** A rise that was not ready is looked at again after so long: a share of what it has had, at least some minutes. */
const NEXT_LOOK = { share: 0.12, least: 10 };

/** How soon hands can be found for what is over, minutes. */
const AT_ONCE = 15;

/** How far one dough's rise is off what was reckoned for it: one standard deviation of the logarithm of its time. */
const DAY_SPREAD = 0.15;

/**
 * Works out how many times as long as reckoned a rise takes that was not ready after `minutes`.
 *
 * The time of a rise is taken to spread about the reckoned one as a lognormal variable; "not yet" cuts off all times up to
 * `minutes`, and the mean of what is left is the answer. Long before its time "not yet" is no news; a little before it, a
 * little; long after it, the rise is about as slow as it was seen to be.
 *
 * @param reckoned - minutes after which it should have been at its best, above 0
 * @param minutes - minutes after which it was not, above 0
 * @example
 * slowerBy(90, 40); // 1.00
 * slowerBy(90, 87); // 1.10
 * slowerBy(90, 120); // 1.41
 */
export function slowerBy(reckoned: number, minutes: number): number {
  const z = Math.log(minutes / reckoned) / DAY_SPREAD;
  return Math.exp(DAY_SPREAD * meanAbove(z));
}

/**
 * How sure the best time of a rise is: one standard deviation, minutes. A look that found it "not yet" cuts off the times
 * before it, so that what is left spreads less: the variance of a normal variable above z is 1 + z m − m², where m is its
 * mean.
 *
 * @param best - minutes after which it should be at its best, above 0
 * @param notYet - minutes after which it was seen not to be; null where nobody has looked
 * @example
 * riseSpread(90, null); // 13.5
 * riseSpread(90, 87); // 8.7
 */
export function riseSpread(best: number, notYet: number | null): number {
  if (notYet === null || notYet <= 0) return best * DAY_SPREAD;
  const z = Math.log(notYet / best) / DAY_SPREAD;
  const mean = meanAbove(z);
  return best * DAY_SPREAD * Math.sqrt(Math.max(0, 1 + z * mean - mean ** 2));
}

/** From where on the tail is reckoned by its continued fraction, and with so many terms of it. */
const TAIL = { from: 2, terms: 60 };

/** Mean of a standard normal variable above `z`: the inverse Mills ratio. */
function meanAbove(z: number): number {
  // Far out the tail is too small to divide by: there Laplace's continued fraction, z + 1/(z + 2/(z + 3/...)), is exact.
  if (z > TAIL.from) {
    let mean = z;
    for (let term = TAIL.terms; term > 0; term--) mean = z + term / mean;
    return mean;
  }
  return Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI) / (1 - phi(z));
}

/** Standard normal distribution function (Abramowitz and Stegun 7.1.26, absolute error below 1e-7). */
function phi(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - series * Math.exp(-x * x);
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}

/**
 * Corrects the window of a rise by a look at it; the look goes before what was reckoned.
 *
 * Ready: it may end now, and keeps as long as it would have. Not yet: it is later by what the look says
 * (`slowerBy`), and not ready before the next look. Over: it has to end as soon as hands are free.
 */
export function judgedWindow<Step extends DoughStep>(step: Step, { minutes, verdict }: Judgement): Step {
  const now = Math.max(1, Math.round(minutes));
  if (verdict === 'over') return { ...step, min: Math.min(step.min, now), target: now, max: now + AT_ONCE };
  if (verdict === 'right') {
    const max = Math.max(now, now + step.max - step.target);
    return { ...step, min: Math.min(step.min, now), target: now, max };
  }
  const slower = slowerBy(step.target, now);
  const least = now + Math.max(NEXT_LOOK.least, Math.round(NEXT_LOOK.share * now));
  const min = Math.max(Math.round(step.min * slower), least);
  const target = Math.max(min, Math.round(step.target * slower));
  return { ...step, min, target, max: Math.max(target, Math.round(step.max * slower)) };
}

/** How fast a rise was seen to go against what was reckoned for it: below 1 slower, above 1 faster. */
export function paceOf({ target }: Pick<DoughStep, 'target'>, { minutes, verdict }: Judgement): number {
  if (target <= 0 || minutes <= 0) return 1;
  if (verdict === 'right') return target / minutes;
  if (verdict === 'over') return Math.max(1, target / minutes);
  return 1 / slowerBy(target, minutes);
}
