import { coded, type Coded, type Words } from '../codes/coded';
import { remarkMessage } from '../forecast/remark-message';
import { MINUTE } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import { isHandsOn } from '../record/state';

/** A wait whose planned length no longer lies in its window: today is warmer or colder than it was when planned. */
export interface WindowMiss {
  key: string;
  label: Words;
  /** Minutes by which the plan is too short (below nothing) or too long. */
  by: number;
  message: Coded;
}

/** Less than this is within what anybody can plan, minutes. */
const SMALL = 3;

/** Waits to come, or under way, that the plan gives too little or too much time, or that are in vain today. */
export function windowMisses({ steps, state }: DoughForecast): WindowMiss[] {
  return steps.flatMap((step) => {
    const own = state.steps.get(step.key);
    if (isHandsOn(step) || !own || own.status === 'done' || own.status === 'skipped') return [];
    const { label, remark } = step;
    // What the wait is for does not come about today, however long it is given.
    if (remark)
      return [
        {
          key: step.key,
          label,
          by: 0,
          message: coded('drift.ofStep', { step: label, message: remarkMessage(remark) }),
        },
      ];
    const planned = Math.round((step.plannedEnd - (own.startedAt ?? step.plannedStart)) / MINUTE);
    const by = planned < step.min ? planned - step.min : planned > step.max ? planned - step.max : 0;
    if (Math.abs(by) <= SMALL) return [];
    const window =
      step.min === step.max
        ? { minutes: step.min }
        : coded('drift.to', { duration: { minutes: step.min }, duration2: { minutes: step.max } });
    const message = coded('drift.nowTakesThePlanGives', { label, window, duration: { minutes: planned } });
    return [{ key: step.key, label, by, message }];
  });
}
