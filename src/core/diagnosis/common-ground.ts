import { quantile } from '../learning/quantile';
import { FEATURE_IDS, type FeatureId } from './features';
import type { BatchSummary } from './summary';

/** What good batches of a product have in common in one feature. */
export interface CommonGround {
  feature: FeatureId;
  /** From the lowest to the highest tenth of the good ones, and their middle. */
  from: number;
  to: number;
  middle: number;
  good: number;
  /** Other batches in which it was measured, and how many of them lie outside. */
  others: number;
  outside: number;
  /** More of the others lie outside than would by chance: it sets good batches apart. */
  tells: boolean;
}

/** From this mean mark on a batch is good, if no fault was seen on it and little of it lost. */
const GOOD = { mark: 4.4, lost: 0.08 };
/** Fewer good batches than this have nothing in common yet. */
const LEAST = 4;
/** Of good batches themselves one in five lies outside their own middle part. */
const EXPECTED = 0.2;
/** So seldom may chance alone have as many outside. */
const CHANCE = 0.02;

/** Whether a batch came out as it should; null where nobody has judged it. */
export function isGood({
  mean,
  seen,
  counted,
}: Pick<BatchSummary, 'mean' | 'seen' | 'counted'>): boolean | null {
  if (mean === null) return null;
  const all = counted ? counted.good + counted.second + counted.waste : 0;
  const lost = counted && all > 0 ? 1 - counted.good / all : 0;
  return mean >= GOOD.mark && seen.length === 0 && lost <= GOOD.lost;
}

/** How likely it is that of `of` things at least `many` are so, each with this chance (binomial). */
export function atLeast(many: number, of: number, chance: number): number {
  let term = (1 - chance) ** of;
  let below = 0;
  for (let k = 0; k < many; k++) {
    below += term;
    term *= ((of - k) / (k + 1)) * (chance / (1 - chance));
  }
  return Math.max(0, 1 - below);
}

/**
 * What the good ones among some batches of one product have in common: for each feature the range in which they lie, and how
 * many of the others lie outside of it. What sets good ones apart comes first.
 */
export function commonGround(batches: readonly BatchSummary[]): CommonGround[] {
  const judged = batches.filter((batch) => isGood(batch) !== null);
  const ground = FEATURE_IDS.flatMap((feature): CommonGround[] => {
    const values = (wanted: boolean) =>
      judged.flatMap((batch) => (isGood(batch) === wanted ? (batch.features[feature] ?? []) : []));
    const good = values(true).sort((a, b) => a - b);
    if (good.length < LEAST) return [];
    const [from, to] = [quantile(good, 0.1), quantile(good, 0.9)];
    const others = values(false);
    const outside = others.filter((value) => value < from || value > to).length;
    const tells = others.length > 0 && atLeast(outside, others.length, EXPECTED) < CHANCE;
    const counts = { good: good.length, others: others.length, outside };
    return [{ feature, from, to, middle: quantile(good, 0.5), ...counts, tells }];
  });
  return ground.sort((a, b) => Number(b.tells) - Number(a.tells));
}
