import { coded } from '../codes/coded';
import type { DoughStep } from '../process/expand';
import type { FloorEvent } from './events';
import { type Bagged, stepsOfBagged } from './frozen';
import { endOpen } from './losses';
import type { StepState } from './step-state';

/** Ends the steps of loads that went into the freezer as a whole. */
export function endBagged(
  steps: readonly DoughStep[],
  events: readonly FloorEvent[],
  bagged: ReadonlyMap<string, Bagged>,
  states: ReadonlyMap<string, StepState>,
): void {
  for (const { steps: later, key } of stepsOfBagged(bagged, steps)) {
    const last = events.findLast(({ kind, stepKey }) => kind === 'bag' && stepKey === key);
    if (last) endOpen(later, states, { ...last, reason: coded('steps.frozenInstead') });
  }
}
