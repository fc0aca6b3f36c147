import type { ProposedDough } from '@/core/demand/propose';
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
