import { taskId } from '../process/step-ref';
import type { DoughRecord } from '../record/dough';
import type { Times } from '../solver/problem';
import { MINUTE } from '../time/local';

/** A dough as it would be with other planned times for some of its steps; minutes are counted from `origin`. */
export function withTimes(dough: DoughRecord, moved: Times, origin: number): DoughRecord {
  const steps = dough.steps.map((step) => {
    const [start, end] = moved[taskId(dough.id, step.key)] ?? [];
    if (start === undefined || end === undefined) return step;
    return { ...step, plannedStart: origin + start * MINUTE, plannedEnd: origin + end * MINUTE };
  });
  return { ...dough, steps };
}
