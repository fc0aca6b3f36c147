import { progressAlong } from '../ferment/progress';
import { fermentationOf } from '../forecast/windows';
import { doseOf } from '../forecast/observation';
import type { DoughStep } from '../process/expand';
import type { Rise, RisePhase } from '../process/route';
import { type DoughRecord, stateOf } from '../record/dough';
import type { FloorRecord, HandCheck } from '../record/events';
import { foldsOf } from '../record/turns';
import type { Verdict } from '../learning/verdicts';
import type { DoughState } from '../record/state';
import { MINUTE } from '../time/local';
import { foldCount } from '../lamination/stack';
import { type CourseStep, courseOf } from './course';
import type { HeardSpan } from './temperatures';

/** A rise as the record has it when what came after it began. */
export interface RiseTrace {
  /** 1 at its best. */
  progress: number;
  early: number;
  late: number;
  /** The warmest that the dough was, and what it had on the mean of the second half, °C. */
  hottest: number;
  later: number;
  /** What it was meant to have around it, °C. */
  meant: number;
  /** How it was judged last; null where nobody said. */
  verdict: Verdict | null;
  /** Mean humidity around it, %; null where nobody measured it. */
  humidity: number | null;
  /** How long it was, and the longest that was meant, minutes. */
  minutes: number;
  longest: number;
  /** Its last stay alone, in which it came to where it was ended: minutes, and °C in its second half. */
  last: { minutes: number; later: number; meant: number };
}

/** What the record says of the time in the cold: of several such waits, the worst of each. */
export interface ColdTrace {
  /** How long it was, the best of it, and the longest that was meant, minutes. */
  minutes: number;
  best: number;
  longest: number;
  /** The dough in the second half of it, and what it was meant to have around it, °C. */
  later: number;
  meant: number;
}

/** One time the block was worked: locked in, given a turn, rolled to its sheet. */
export interface RolledTrace {
  step: DoughStep;
  /** Of the dough before and after, °C. */
  before: number;
  after: number;
  /** How far it had relaxed since it was last worked, 0 to 1; null for the first time. */
  relaxed: number | null;
  /** How long it had rested, and the shortest that was meant, minutes. */
  rested: number | null;
  meant: number | null;
}

/** What the record says of one output of a batch, as what a baker would ask of it. */
export interface BatchTrace {
  /** Of the liquid that yeast came into, °C. */
  liquid: number | null;
  /** Somebody looked whether the yeast was alive, and it was not at once. */
  sluggish: boolean;
  retard: ColdTrace | null;
  proof: RiseTrace | null;
  /** Of the butter when it was locked in, and the dough then, °C; how long it was tempered, and was meant to be, minutes. */
  butter: { celsius: number; dough: number; tempered: number | null; meant: number | null } | null;
  rolled: RolledTrace[];
  /** Layers that the turns really given made, against those of the scheme: 1 as meant. */
  folded: number;
  /** Weights of pieces, g: the lightest and the heaviest, against what is meant. */
  weights: { least: number; most: number; meant: number } | null;
  bake: {
    minutes: number;
    meant: number;
    oven: number | null;
    setting: number | null;
  } | null;
  checks: HandCheck[];
}

/** Stress left in a dough that was rolled halves in so many minutes of rest (Rest, docs/trade.md). */
const HALF_RELAXED = 25;

/**
 * Reads a batch as a baker would go through it: how warm dough and butter were when they were worked, how far each rise had
 * come, how long rests let it relax, what the turns made of the layers, how it was baked.
 *
 * @param heard - what probes said while it waited
 */
