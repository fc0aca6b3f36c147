import { type Cardinal, fermentationRate } from './rate';

/** A rise: how long it takes at one temperature. Anything else follows from the rate. */
export interface Fermentation {
  cardinal: Cardinal;
  /** Reference temperature, °C, and the minutes to be ready there. */
  celsius: number;
  minutes: number;
}

/** The temperature of the dough itself over time, straight between points; before and after them it stays. */
export type Profile = readonly { minute: number; celsius: number }[];

/** Nodes and weights of three-point Gauss integration on 0 to 1. */
const GAUSS: readonly [number, number][] = [
  [0.1127016653792583, 5 / 18],
  [0.5, 8 / 18],
  [0.8872983346207417, 5 / 18],
];

/** Largest step of the integration: minutes, and °C within it. */
const STEP = { minutes: 20, celsius: 1 };

/**
 * How far a rise has come along a profile: ∫ γ(T(t)) / γ(Tref) dt / tref, 1 when it is ready. From the first point to
 * the last, or to `until` (minutes), the last temperature holding on.
 */
export function progressAlong(fermentation: Fermentation, profile: Profile, until?: number): number {
  let sum = 0;
  for (const { from, to, minutes } of pieces(profile, until))
    sum += pieceProgress(fermentation, from, to, minutes);
  return sum;
}

/**
 * The minute of the profile at which the rise reaches `target`, having `before` already; null where it does not within
 * `within` minutes of the first point.
 */
export function minuteReached(
  fermentation: Fermentation,
  profile: Profile,
  {
    target = 1,
    before = 0,
    within = 7 * 24 * 60,
  }: { target?: number; before?: number; within?: number } = {},
): number | null {
  return minutesReached(fermentation, profile, [target], { before, within })[0] ?? null;
}

/**
 * The minutes of the profile at which the rise reaches each of some targets, in one pass; null for those that it does not
 * reach.
 *
 * @param targets - progress, in ascending order
 * @param options.before - progress that it has already
 * @param options.within - minutes from the first point after which nobody waits any longer
 */
export function minutesReached(
  fermentation: Fermentation,
  profile: Profile,
  targets: readonly number[],
  { before = 0, within = 7 * 24 * 60 }: { before?: number; within?: number } = {},
): (number | null)[] {
  const begin = profile[0]?.minute ?? 0;
  const found: number[] = targets.filter((target) => before >= target).map(() => begin);
  let done = before;
  for (const { start, from, to, minutes } of pieces(profile, begin + within)) {
    if (found.length === targets.length) break;
    const gain = pieceProgress(fermentation, from, to, minutes);
    for (let next = targets[found.length]; next !== undefined && done + gain >= next;) {
      // Within one short piece the rate is almost straight: one secant step is exact to seconds.
      found.push(start + (minutes * (next - done)) / gain);
      next = targets[found.length];
    }
    done += gain;
  }
  return targets.map((_, i) => found[i] ?? null);
}

function pieceProgress(
  { cardinal, celsius, minutes }: Fermentation,
  from: number,
  to: number,
  length: number,
): number {
  let rate = 0;
  for (const [at, weight] of GAUSS) rate += weight * fermentationRate(cardinal, from + at * (to - from));
  return (rate * length) / (fermentationRate(cardinal, celsius) * minutes);
}

/** A profile cut into short straight pieces, the last temperature held until `until`. */
function* pieces(
  profile: Profile,
  until?: number,
): Generator<{ start: number; from: number; to: number; minutes: number }> {
  const last = profile.at(-1);
  if (!last) return;
  const points =
    until !== undefined && until > last.minute ? [...profile, { ...last, minute: until }] : profile;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1], points[i]];
    if (!a || !b || b.minute <= a.minute) continue;
    const end = until === undefined ? b.minute : Math.min(b.minute, until);
    if (end <= a.minute) return;
    const slope = (b.celsius - a.celsius) / (b.minute - a.minute);
    const length = end - a.minute;
    const count = Math.ceil(Math.max(length / STEP.minutes, (Math.abs(slope) * length) / STEP.celsius, 1e-9));
    const minutes = length / count;
    for (let k = 0; k < count; k++) {
      const start = a.minute + k * minutes;
      const from = a.celsius + slope * (start - a.minute);
      yield { start, from, to: from + slope * minutes, minutes };
    }
  }
}

/** Least and most that a dose may change a rise: outside, the time is no longer as 1 / yeast. */
const DOSE = { least: 0.5, most: 2 };

/** The same rise with another dose of yeast, `dose` times the formula's: time goes as 1 / dose, within half and double. */
export function withDose(fermentation: Fermentation, dose: number): Fermentation {
  if (!(dose > 0)) throw new RangeError('Without yeast a dough does not rise.');
  return { ...fermentation, minutes: fermentation.minutes / Math.min(DOSE.most, Math.max(DOSE.least, dose)) };
}

/** A profile that approaches the air around it by Newton's law, one point every `every` minutes. */
export function approach(
  start: number,
  around: number,
  { settling, minutes, from = 0 }: { settling: number; minutes: number; from?: number },
): Profile {
  const points: { minute: number; celsius: number }[] = [];
  const count = Math.max(1, Math.min(60, Math.ceil(minutes / Math.max(2, settling / 8))));
  for (let i = 0; i <= count; i++) {
    // Points lie closer together at the beginning, where the temperature moves fast.
    const minute = minutes * (i / count) ** 2;
    points.push({ minute: from + minute, celsius: around + (start - around) * Math.exp(-minute / settling) });
  }
  return points;
}
