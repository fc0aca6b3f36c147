import { coded, type Coded } from '../codes/coded';
import type { StepKind } from '../process/route';
import type { BatchLog, LoggedStep } from './log';
import type { FaultId } from '../record/marks';

/** A fault as bakers name it, what is likely behind it, what to do next time, and what of that the log shows. */
interface Fault {
  seen: Coded;
  likely: Coded;
  next: Coded;
  evidence: (log: BatchLog) => Coded[];
}

/** A likely cause; no evidence where the log says nothing for it. */
export interface Cause {
  fault: FaultId;
  seen: Coded;
  likely: Coded;
  next: Coded;
  evidence: Coded[];
}

/** Butter is too firm to roll below the first, and runs above the second, °C. */
const BUTTER = { firm: 10, soft: 17 };
/** Butter starts to run in a proof above this, °C; a retard works too fast above the other. */
const PROOF_HIGHEST = 28;
const RETARD_HIGHEST = 6;
/** Liquid above this harms yeast, °C. */
const YEAST_HIGHEST = 43;
/** Pieces that differ by more than this share are uneven. */
const EVEN = 0.08;

const name = ({ step }: LoggedStep) => ({ inLine: step.label });
const of = (log: BatchLog, ...kinds: StepKind[]) =>
  log.steps.filter(({ step }) => kinds.includes(step.step.kind));

/** Temperatures of steps that `bad` says something is wrong with. */
function degrees(steps: readonly LoggedStep[], bad: (celsius: number) => boolean): Coded[] {
  return steps.flatMap((one) =>
    one.state.temperatures
      .filter((reading) => bad(reading.celsius))
      .map((reading) => coded('common.at', { name: name(one), celsius: { celsius: reading.celsius } })),
  );
}

/** Steps that took longer than their window, or shorter. */
function lengths(steps: readonly LoggedStep[], which: 'long' | 'short'): Coded[] {
  return steps.flatMap((one) => {
    const { minutes, step } = one;
    if (minutes === null) return [];
    if (which === 'long' && minutes > step.max)
      return [
        coded('faults.tookAtMostWasMeant', {
          name: name(one),
          duration: { minutes },
          duration2: { minutes: step.max },
        }),
      ];
    if (which === 'short' && minutes < step.min)
      return [
        coded('faults.tookAtLeastWasMeant', {
          name: name(one),
          duration: { minutes },
          duration2: { minutes: step.min },
        }),
      ];
    return [];
  });
}

const checked = ({ checks }: BatchLog, answer: string, words: Coded) =>
  checks.some((check) => check.answer === answer) ? [words] : [];

const verdicts = (log: BatchLog, verdict: 'under' | 'over') =>
  log.steps.flatMap((one) =>
    one.state.verdict?.verdict === verdict ? [coded('faults.wasJudged', { name: name(one), verdict })] : [],
  );

/** Kinds of steps by what is done with the butter in them. */
const ROLLED = ['lock-in', 'turn', 'sheet'] as const;
const RESTED = ['rest'] as const;

const NONE = () => [];