export function batchTrace(
  dough: DoughRecord,
  outputId: number,
  heard: readonly HeardSpan[] = [],
): BatchTrace {
  const state = stateOf(dough);
  const own = dough.steps.filter((step) => step.outputId === null || step.outputId === outputId);
  const last = own.findLast(({ step: { branch, kind } }) => branch === undefined && kind !== 'finish');
  const course = last ? courseOf(dough, state, last.key, heard) : [];
  const states = own.flatMap(({ key }) => state.steps.get(key) ?? []);
  const records = states.flatMap((one) => one.records.map(({ data }) => data));
  const output = dough.outputs.find(({ id }) => id === outputId);
  const risen = { dough, outputId, state, course, heard };
  return {
    liquid: states.findLast(({ conditions }) => conditions !== null)?.conditions?.liquid ?? null,
    sluggish: states.some(({ alive }) => alive.some(({ answer }) => answer !== 'ready')),
    retard: coldIn(course),
    proof: riseIn(risen, 'proof', ['proof', 'retard', 'thaw']),
    butter: butterIn(dough, state, course, heard),
    rolled: rolledIn(course),
    folded: foldedIn(dough, state),
    weights: weightsOf(records, output?.piece.grams ?? 0),
    bake: bakeIn(own, state, heard),
    checks: records.flatMap((data) => (data.kind === 'checked' ? [data] : [])),
  };
}

interface RisenIn {
  dough: DoughRecord;
  outputId: number;
  state: DoughState;
  course: readonly CourseStep[];
  heard: readonly HeardSpan[];
}

/** What rose of a phase in steps of these kinds. */
function riseIn(
  { dough, outputId, state, course, heard }: RisenIn,
  phase: RisePhase,
  kinds: readonly DoughStep['step']['kind'][],
): RiseTrace | null {
  const rise: Rise | undefined =
    dough.outputs.find(({ id }) => id === outputId)?.rises?.[phase] ?? dough.rises?.[phase];
  const own = course.filter(({ step }) => step.step.rise?.phase === phase && kinds.includes(step.step.kind));
  if (!rise || own.length === 0) return null;
  const fermentation = fermentationOf(rise, doseOf(state, dough.yeastGrams ?? 0));
  const wet = own
    .flatMap(({ from, to }) => heard.filter((stay) => !stay.within && stay.from < to && stay.to > from))
    .flatMap(({ points }) => points.flatMap(({ humidity }) => humidity ?? []));
  return {
    progress: own.reduce((sum, { profile }) => sum + progressAlong(fermentation, profile), 0),
    ...{ early: rise.early, late: rise.late },
    hottest: Math.max(...own.map(({ highest }) => highest)),
    later: laterMean(own),
    meant: own.at(-1)?.step.step.around ?? laterMean(own),
    verdict: own.flatMap(({ step }) => state.steps.get(step.key)?.verdict?.verdict ?? []).at(-1) ?? null,
    humidity: wet.length === 0 ? null : wet.reduce((sum, one) => sum + one, 0) / wet.length,
    minutes: own.reduce((sum, { from, to }) => sum + (to - from) / MINUTE, 0),
    longest: own.reduce((sum, { step }) => sum + step.max, 0),
    last: lastOf(own.slice(-1)),
  };
}

/** Whatever its route says of a rise there, a dough goes on in the cold. */
function coldIn(course: readonly CourseStep[]): ColdTrace | null {
  const stays = course
    .filter(({ step }) => step.step.kind === 'retard')
    .map((stay) => {
      const { max: longest, target: planned, step } = stay.step;
      return { ...lastOf([stay]), longest, best: Math.min(step.wait?.best ?? planned, longest) };
    });
  const [first, ...others] = stays;
  if (!first) return null;
  const longest = others.reduce((a, b) => (b.minutes / b.longest > a.minutes / a.longest ? b : a), first);
  const warmest = others.reduce((a, b) => (b.later - b.meant > a.later - a.meant ? b : a), first);
  return {
    ...{ minutes: longest.minutes, best: longest.best, longest: longest.longest },
    ...{ later: warmest.later, meant: warmest.meant },
  };
}

function lastOf(stays: readonly CourseStep[]): RiseTrace['last'] {
  const later = laterMean(stays);
  const minutes = stays.reduce((sum, { from, to }) => sum + (to - from) / MINUTE, 0);
  return { minutes, later, meant: stays.at(-1)?.step.step.around ?? later };
}

