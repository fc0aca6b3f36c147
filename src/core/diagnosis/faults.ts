import type { StepKind } from '../process/route';
import { celsius, duration } from '../units/format';
import type { BatchLog, LoggedStep } from './log';
import type { FaultId } from '../record/marks';

/** A fault as bakers name it, what is likely behind it, what to do next time, and what of that the log shows. */
interface Fault {
  seen: string;
  likely: string;
  next: string;
  evidence: (log: BatchLog) => string[];
}

/** A likely cause; no evidence where the log says nothing for it. */
export interface Cause {
  fault: FaultId;
  seen: string;
  likely: string;
  next: string;
  evidence: string[];
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

const name = ({ step }: LoggedStep) => step.label.toLowerCase();
const of = (log: BatchLog, ...kinds: StepKind[]) =>
  log.steps.filter(({ step }) => kinds.includes(step.step.kind));

/** Temperatures of steps that `bad` says something is wrong with. */
function degrees(steps: readonly LoggedStep[], bad: (celsius: number) => boolean): string[] {
  return steps.flatMap((one) =>
    one.state.temperatures
      .filter((reading) => bad(reading.celsius))
      .map((reading) => `${name(one)} at ${celsius(reading.celsius)}`),
  );
}

/** Steps that took longer than their window, or shorter. */
function lengths(steps: readonly LoggedStep[], which: 'long' | 'short'): string[] {
  return steps.flatMap((one) => {
    const { minutes, step } = one;
    if (minutes === null) return [];
    if (which === 'long' && minutes > step.max)
      return [`${name(one)} took ${duration(minutes)}, at most ${duration(step.max)} was meant`];
    if (which === 'short' && minutes < step.min)
      return [`${name(one)} took ${duration(minutes)}, at least ${duration(step.min)} was meant`];
    return [];
  });
}

const checked = ({ checks }: BatchLog, answer: string, words: string) =>
  checks.some((check) => check.answer === answer) ? [words] : [];

const verdicts = (log: BatchLog, verdict: 'under' | 'over') =>
  log.steps.flatMap((one) =>
    one.state.verdict?.verdict === verdict ? [`${name(one)} was judged ${verdict}`] : [],
  );

/** Kinds of steps by what is done with the butter in them. */
const ROLLED = ['lock-in', 'turn', 'sheet'] as const;
const RESTED = ['rest'] as const;

const NONE = () => [];

/** What goes wrong, from the trade's own table; each looks for itself in the log. */
export const FAULTS: Record<FaultId, Fault> = {
  flakes: {
    seen: 'Butter in flakes, sheet marbled',
    likely: 'butter too cold when it was rolled in',
    next: 'temper it longer, pound it',
    evidence: (log) => [
      ...checked(log, 'snaps', 'the butter snapped when it was bent'),
      ...degrees(of(log, ...ROLLED, 'butter'), (c) => c < BUTTER.firm),
    ],
  },
  tears: {
    seen: 'Cold dough tore when rolled',
    likely: 'butter hard inside, dough soft',
    next: 'some minutes on the bench, pound first',
    evidence: (log) => degrees(of(log, ...ROLLED), (c) => c < BUTTER.firm),
  },
  oozes: {
    seen: 'Butter came out while rolling',
    likely: 'dough or butter too warm, or long on the bench',
    next: 'chill, make smaller blocks',
    evidence: (log) => [
      ...checked(log, 'smears', 'the butter smeared when it was bent'),
      ...checked(log, 'butter-shows', 'butter showed while it was rolled'),
      ...degrees(of(log, ...ROLLED), (c) => c > BUTTER.soft),
      ...lengths(of(log, ...ROLLED), 'long'),
    ],
  },
  springs: {
    seen: 'Dough sprang back or tore',
    likely: 'rest too short, flour strong, or mixed too long',
    next: 'rest it longer',
    evidence: (log) => [
      ...checked(log, 'springs', 'the dough sprang back when it was pressed'),
      ...lengths(of(log, ...RESTED), 'short'),
    ],
  },
  'no-rise': {
    seen: 'Did not rise',
    likely: 'yeast dead, liquid too hot, or fridge too cold',
    next: 'test the yeast, log the liquid',
    evidence: (log) => [
      ...log.steps.flatMap((one) =>
        one.state.alive
          .filter(({ answer }) => answer !== 'ready')
          .map(() => `${name(one)} was not alive at once`),
      ),
      ...log.steps.flatMap(({ state: { conditions } }) =>
        conditions && conditions.liquid >= YEAST_HIGHEST - 3
          ? [`the liquid went in at ${celsius(conditions.liquid)}`]
          : [],
      ),
      ...degrees(of(log, 'retard'), (c) => c < 0),
    ],
  },
  'butter-pool': {
    seen: 'Butter ran out on the tray',
    likely: 'too little proof, or proof warmer than 28 °C',
    next: 'prove longer or cooler',
    evidence: (log) => [
      ...verdicts(log, 'under'),
      ...lengths(of(log, 'proof'), 'short'),
      ...degrees(of(log, 'proof'), (c) => c > PROOF_HIGHEST),
    ],
  },
  'bread-like': {
    seen: 'Crumb like bread, no honeycomb',
    likely: 'butter smeared, or too many turns',
    next: 'fewer turns, colder',
    evidence: (log) => [
      ...checked(log, 'smears', 'the butter smeared when it was bent'),
      ...degrees(of(log, ...ROLLED), (c) => c > BUTTER.soft),
    ],
  },
  hollow: {
    seen: 'Big holes, layers apart',
    likely: 'butter too cold, flour between the layers, or rolled up loosely',
    next: 'brush the flour off, temper the butter',
    evidence: (log) => [
      ...checked(log, 'snaps', 'the butter snapped when it was bent'),
      ...degrees(of(log, ...ROLLED), (c) => c < BUTTER.firm),
    ],
  },
  flat: {
    seen: 'Flat or wrinkled',
    likely: 'too much proof, or brushed hard',
    next: 'prove shorter, brush lightly',
    evidence: (log) => [...verdicts(log, 'over'), ...lengths(of(log, 'proof'), 'long')],
  },
  skin: {
    seen: 'Skin, cracks, dull',
    likely: 'left uncovered, or a dry proofer',
    next: 'cover it, more humidity',
    evidence: NONE,
  },
  unrolled: {
    seen: 'Came unrolled, tips torn',
    likely: 'seam not underneath, or rolled too tight',
    next: 'seam under, roll looser',
    evidence: NONE,
  },
  leaked: {
    seen: 'Filling leaked or burnt',
    likely: 'too much of it, or an edge not sealed',
    next: 'less filling, water on the edge',
    evidence: NONE,
  },
  patchy: {
    seen: 'Colour in patches',
    likely: 'wash missed spots, or a hot spot in the oven',
    next: 'a second coat, turn the trays',
    evidence: NONE,
  },
  pale: {
    seen: 'Pale or raw inside',
    likely: 'oven cool, bake short, or pieces big',
    next: 'bake longer, check the core',
    evidence: (log) => [
      ...of(log, 'bake').flatMap((one) => degrees([one], (c) => c < (one.step.step.core?.[0] ?? -Infinity))),
      ...lengths(of(log, 'bake'), 'short'),
      ...of(log, 'bake').flatMap((one) =>
        one.minutes !== null && one.minutes >= one.step.min && one.minutes < one.step.target
          ? [`${name(one)} took ${duration(one.minutes)}, ${duration(one.step.target)} was meant`]
          : [],
      ),
    ],
  },
  uneven: {
    seen: 'Pieces uneven',
    likely: 'sheet uneven, cut without a ruler, or shrunk after measuring',
    next: 'rest it, then mark',
    evidence: (log) => unevenWeights(log),
  },
  sour: {
    seen: 'Sour, blistered, grey',
    likely: 'retard too warm or too long',
    next: 'colder, shorter',
    evidence: (log) => [
      ...degrees(of(log, 'retard'), (c) => c > RETARD_HIGHEST),
      ...lengths(of(log, 'retard'), 'long'),
    ],
  },
};

function unevenWeights(log: BatchLog): string[] {
  const each = log.steps.flatMap(({ state }) =>
    state.records.flatMap(({ data }) => (data.kind === 'pieces' ? [data.grams / data.count] : [])),
  );
  const [least, most] = [Math.min(...each), Math.max(...each)];
  if (each.length < 2 || most - least <= EVEN * most) return [];
  return [`pieces weighed from ${Math.round(least)} to ${Math.round(most)} g`];
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
