/** What lies on the scale, against what was asked for. */
export interface WeightGap {
  /** Grams more than asked for; below 0 what is missing. */
  grams: number;
  /** The same as a share of what was asked for: 0.26 is 26 % too much. */
  share: number;
  /** Nearer than a knife and a kitchen scale are. */
  isClose: boolean;
}

/** So far apart, as a share, nobody cuts or adds anything. */
const CLOSE = 0.02;

/**
 * Butter or dough on the scale against what a block or disc of it should weigh, both in grams.
 *
 * @example
 * weightGap(1058, 840); // { grams: 218, share: 0.2595…, isClose: false }: 26 % too much
 */
export function weightGap(weighed: number, asked: number): WeightGap {
  const grams = weighed - asked;
  const share = asked > 0 ? grams / asked : 0;
  return { grams, share, isClose: Math.abs(share) <= CLOSE };
}
