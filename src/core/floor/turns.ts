import type { DoughStep } from '../route/expand';
import type { DoughState } from './state';

/** How many turns a block has had, of how many; null for a dough without turns. */
export interface TurnCount {
  done: number;
  of: number;
  /** A turn that is being given right now, counted from 1. */
  running: number | null;
}

/** Counts from what was recorded, never from the clock. */
export function countTurns(steps: readonly DoughStep[], state: DoughState): TurnCount | null {
  const turns = steps.filter(({ step }) => step.turn !== undefined);
  if (turns.length === 0) return null;
  const status = (key: string) => state.steps.get(key)?.status;
  const running = turns.find(({ key }) => status(key) === 'running');
  return {
    done: turns.filter(({ key }) => status(key) === 'done').length,
    of: turns.length,
    running: running?.step.turn ?? null,
  };
}

/** `turn 2 of 3 done`, `turn 3 of 3 under way`, `no turn yet, 3 to do`. */
export function turnWords({ done, of, running }: TurnCount): string {
  if (running !== null) return `turn ${running} of ${of} under way`;
  return done === 0 ? `no turn yet, ${of} to do` : `turn ${done} of ${of} done`;
}
