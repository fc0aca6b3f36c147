import type { BatchTrace } from './trace';

/** In what a feature is measured: °C, a difference of °C, minutes, or a share (1 as meant). */
export type FeatureUnit = 'celsius' | 'difference' | 'minutes' | 'share' | 'percent';

/** What batches of a product can be compared by, beside how they came out. */
export interface BatchCourse {
  trace: BatchTrace;
  /** Dough temperature measured after mixing, and the target, °C. */
  mixed: { celsius: number; target: number } | null;
  /** How much later than forecast at its start the proof was ended, minutes; null where it was judged not right, or not at all. */
  proofLate: number | null;
}

interface Feature {
  unit: FeatureUnit;
  of: (course: BatchCourse) => number | null;
}

const feature = (unit: FeatureUnit, of: Feature['of']): Feature => ({ unit, of });

const extreme = (
  pick: (...values: number[]) => number,
  values: readonly (number | null)[],
): number | null => {
  const known = values.flatMap((value) => value ?? []);
  return known.length === 0 ? null : pick(...known);
};

/** Every feature, in the order of the work. */
export const FEATURES = {
  /** Dough temperature after mixing. */
  mixed: feature('celsius', ({ mixed }) => mixed?.celsius ?? null),
  /** How far that is from its target. */
  mixedOff: feature('difference', ({ mixed }) => mixed && mixed.celsius - mixed.target),
  retardMinutes: feature('minutes', ({ trace }) => trace.retard?.minutes ?? null),
  /** The dough late in the cold. */
  retardCelsius: feature('celsius', ({ trace }) => trace.retard?.later ?? null),
  /** Of the butter at lock-in. */
  butter: feature('celsius', ({ trace }) => trace.butter?.celsius ?? null),
  /** The warmest that the block was when it was rolled. */
  rolledWarmest: feature('celsius', ({ trace }) =>
    extreme(
      Math.max,
      trace.rolled.map(({ after }) => after),
    ),
  ),
  /** The shortest of the rests that the scheme asks for. */
  restShortest: feature('minutes', ({ trace }) =>
    extreme(
      Math.min,
      trace.rolled.map(({ rested, meant }) => (meant ? rested : null)),
    ),
  ),
  /** Between the lightest and the heaviest piece, against what one should weigh. */
  weightSpread: feature(
    'share',
    ({ trace: { weights } }) => weights && (weights.most - weights.least) / weights.meant,
  ),
  proofMinutes: feature('minutes', ({ trace }) => trace.proof?.last.minutes ?? null),
  proofProgress: feature('share', ({ trace }) => trace.proof?.progress ?? null),
  proofCelsius: feature('celsius', ({ trace }) => trace.proof?.last.later ?? null),
  /** How far the dough in the proof was from what it is meant to have around it. */
  proofOff: feature(
    'difference',
    ({ trace }) => trace.proof && trace.proof.last.later - trace.proof.last.meant,
  ),
  proofHumidity: feature('percent', ({ trace }) => trace.proof?.humidity ?? null),
  proofLate: feature('minutes', ({ proofLate }) => proofLate),
  /** How long the bake took against what is written. */
  bakeShare: feature('share', ({ trace: { bake } }) => bake && bake.minutes / bake.meant),
  /** What the oven had against its setting. */
  ovenOff: feature('difference', ({ trace: { bake } }) =>
    bake?.oven === null || bake?.setting === null || !bake ? null : bake.oven - bake.setting,
  ),
} as const satisfies Record<string, Feature>;

export type FeatureId = keyof typeof FEATURES;
export const FEATURE_IDS = Object.keys(FEATURES) as FeatureId[];

export type Features = Record<FeatureId, number | null>;

/** All features of a batch; null each where the record does not have it. */
export const featuresOf = (course: BatchCourse): Features =>
  Object.fromEntries(FEATURE_IDS.map((id) => [id, FEATURES[id].of(course)])) as Features;
