import { coded, type Coded } from '../codes/coded';
import type { CheckAnswer, CheckName } from '../record/events';
import type { FaultId } from '../record/marks';
import { oddsOf, together, type Expected, type Odds } from './odds';
import type { BatchTrace, ColdTrace, RolledTrace } from './trace';

/** What can be behind a fault, each something that is done otherwise next time. */
export const CAUSE_IDS = [
  ...(['butter-cold', 'butter-stiffer', 'butter-warm', 'rest-short', 'flour-strong'] as const),
  ...(['liquid-hot', 'yeast-weak', 'too-cold', 'underproofed', 'proof-hot', 'overproofed'] as const),
  ...([
    'too-many-turns',
    'flour-between',
    'rolled-loose',
    'brushed-hard',
    'uncovered',
    'proofer-dry',
  ] as const),
  ...(['seam-up', 'rolled-tight', 'overfilled', 'unsealed', 'wash-missed', 'hot-spot', 'oven-cool'] as const),
  ...(['bake-short', 'pieces-big', 'sheet-uneven', 'sheet-shrank', 'retard-warm', 'retard-long'] as const),
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];

/** A look that would tell whether a cause was at work, and what is found then. */
export interface Telling {
  check: CheckName;
  answer: Exclude<CheckAnswer, 'good'>;
}

interface CauseBody {
  /** Which faults it shows as, each with how readily: 1 nearly always. */
  shows: Partial<Record<FaultId, number>>;
  /** How much the traces of the record speak for it. */
  odds: (trace: BatchTrace) => Odds;
  /** What of the traces speaks for it, in numbers: said where the odds are on its side. */
  trace: (trace: BatchTrace) => Coded | null;
  /** The look by hand that would settle it, where there is one. */
  telling?: Telling;
}

/** Usual values and those of the fault, with their scatter; sections 10 and 15 of the trade's table, docs/trade.md. */
const EXPECTED = {
  butterCold: { usual: 11.5, fault: 7, scatter: 1.3 },
  butterStiffer: { usual: 1, fault: 8, scatter: 2.2 },
  butterWarm: { usual: 15, fault: 19.5, scatter: 1.4 },
  restShort: { usual: 1.05, fault: 0.4, scatter: 0.16 },
  liquidHot: { usual: 15, fault: 41, scatter: 5 },
  noProgress: { usual: 0.95, fault: 0.3, scatter: 0.22 },
  colder: { usual: 0, fault: -9, scatter: 2.5 },
  underproofed: { usual: 1, fault: 0.65, scatter: 0.13 },
  proofHot: { usual: 27, fault: 31.5, scatter: 1.3 },
  overproofed: { usual: 1, fault: 1.5, scatter: 0.18 },
  turns: { usual: 0, fault: Math.log(3), scatter: 0.3 },
  dry: { usual: 76, fault: 48, scatter: 8 },
  ovenCool: { usual: 0, fault: -20, scatter: 5 },
  bakeShort: { usual: 1, fault: 0.72, scatter: 0.08 },
  piecesBig: { usual: 1.02, fault: 1.2, scatter: 0.05 },
  spread: { usual: 0.04, fault: 0.2, scatter: 0.045 },
  retardWarm: { usual: 0.5, fault: 6, scatter: 1.4 },
  retardLong: { usual: 0.1, fault: 1.5, scatter: 0.5 },
} satisfies Record<string, Expected>;

const least = (values: readonly number[]): number | null =>
  values.length === 0 ? null : Math.min(...values);

/** How cold butter was when it was first worked; where nobody made a block of it, with the dough after its rests. */
const coldest = ({ butter, rolled }: BatchTrace): number | null =>
  butter ? butter.celsius : least(rolled.filter(({ rested }) => rested !== null).map(({ before }) => before));

const warmest = ({ rolled }: BatchTrace): RolledTrace | undefined =>
  [...rolled].sort((a, b) => b.after - a.after)[0];

/** How much shorter than meant the shortest rest between turns was: 1 as meant. */
const restShare = ({ rested, meant }: RolledTrace): number =>
  rested === null || meant === null || meant <= 0 ? Infinity : rested / meant;
const shortest = ({ rolled }: BatchTrace): RolledTrace | undefined =>
  [...rolled].filter((one) => Number.isFinite(restShare(one))).sort((a, b) => restShare(a) - restShare(b))[0];
const shortestShare = (trace: BatchTrace): number | null => {
  const found = shortest(trace);
  return found ? restShare(found) : null;
};

const verdictOdds = ({ proof }: BatchTrace, verdict: 'under' | 'over'): Odds =>
  proof?.verdict === undefined || proof.verdict === null ? 1 : proof.verdict === verdict ? 4 : 0.6;