/** What goes wrong, from the trade's own table; each looks for itself in the log. */
export const FAULTS: Record<FaultId, Fault> = {
  flakes: {
    seen: coded('faults.butterInFlakesSheetMarbled'),
    likely: coded('faults.butterTooColdWhenIt'),
    next: coded('faults.temperItLongerPound'),
    evidence: (log) => [
      ...checked(log, 'snaps', coded('faults.theButterSnappedWhenIt')),
      ...degrees(of(log, ...ROLLED, 'butter'), (c) => c < BUTTER.firm),
    ],
  },
  tears: {
    seen: coded('faults.coldDoughToreWhenRolled'),
    likely: coded('faults.butterHardInsideDoughSoft'),
    next: coded('faults.someMinutesOnTheBench'),
    evidence: (log) => degrees(of(log, ...ROLLED), (c) => c < BUTTER.firm),
  },
  oozes: {
    seen: coded('faults.butterCameOutWhileRolling'),
    likely: coded('faults.doughOrButterTooWarm'),
    next: coded('faults.chillMakeSmallerBlocks'),
    evidence: (log) => [
      ...checked(log, 'smears', coded('faults.theButterSmearedWhenIt')),
      ...checked(log, 'butter-shows', coded('faults.butterShowedWhileItWas')),
      ...degrees(of(log, ...ROLLED), (c) => c > BUTTER.soft),
      ...lengths(of(log, ...ROLLED), 'long'),
    ],
  },
  springs: {
    seen: coded('faults.doughSprangBackOrTore'),
    likely: coded('faults.restTooShortFlourStrong'),
    next: coded('faults.restItLonger'),
    evidence: (log) => [
      ...checked(log, 'springs', coded('faults.theDoughSprangBackWhen')),
      ...lengths(of(log, ...RESTED), 'short'),
    ],
  },
  'no-rise': {
    seen: coded('faults.didNotRise'),
    likely: coded('faults.yeastDeadLiquidTooHot'),
    next: coded('faults.testTheYeastLogLiquid'),
    evidence: (log) => [
      ...log.steps.flatMap((one) =>
        one.state.alive
          .filter(({ answer }) => answer !== 'ready')
          .map(() => coded('faults.wasNotAliveAtOnce', { name: name(one) })),
      ),
      ...log.steps.flatMap(({ state: { conditions } }) =>
        conditions && conditions.liquid >= YEAST_HIGHEST - 3
          ? [coded('faults.theLiquidWentInAt', { celsius: { celsius: conditions.liquid } })]
          : [],
      ),
      ...degrees(of(log, 'retard'), (c) => c < 0),
    ],
  },
  'butter-pool': {
    seen: coded('faults.butterRanOutOnThe'),
    likely: coded('faults.tooLittleProofOrWarmer'),
    next: coded('faults.proveLongerOrCooler'),
    evidence: (log) => [
      ...verdicts(log, 'under'),
      ...lengths(of(log, 'proof'), 'short'),
      ...degrees(of(log, 'proof'), (c) => c > PROOF_HIGHEST),
    ],
  },
  'bread-like': {
    seen: coded('faults.crumbLikeBreadNoHoneycomb'),
    likely: coded('faults.butterSmearedOrTooMany'),
    next: coded('faults.fewerTurnsColder'),
    evidence: (log) => [
      ...checked(log, 'smears', coded('faults.theButterSmearedWhenIt')),
      ...degrees(of(log, ...ROLLED), (c) => c > BUTTER.soft),
    ],
  },
  hollow: {
    seen: coded('faults.bigHolesLayersApart'),
    likely: coded('faults.butterTooColdFlourBetween'),
    next: coded('faults.brushTheFlourOffTemper'),
    evidence: (log) => [
      ...checked(log, 'snaps', coded('faults.theButterSnappedWhenIt')),
      ...degrees(of(log, ...ROLLED), (c) => c < BUTTER.firm),
    ],
  },
  flat: {
    seen: coded('faults.flatOrWrinkled'),
    likely: coded('faults.tooMuchProofOrBrushed'),
    next: coded('faults.proveShorterBrushLightly'),
    evidence: (log) => [...verdicts(log, 'over'), ...lengths(of(log, 'proof'), 'long')],
  },
  skin: {
    seen: coded('faults.skinCracksDull'),
    likely: coded('faults.leftUncoveredOrADry'),
    next: coded('faults.coverItMoreHumidity'),
    evidence: NONE,
  },
  unrolled: {
    seen: coded('faults.cameUnrolledTipsTorn'),
    likely: coded('faults.seamNotUnderneathOrRolled'),
    next: coded('faults.seamUnderRollLooser'),
    evidence: NONE,
  },
  leaked: {
    seen: coded('faults.fillingLeakedOrBurnt'),
    likely: coded('faults.tooMuchOfItOr'),
    next: coded('faults.lessFillingWaterOnThe'),
    evidence: NONE,
  },
  patchy: {
    seen: coded('faults.colourInPatches'),
    likely: coded('faults.washMissedSpotsOrA'),
    next: coded('faults.aSecondCoatTurnThe'),
    evidence: NONE,
  },
  pale: {
    seen: coded('faults.paleOrRawInside'),
    likely: coded('faults.ovenCoolBakeShortOr'),
    next: coded('faults.bakeLongerCheckTheCore'),
    evidence: (log) => [
      ...of(log, 'bake').flatMap((one) => degrees([one], (c) => c < (one.step.step.core?.[0] ?? -Infinity))),
      ...lengths(of(log, 'bake'), 'short'),
      ...of(log, 'bake').flatMap((one) =>
        one.minutes !== null && one.minutes >= one.step.min && one.minutes < one.step.target
          ? [
              coded('faults.tookWasMeant', {
                name: name(one),
                duration: { minutes: one.minutes },
                duration2: { minutes: one.step.target },
              }),
            ]
          : [],
      ),
    ],
  },
  uneven: {
    seen: coded('faults.piecesUneven'),
    likely: coded('faults.sheetUnevenCutWithoutA'),
    next: coded('faults.restItThenMark'),
    evidence: (log) => unevenWeights(log),
  },
  sour: {
    seen: coded('faults.sourBlisteredGrey'),
    likely: coded('faults.retardTooWarmOrLong'),
    next: coded('faults.colderShorter'),
    evidence: (log) => [
      ...degrees(of(log, 'retard'), (c) => c > RETARD_HIGHEST),
      ...lengths(of(log, 'retard'), 'long'),
    ],
  },
};

function unevenWeights(log: BatchLog): Coded[] {
  const each = log.steps.flatMap(({ state }) =>
    state.records.flatMap(({ data }) => (data.kind === 'pieces' ? [data.grams / data.count] : [])),
  );
  const [least, most] = [Math.min(...each), Math.max(...each)];
  if (each.length < 2 || most - least <= EVEN * most) return [];
  return [coded('faults.piecesWeighedFromToG', { least: Math.round(least), most: Math.round(most) })];
}

/** Likely causes of what was seen: those first for which the log has evidence. */
export function likelyCauses(seen: readonly FaultId[], log: BatchLog): Cause[] {
  return seen
    .map((fault) => {
      const { evidence, ...words } = FAULTS[fault];
      return { fault, ...words, evidence: evidence(log) };
    })
    .sort((a, b) => Number(b.evidence.length > 0) - Number(a.evidence.length > 0));
}
