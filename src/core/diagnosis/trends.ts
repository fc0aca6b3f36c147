import { formatLocal, type Instant } from '../time/local';
import { quantile } from '../learning/quantile';
import { type Period, periodOf } from './periods';
import { type Drift, driftOf, type Point } from './drift';
import type { FeatureId } from './features';
import type { BatchSummary } from './summary';

/** A feature that is the same for all products, so that a house can be watched by it. */
export type WatchedFeature = Extract<
  FeatureId,
  'mixedOff' | 'proofOff' | 'proofLate' | 'bakeShare' | 'ovenOff'
>;

/** What is watched: of which machine, and the least change that matters. */
const WATCHED: Readonly<Record<WatchedFeature, { machine: 'proofer' | 'oven' | null; least: number }>> = {
  mixedOff: { machine: null, least: 0.8 },
  proofOff: { machine: 'proofer', least: 0.7 },
  proofLate: { machine: null, least: 8 },
  bakeShare: { machine: 'oven', least: 0.04 },
  ovenOff: { machine: 'oven', least: 4 },
};

/** A change of a machine, or of the house, that has come to stay. */
export interface HouseDrift extends Drift {
  feature: WatchedFeature;
  /** The machine that it is about, by its id; null for the house. */
  machine: string | null;
}

/** One feature along the batches in which it was measured, in the order of time. */
export const pointsOf = (batches: readonly BatchSummary[], feature: FeatureId): Point[] =>
  batches
    .flatMap(({ features, doneAt }) => {
      const value = features[feature];
      return value === null ? [] : [{ at: doneAt, value }];
    })
    .sort((a, b) => a.at - b.at);

/** Every change that has come to stay, the most recent first. */
export function houseDrifts(batches: readonly BatchSummary[]): HouseDrift[] {
  const found = (Object.keys(WATCHED) as WatchedFeature[]).flatMap((feature) => {
    const { machine, least } = WATCHED[feature];
    const ids = machine ? [...new Set(batches.flatMap((batch) => batch[machine] ?? []))] : [null];
    return ids.flatMap((id): HouseDrift[] => {
      const own = id === null || !machine ? batches : batches.filter((batch) => batch[machine] === id);
      const drift = driftOf(pointsOf(own, feature), least);
      return drift ? [{ ...drift, feature, machine: id }] : [];
    });
  });
  return found.sort((a, b) => b.since - a.since);
}

/** In what part of the day a dough was mixed. */
export const SHIFTS = ['night', 'day', 'evening'] as const;
export type ShiftOfDay = (typeof SHIFTS)[number];
/** Local hours at which day and evening begin, and the night. */
const BEGINS = { day: 6, evening: 14, night: 22 };

export function shiftOf(at: Instant, zone: string): ShiftOfDay {
  const hour = Number(formatLocal(at, zone).slice(11, 13));
  if (hour < BEGINS.day || hour >= BEGINS.night) return 'night';
  return hour < BEGINS.evening ? 'day' : 'evening';
}

/** The middle of some values, and the lowest and highest tenth. */
export interface Range {
  low: number;
  middle: number;
  high: number;
  of: number;
}

export function rangeOf(values: readonly number[]): Range | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const [low, middle, high] = [0.1, 0.5, 0.9].map((share) => quantile(sorted, share)) as [
    number,
    number,
    number,
  ];
  return { low, middle, high, of: sorted.length };
}

/** How the batches of one group came out. */
export interface GroupTrend<Key> {
  key: Key;
  batches: number;
  mixedOff: Range | null;
  proofLate: Range | null;
  /** Pieces that were not good, of all that were counted; null where none were. */
  lost: number | null;
}

/** Batches by what `keyOf` says of them, in the order in which keys are first met; those of which it says null are left out. */
export function groupTrends<Key extends string | number>(
  batches: readonly BatchSummary[],
  keyOf: (batch: BatchSummary) => Key | null,
): GroupTrend<Key>[] {
  const groups = new Map<Key, BatchSummary[]>();
  for (const batch of batches) {
    const key = keyOf(batch);
    if (key !== null) groups.set(key, [...(groups.get(key) ?? []), batch]);
  }
  return [...groups].map(([key, own]) => ({
    ...{ key, batches: own.length, lost: lostOf(own) },
    mixedOff: rangeOf(pointsOf(own, 'mixedOff').map(({ value }) => value)),
    proofLate: rangeOf(pointsOf(own, 'proofLate').map(({ value }) => value)),
  }));
}

function lostOf(batches: readonly BatchSummary[]): number | null {
  const { good, second, waste } = piecesOf(batches);
  const all = good + second + waste;
  return all === 0 ? null : 1 - good / all;
}

/** Pieces of some batches together, as they were counted. */
function piecesOf(batches: readonly BatchSummary[]) {
  const sum = { good: 0, second: 0, waste: 0 };
  for (const { counted } of batches) {
    sum.good += counted?.good ?? 0;
    sum.second += counted?.second ?? 0;
    sum.waste += counted?.waste ?? 0;
  }
  return sum;
}

/** What came out in one day or week, pieces. */
export interface PeriodYield {
  /** The day, or the Monday of the week, as `2026-11-16`. */
  from: string;
  good: number;
  second: number;
  waste: number;
}

/** What came out day by day or week by week. */
export function yieldsBy(batches: readonly BatchSummary[], zone: string, period: Period): PeriodYield[] {
  const found = new Map<string, BatchSummary[]>();
  for (const batch of batches) {
    if (!batch.counted) continue;
    const from = periodOf(batch.doneAt, zone, period);
    found.set(from, [...(found.get(from) ?? []), batch]);
  }
  return [...found].sort(([a], [b]) => (a < b ? -1 : 1)).map(([from, own]) => ({ from, ...piecesOf(own) }));
}
