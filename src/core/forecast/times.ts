import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from './forecast';
import { endsByHand } from './observation';

/** Minutes by which a dough runs behind its plan: the worst of its steps that are due or under way; 0 when it keeps time. */
export function minutesBehind({ steps, state }: DoughForecast, now: Instant): number {
  const behind = steps.map((step) => {
    if (state.steps.get(step.key)?.startable) return step.start - step.plannedStart;
    return step.status === 'running' && endsByHand(step) ? now - step.plannedEnd : 0;
  });
  return Math.max(0, Math.floor(Math.max(0, ...behind) / MINUTE));
}