/** Mean temperature of the second half of some stays, when what went in has come to what is around it, °C. */
function laterMean(stays: readonly CourseStep[]): number {
  const points = stays.flatMap(({ profile }) =>
    profile.filter(({ minute }) => minute * 2 >= (profile.at(-1)?.minute ?? 0)),
  );
  return points.reduce((sum, { celsius }) => sum + celsius, 0) / points.length;
}

function butterIn(
  dough: DoughRecord,
  state: DoughState,
  course: readonly CourseStep[],
  heard: readonly HeardSpan[],
): BatchTrace['butter'] {
  const lockIn = course.find(({ step }) => step.step.kind === 'lock-in');
  const before = dough.links.filter(({ to }) => to === lockIn?.step.key).map(({ from }) => from);
  const branch = dough.steps.find(({ key, step }) => before.includes(key) && step.branch === 'butter');
  const own = branch ? courseOf(dough, state, branch.key, heard) : [];
  const last = own.at(-1);
  if (!lockIn || !last) return null;
  const temper = own.findLast(({ step }) => step.step.kind === 'temper');
  return {
    ...{ celsius: last.end, dough: lockIn.start },
    tempered: temper ? (temper.to - temper.from) / MINUTE : null,
    meant: temper?.step.step.wait?.best ?? null,
  };
}

const WORKED: readonly DoughStep['step']['kind'][] = ['lock-in', 'turn', 'sheet'];

function rolledIn(course: readonly CourseStep[]): RolledTrace[] {
  const worked = course.filter(({ step }) => WORKED.includes(step.step.kind));
  return worked.map(({ step, from, start, end }, i) => {
    const before = worked[i - 1];
    const rested = before ? (from - before.to) / MINUTE : null;
    const waits = course.filter((one) => before && one.from >= before.to - MINUTE && one.to <= from + MINUTE);
    return {
      ...{ step, before: start, after: end, rested },
      meant: before ? waits.reduce((sum, one) => sum + one.step.min, 0) : null,
      relaxed: rested === null ? null : 1 - 2 ** (-rested / HALF_RELAXED),
    };
  });
}

/** Layers that were really given against those of the scheme, in the block that is farthest off. */
function foldedIn({ steps, lamination }: DoughRecord, state: DoughState): number {
  const turns = steps.filter(({ step }) => step.turn !== undefined);
  if (!lamination || turns.length === 0) return 1;
  const meant = turns.reduce((all, { step }) => all * foldCount(step.given?.fold ?? 'letter'), 1);
  const each = Array.from({ length: lamination.blocks }, (_, i) =>
    foldsOf(turns, state, i + 1).given.reduce((all, { fold }) => all * foldCount(fold), 1),
  );
  const off = each.map((given) => given / meant);
  return off.reduce((a, b) => (Math.abs(Math.log(b)) > Math.abs(Math.log(a)) ? b : a), 1);
}

function weightsOf(records: readonly FloorRecord[], meant: number): BatchTrace['weights'] {
  const each = records.flatMap((data) => (data.kind === 'pieces' ? [data.grams / data.count] : []));
  return each.length === 0 ? null : { least: Math.min(...each), most: Math.max(...each), meant };
}

function bakeIn(
  steps: readonly DoughStep[],
  state: DoughState,
  heard: readonly HeardSpan[],
): BatchTrace['bake'] {
  const bake = steps.find(({ step }) => step.kind === 'bake');
  const own = bake && state.steps.get(bake.key);
  if (!bake || !own || own.startedAt === null || own.finishedAt === null) return null;
  const [from, to] = [own.startedAt, own.finishedAt];
  const points = heard
    .filter((stay) => stay.baking && !stay.within)
    .flatMap((stay) => stay.points)
    .filter(({ at }) => at >= from && at <= to);
  const mean = points.reduce((sum, { celsius }) => sum + celsius, 0) / points.length;
  return {
    ...{ minutes: (to - from) / MINUTE, meant: bake.target },
    oven: points.length === 0 ? null : mean,
    setting: bake.uses.find(({ setting }) => setting !== undefined)?.setting ?? null,
  };
}
