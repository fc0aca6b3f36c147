import type { Person } from '../bakery/people';
import { batchTrace } from '../diagnosis/trace';
import type { HeardSpan } from '../diagnosis/temperatures';
import { type DoughRecord, stateOf } from '../record/dough';
import { type Instant, MINUTE } from '../time/local';
import type { Board } from '../wire/board';
import { boardOf, type Scene, timed } from './scene';

/** A batch of one's own that is played again from one of its steps on. */
export interface ReplayParts {
  dough: DoughRecord;
  heard: readonly HeardSpan[];
  /** The step that is in hand when the night opens. */
  stepKey: string;
  board: Board;
  trainee: Person;
  opensAt: Instant;
  seed: number;
}

/** How far a rise is when it looks so: what a verdict says of how fast the dough really was. */
const LOOKED = { under: 0.75, right: 1, over: 1.3 };
/** How much faster or slower than its formula a batch is taken to have been, at most. */
const VIGOUR = { least: 0.5, most: 1.6 };
/** The night opens so many minutes after the step was begun. */
const BEGUN = 5;
/** It goes on for so many hours beyond what is planned of it. */
const BEYOND = 1;

/** How fast the dough of a batch really was, from how its proof looked when it was ended; 1 where nobody said. */
export function vigourOf(dough: DoughRecord, heard: readonly HeardSpan[]): number {
  for (const { id } of dough.outputs) {
    const { proof } = batchTrace(dough, id, heard);
    if (!proof?.verdict || proof.progress <= 0) continue;
    return Math.min(VIGOUR.most, Math.max(VIGOUR.least, LOOKED[proof.verdict] / proof.progress));
  }
  return 1;
}

/** Steps of a batch from which it can be played again: waits that somebody ended. */
export function replaySteps(dough: DoughRecord): { key: string; at: Instant }[] {
  const state = stateOf(dough);
  return dough.steps.flatMap(({ key, step }) => {
    const { startedAt = null, status } = state.steps.get(key) ?? {};
    const isWait = ['bulk', 'rest', 'retard', 'proof'].includes(step.kind) && step.branch === undefined;
    return isWait && startedAt !== null && status === 'done' ? [{ key, at: startedAt }] : [];
  });
}

/**
 * Opens a night with a batch as its record has it up to a step, and a dough that goes on as that one did.
 *
 * @returns null where the step was never begun
 */
export function replayScene({
  dough,
  heard,
  stepKey,
  board,
  trainee,
  opensAt,
  seed,
}: ReplayParts): Scene | null {
  const begun = stateOf(dough).steps.get(stepKey)?.startedAt;
  if (begun === null || begun === undefined) return null;
  const here = begun + BEGUN * MINUTE;
  const shift = opensAt - here;
  const known = dough.events.filter(({ at }) => at <= here && at >= dough.madeAt - 1);
  const again = timed(
    { ...dough, finished: undefined, events: known.map((event) => ({ ...event, at: event.at + shift })) },
    opensAt,
  );
  const closesAt = Math.max(...again.steps.map(({ plannedEnd }) => plannedEnd)) + BEYOND * 60 * MINUTE;
  const outputs = again.outputs.map((output) => ({ ...output, dueAt: output.dueAt + shift }));
  return {
    ...{ seed, opensAt, closesAt, thermometer: 0, faults: [] },
    hidden: { [dough.id]: { vigour: vigourOf(dough, heard), warmer: 0 } },
    board: boardOf(board, { doughs: [{ ...again, outputs }], trainee, opensAt, closesAt }),
  };
}
