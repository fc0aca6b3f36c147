import type { DoughForecast } from '../forecast/forecast';
import { isHandsOn } from '../record/state';
import type { Recording } from '../record/events';
import type { Instant } from '../time/local';
import type { Unrecorded } from './catch-up';

/** Something to record, and when it happened. */
export interface LateEntry {
  recording: Recording;
  at: Instant;
}

/**
 * What is recorded of a step that was done before anybody said so: its start where work has one, and its end. A turn that is not
 * recorded by block was given to every block as the scheme has it.
 */
export function entriesOf(
  { id, lamination }: Pick<DoughForecast, 'id' | 'lamination'>,
  { step, start, end, isRunning }: Pick<Unrecorded, 'step' | 'start' | 'end' | 'isRunning'>,
): LateEntry[] {
  const of = { doughId: id, stepKey: step.key };
  const begins: LateEntry[] =
    isHandsOn(step) && !isRunning ? [{ at: start, recording: { ...of, kind: 'start' } }] : [];
  const fold = step.step.given?.fold;
  const byBlock = step.step.turn !== undefined && (lamination?.blocks ?? 1) > 1;
  const ended: Recording = byBlock
    ? {
        ...{ ...of, kind: 'turn' },
        data: { kind: 'turned', block: null, folds: fold ? [fold] : [], covers: 0, ends: true },
      }
    : { ...of, kind: 'finish' };
  return [...begins, { at: end, recording: ended }];
}
