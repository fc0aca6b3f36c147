import { coded, type Coded } from '../codes/coded';
import type { DoughStep } from '../process/expand';
import type { Instant } from '../time/local';
import type { FloorEvent } from './events';
import type { StepState } from './step-state';

/** Something that was lost: a whole dough, all pieces of one output, or some of them. */
export interface Loss {
  /** The output that is lost; null: the whole dough. */
  output: number | null;
  /** How many of its pieces; null: all. */
  pieces: number | null;
  why: string;
  at: Instant;
  personId: number;
}

/** What was lost of a dough, by the events that count. */
export function lossesIn(events: readonly FloorEvent[]): Loss[] {
  return events.flatMap((event): Loss[] =>
    event.kind === 'lost'
      ? [
          {
            ...{ output: event.data.output, pieces: event.data.pieces },
            ...{ why: event.text, at: event.at, personId: event.personId },
          },
        ]
      : [],
  );
}

/** Ends the steps of what is lost: nobody begins them any more, and no wait of them goes on. */
export function endLost(
  steps: readonly OfOutput[],
  losses: readonly Loss[],
  states: ReadonlyMap<string, StepState>,
): void {
  for (const { output, pieces, why, at, personId } of losses) {
    if (pieces !== null) continue;
    const own = steps.filter(({ outputId }) => output === null || outputId === output);
    endOpen(own, states, { at, personId, reason: coded('steps.lost', { why }) });
  }
}

/** Ends what is open of a dough that was closed without a record. */
export function endClosed(
  steps: readonly OfOutput[],
  events: readonly FloorEvent[],
  states: ReadonlyMap<string, StepState>,
): void {
  for (const { kind, at, personId } of events)
    if (kind === 'close') endOpen(steps, states, { at, personId, reason: coded('steps.notRecorded') });
}

type OfOutput = Pick<DoughStep, 'key' | 'outputId'>;

/** Ends those of the steps that are open, with why. */
export function endOpen(
  steps: readonly OfOutput[],
  states: ReadonlyMap<string, StepState>,
  { at, personId, reason }: { at: Instant; personId: number; reason: Coded },
): void {
  for (const { key } of steps) {
    const state = states.get(key);
    if (!state || state.status === 'done' || state.status === 'skipped') continue;
    Object.assign(state, {
      ...{ status: 'skipped', finishedAt: at, finishedBy: personId, skipReason: reason },
      isEndedWithDough: true,
    });
  }
}

/**
 * How many pieces of an output are lost.
 *
 * @example
 * lostOf([{ output: 7, pieces: 20, … }], { id: 7, pieces: 60 }); // 20
 */
export function lostOf(losses: readonly Loss[], { id, pieces }: { id: number; pieces: number }): number {
  return losses
    .filter(({ output }) => output === null || output === id)
    .reduce((sum, loss) => Math.min(pieces, sum + (loss.pieces ?? pieces)), 0);
}
