import type { Person } from '@/core/bakery/people';
import type { ProposedDough } from '@/core/demand/propose';
import type { DoughForecast } from '@/core/forecast/forecast';
import { isHandsOn } from '@/core/record/state';
import { formatLocal, type Instant, MINUTE } from '@/core/time/local';

/** When the planner of the crew plans, local time of day, and for how far ahead, minutes. */
const AT = '11:00';
const AHEAD = 60 * 60;

/** The local day whose planning is due: once a day, late in the morning; null before that. */
export function planningDay(now: Instant, zone: string): string | null {
  const [day = '', time = ''] = formatLocal(now, zone).split('T');
  return time >= AT ? day : null;
}

/** Which of the proposed doughs are put into the plan now: those of which all is wanted within the next days. */
export const toPlan = (proposals: readonly ProposedDough[], now: Instant): ProposedDough[] =>
  proposals.filter(({ outputs }) => outputs.every(({ dueAt }) => dueAt <= now + AHEAD * MINUTE));

/** The plan is repaired where work of the next hours is expected so much later than planned, minutes; no more often than that. */
const BEHIND = 30;
const WITHIN = 10 * 60;
const AGAIN = 90;

/** Whether the floor has left the plan so far that somebody should repair it. */
export const isBehind = (doughs: readonly DoughForecast[], now: Instant): boolean =>
  doughs.some(({ steps }) =>
    steps.some(
      (step) =>
        isHandsOn(step) &&
        step.status === 'open' &&
        step.start <= now + WITHIN * MINUTE &&
        step.start - step.plannedStart >= BEHIND * MINUTE,
    ),
  );

/** When the plan may be repaired again. */
export const repairedUntil = (now: Instant): Instant => now + AGAIN * MINUTE;

/** Who repairs it: the planner where there is one, else whoever is there and may. */
export const repairs = (there: readonly Person[], everybody: readonly Person[]): Person | undefined =>
  everybody.find(({ role }) => role === 'planner') ?? there.find(({ role }) => role === 'baker');
