import { UNKNOWN_CONDITIONS } from '../forecast/conditions';
import { forecastDough } from '../forecast/forecast';
import type { DoughStep } from '../process/expand';
import { type DoughRecord, type OutputRecord, stateOf } from '../record/dough';
import type { PieceCount } from '../record/events';
import type { FaultId } from '../record/marks';
import type { DoughState } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import { type BatchCourse, type Features, featuresOf } from './features';
import { type MachineUse, usesOf } from './machine-use';
import { batchReports } from './report';
import type { HeardSpan } from './temperatures';
import { batchTrace } from './trace';

/** One output of a finished dough in numbers: what months of batches are compared by. */
export interface BatchSummary {
  doughId: number;
  outputId: number;
  /** Of the dough. */
  name: string;
  product: string;
  pieces: number;
  /** When its dough was mixed, and when the last of it was recorded. */
  mixedAt: Instant | null;
  doneAt: Instant;
  /** Who mixed it; null where nobody is to be named. */
  mixedBy: number | null;
  /** Machines that it rose and was baked in, by their ids. */
  proofer: string | null;
  oven: string | null;
  /** What ovens and proofers held of it. */
  uses: MachineUse[];
  features: Features;
  /** Mean of its marks; null where nobody judged it. */
  mean: number | null;
  seen: FaultId[];
  counted: Omit<PieceCount, 'kind'> | null;
}

/** Puts a dough into numbers, output by output. One of which nothing was finished gives none. */
export function summariesOf(dough: DoughRecord, heard: readonly HeardSpan[]): BatchSummary[] {
  const state = stateOf(dough);
  const ends = [...state.steps.values()].flatMap(({ finishedAt }) => finishedAt ?? []);
  if (ends.length === 0) return [];
  return batchReports(dough, heard).map(({ output, mean, seen, counted }) => ({
    ...{ doughId: dough.id, outputId: output.id, name: dough.name, product: output.product },
    ...{ pieces: output.pieces, mean, seen, counted, doneAt: Math.max(...ends) },
    mixedAt: mixOf(dough, state)?.at ?? null,
    mixedBy: mixOf(dough, state)?.by ?? null,
    proofer: machineOf(dough, output.id, 'proof'),
    oven: machineOf(dough, output.id, 'bake'),
    uses: usesOf(dough, state, output.id),
    features: featuresOf(courseOf(dough, state, output, heard)),
  }));
}

function courseOf(
  dough: DoughRecord,
  state: DoughState,
  output: OutputRecord,
  heard: readonly HeardSpan[],
): BatchCourse {
  const mix = mixOf(dough, state);
  return {
    trace: batchTrace(dough, output.id, heard),
    mixed:
      mix?.celsius === undefined || mix.target === undefined
        ? null
        : { celsius: mix.celsius, target: mix.target },
    proofLate: proofLate(dough, state, output.id),
  };
}

/** The machine with a setting in which an output was during steps of this kind. */
function machineOf({ steps }: DoughRecord, outputId: number, kind: DoughStep['step']['kind']): string | null {
  const own = steps.filter(({ outputId: of, step }) => of === outputId && step.kind === kind);
  return (
    own.flatMap(({ uses }) => uses.find(({ setting }) => setting !== undefined)?.resource ?? [])[0] ?? null
  );
}

/** The mix of the dough itself: when it was over, and how warm. */
function mixOf({ steps }: DoughRecord, state: DoughState) {
  const mix = steps.find(({ step }) => step.kind === 'mix' && step.branch === undefined);
  const own = mix && state.steps.get(mix.key);
  if (!own || own.finishedAt === null) return null;
  return {
    at: own.finishedAt,
    by: own.finishedBy,
    celsius: own.temperatures.at(-1)?.celsius,
    target: mix.step.gives,
  };
}

/**
 * How much later the proof was ended than the forecast of its beginning had it, minutes. One that was judged under or over
 * was not ended when it was ready, and says nothing of the forecast.
 */
function proofLate(dough: DoughRecord, state: DoughState, outputId: number): number | null {
  const proof = dough.steps.find(
    ({ step, outputId: of }) => of === outputId && step.kind === 'proof' && step.rise?.decides === true,
  );
  const own = proof && state.steps.get(proof.key);
  if (!proof || !own || own.startedAt === null || own.finishedAt === null) return null;
  if (own.verdict && own.verdict.verdict !== 'right') return null;
  const begun = own.startedAt;
  const then = { ...dough, events: dough.events.filter(({ at }) => at <= begun) };
  const ready = forecastDough(then, UNKNOWN_CONDITIONS, begun).steps.find(
    ({ key }) => key === proof.key,
  )?.ready;
  return ready ? (own.finishedAt - ready.best) / MINUTE : null;
}