/** How far a proof had come, against the middle of what is ready. */
const proofShare = ({ proof }: BatchTrace): number | null => proof?.progress ?? null;

const percent = (share: number) => Math.round(share * 100);

const weightSpread = ({ weights }: BatchTrace): number | null =>
  weights ? (weights.most - weights.least) / Math.max(1, weights.most) : null;

/** How far a time in the cold went beyond its best: 0 at its best, 1 at the longest that was meant. */
const overBest = ({ minutes, best, longest }: ColdTrace): number =>
  (minutes - best) / Math.max(LEAST_GIVE, longest - best);
/** A wait with less room than this, minutes, is not judged by the minute. */
const LEAST_GIVE = 60;

/** A cause that only a look by hand tells. */
const byLook = (shows: CauseBody['shows'], telling: Telling): CauseBody => ({
  ...{ shows, telling },
  odds: () => 1,
  trace: () => null,
});

export const CAUSES: Readonly<Record<CauseId, CauseBody>> = {
  'butter-cold': {
    shows: { flakes: 1, hollow: 0.5, tears: 0.3 },
    odds: (trace) => oddsOf(coldest(trace), EXPECTED.butterCold),
    trace: (trace) =>
      coldest(trace) === null
        ? null
        : coded('causes.butterAt', { celsius: { celsius: coldest(trace) ?? 0 } }),
    telling: { check: 'bend', answer: 'snaps' },
  },
  'butter-stiffer': {
    shows: { tears: 1, flakes: 0.2 },
    odds: ({ butter }) => oddsOf(butter && butter.dough - butter.celsius, EXPECTED.butterStiffer),
    trace: ({ butter }) =>
      butter &&
      coded('causes.butterBesideDough', {
        butter: { celsius: butter.celsius },
        dough: { celsius: butter.dough },
      }),
  },
  'butter-warm': {
    shows: { oozes: 1, 'bread-like': 0.5 },
    odds: (trace) => oddsOf(warmest(trace)?.after ?? null, EXPECTED.butterWarm),
    trace: (trace) => {
      const found = warmest(trace);
      return found
        ? coded('causes.rolledAt', { step: { inLine: found.step.label }, celsius: { celsius: found.after } })
        : null;
    },
    telling: { check: 'bend', answer: 'smears' },
  },
  'rest-short': {
    shows: { springs: 1, uneven: 0.2 },
    odds: (trace) => oddsOf(shortestShare(trace), EXPECTED.restShort),
    trace: (trace) => {
      const found = shortest(trace);
      if (!found || found.rested === null || found.meant === null) return null;
      return coded('causes.restedOnly', {
        ...{ step: { inLine: found.step.label }, rested: { minutes: Math.round(found.rested) } },
        ...{ meant: { minutes: Math.round(found.meant) }, relaxed: percent(found.relaxed ?? 0) },
      });
    },
  },
  'flour-strong': { shows: { springs: 0.4 }, odds: () => 1, trace: () => null },
  'liquid-hot': {
    shows: { 'no-rise': 0.8 },
    odds: ({ liquid }) => oddsOf(liquid, EXPECTED.liquidHot),
    trace: ({ liquid }) =>
      liquid === null ? null : coded('causes.liquidAt', { celsius: { celsius: liquid } }),
  },
  'yeast-weak': {
    shows: { 'no-rise': 1 },
    odds: ({ sluggish }) => (sluggish ? 8 : 0.8),
    trace: ({ sluggish }) => (sluggish ? coded('causes.notAlive') : null),
  },
  'too-cold': {
    shows: { 'no-rise': 0.8 },
    odds: ({ proof }) =>
      proof
        ? together(
            oddsOf(proof.progress, EXPECTED.noProgress),
            oddsOf(proof.later - proof.meant, EXPECTED.colder),
          )
        : 1,
    trace: ({ proof }) =>
      proof &&
      coded('causes.couldNotRise', { celsius: { celsius: proof.later }, share: percent(proof.progress) }),
  },
  underproofed: {
    shows: { 'butter-pool': 1 },
    odds: (trace) => together(oddsOf(proofShare(trace), EXPECTED.underproofed), verdictOdds(trace, 'under')),
    trace: ({ proof }) => proof && coded('causes.proofedTo', { share: percent(proof.progress) }),
  },
  'proof-hot': {
    shows: { 'butter-pool': 0.9 },
    odds: ({ proof }) => oddsOf(proof?.hottest ?? null, EXPECTED.proofHot),
    trace: ({ proof }) => proof && coded('causes.proofedAt', { celsius: { celsius: proof.hottest } }),
  },
  overproofed: {
    shows: { flat: 1 },
    odds: (trace) => together(oddsOf(proofShare(trace), EXPECTED.overproofed), verdictOdds(trace, 'over')),
    trace: ({ proof }) => proof && coded('causes.proofedTo', { share: percent(proof.progress) }),
  },
  'too-many-turns': {
    shows: { 'bread-like': 1 },
    odds: ({ folded }) => oddsOf(Math.log(folded), EXPECTED.turns),
    trace: ({ folded }) => coded('causes.layersOfMeant', { times: Math.round(folded * 10) / 10 }),
  },
  'flour-between': byLook({ hollow: 0.6 }, { check: 'flour', answer: 'floury' }),
  'rolled-loose': byLook({ hollow: 0.6 }, { check: 'roll', answer: 'loose' }),
  'brushed-hard': byLook({ flat: 0.4 }, { check: 'wash', answer: 'heavy' }),
  uncovered: byLook({ skin: 0.8 }, { check: 'cover', answer: 'uncovered' }),
  'proofer-dry': {
    shows: { skin: 0.8 },
    odds: ({ proof }) => oddsOf(proof?.humidity ?? null, EXPECTED.dry),
    trace: ({ proof }) =>
      proof && proof.humidity !== null
        ? coded('causes.humidity', { percent: Math.round(proof.humidity) })
        : null,
  },
  'seam-up': byLook({ unrolled: 0.8 }, { check: 'roll', answer: 'open-seam' }),
  'rolled-tight': byLook({ unrolled: 0.7 }, { check: 'roll', answer: 'tight' }),
  overfilled: byLook({ leaked: 0.8 }, { check: 'fill', answer: 'overfilled' }),
  unsealed: byLook({ leaked: 0.7 }, { check: 'fill', answer: 'unsealed' }),
  'wash-missed': byLook({ patchy: 0.8 }, { check: 'wash', answer: 'missed' }),
  'hot-spot': byLook({ patchy: 0.6 }, { check: 'spots', answer: 'hot-spot' }),
  'oven-cool': {
    shows: { pale: 0.9 },
    odds: ({ bake }) =>
      oddsOf(
        bake && bake.oven !== null && bake.setting !== null ? bake.oven - bake.setting : null,
        EXPECTED.ovenCool,
      ),
    trace: ({ bake }) =>
      bake && bake.oven !== null && bake.setting !== null
        ? coded('causes.ovenAt', { oven: { celsius: bake.oven }, setting: { celsius: bake.setting } })
        : null,
  },
  'bake-short': {
    shows: { pale: 0.9 },
    odds: ({ bake }) => oddsOf(bake && bake.minutes / bake.meant, EXPECTED.bakeShort),
    trace: ({ bake }) =>
      bake &&
      coded('causes.bakedFor', {
        minutes: { minutes: Math.round(bake.minutes) },
        meant: { minutes: bake.meant },
      }),
  },
  'pieces-big': {
    shows: { pale: 0.5 },
    odds: ({ weights }) =>
      oddsOf(weights && weights.meant > 0 ? weights.most / weights.meant : null, EXPECTED.piecesBig),
    trace: ({ weights }) =>
      weights &&
      coded('causes.heaviest', { most: Math.round(weights.most), meant: Math.round(weights.meant) }),
  },
  'sheet-uneven': {
    shows: { uneven: 1 },
    odds: (trace) => oddsOf(weightSpread(trace), EXPECTED.spread),
    trace: ({ weights }) =>
      weights &&
      coded('faults.piecesWeighedFromToG', {
        least: Math.round(weights.least),
        most: Math.round(weights.most),
      }),
    telling: { check: 'sheet', answer: 'uneven' },
  },
  'sheet-shrank': {
    shows: { uneven: 0.7 },
    odds: (trace) => oddsOf(shortestShare(trace), EXPECTED.restShort),
    trace: (trace) => CAUSES['rest-short'].trace(trace),
    telling: { check: 'sheet', answer: 'shrank' },
  },
  'retard-warm': {
    shows: { sour: 1 },
    odds: ({ retard }) => oddsOf(retard && retard.later - retard.meant, EXPECTED.retardWarm),
    trace: ({ retard }) => retard && coded('causes.retardAt', { celsius: { celsius: retard.later } }),
  },
  'retard-long': {
    shows: { sour: 0.9 },
    odds: ({ retard }) => oddsOf(retard && overBest(retard), EXPECTED.retardLong),
    trace: ({ retard }) =>
      retard &&
      coded('causes.retardFor', {
        minutes: { minutes: Math.round(retard.minutes) },
        longest: { minutes: retard.longest },
      }),
  },
};
