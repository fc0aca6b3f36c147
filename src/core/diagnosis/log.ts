import type { DoughStep } from '../process/expand';
import { stateOf, type DoughRecord } from '../record/dough';
import type { StepState } from '../record/step-state';
import { MINUTE } from '../time/local';

/** One step of a batch as it was planned and as it was. */
export interface LoggedStep {
  step: DoughStep;
  state: StepState;
  /** How long it took, minutes; null where that was not recorded. */
  minutes: number | null;
}

/** The log of one output of a dough: the common steps and its own. */
export function batchLog(dough: DoughRecord, outputId: number): LoggedStep[] {
  const { steps } = dough;
  const state = stateOf(dough);
  return steps
    .filter((step) => step.outputId === null || step.outputId === outputId)
    .flatMap((step): LoggedStep[] => {
      const own = state.steps.get(step.key);
      if (!own) return [];
      const { startedAt, finishedAt } = own;
      const minutes =
        startedAt === null || finishedAt === null ? null : Math.round((finishedAt - startedAt) / MINUTE);
      return [{ step, state: own, minutes }];
    });
}
