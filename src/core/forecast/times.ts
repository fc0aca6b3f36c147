import type { Instant } from '../time/local';
import type { DoughForecast } from './forecast';

/** When a step was, is or will be: what was recorded where there is something, the plan otherwise. */
export function stepTimes(
  dough: DoughForecast,
  step: DoughForecast['steps'][number],
  now: Instant,
): { start: Instant; end: Instant } {
  const state = dough.state.steps.get(step.key);
  const start = state?.startedAt ?? step.plannedStart;
  if (state?.finishedAt) return { start: Math.min(start, state.finishedAt), end: state.finishedAt };
  if (state?.status === 'running') return { start, end: Math.max(now, step.plannedEnd, start) };
  return { start, end: Math.max(step.plannedEnd, start) };
}

/** Minutes by which a dough runs behind its plan: the worst of its overdue steps; 0 when it keeps time. */
export function minutesBehind(dough: DoughForecast, now: Instant): number {
  const behind = dough.steps.map((step) => {
    const state = dough.state.steps.get(step.key);
    if (state?.startable) return now - step.plannedStart;
    if (state?.status === 'running' && (step.step.work || step.step.ends === 'tap'))
      return now - step.plannedEnd;
    return 0;
  });
  return Math.max(0, Math.floor(Math.max(0, ...behind) / 60_000));
}
