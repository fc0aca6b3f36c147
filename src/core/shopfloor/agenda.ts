import type { DoughForecast } from '../forecast/forecast';
import { MINUTE, type Instant } from '../time/local';
import type { StepState } from '../record/step-state';
import { isHandsOn } from '../record/state';

export interface AgendaItem {
  dough: DoughForecast;
  step: DoughForecast['steps'][number];
  state: StepState;
  /** Minutes from now until it is due to start (or to end, for what is running); negative when that has passed. */
  inMinutes: number;
}

/** What the bench shows: under way, to start next, to come, and what is waiting by itself. */
export interface Agenda {
  running: AgendaItem[];
  next: AgendaItem[];
  coming: AgendaItem[];
  waiting: AgendaItem[];
}

/** What was due so long ago, minutes, is no work that is late: it is asked what became of it. Within a day somebody may still begin it. */
const STALE = 24 * 60;

/** Whether something that was due then is too long ago to be work. */
export const isStale = (dueAt: Instant, now: Instant): boolean => dueAt < now - STALE * MINUTE;

/**
 * Sorts the open steps of all doughs for the bench. `running`: hands-on steps under way, then what must be taken out
 * by hand and is due. `next`: steps that could start, in the order of the plan. `coming`: hands-on steps that something
 * still holds up, within `horizonMinutes`. `waiting`: waits under way, the one that ends first on top.
 */
export function agenda(doughs: readonly DoughForecast[], now: Instant, horizonMinutes = 12 * 60): Agenda {
  const result: Agenda = { running: [], next: [], coming: [], waiting: [] };
  for (const dough of doughs) {
    for (const step of dough.steps) {
      const state = dough.state.steps.get(step.key);
      if (!state) continue;
      const until = (at: Instant) => Math.round((at - now) / MINUTE);
      const item = (at: Instant): AgendaItem => ({ dough, step, state, inMinutes: until(at) });
      if (state.status === 'running') {
        const ends = step.ready?.at ?? step.start + step.target * MINUTE;
        if (isStale(step.ready?.latest ?? ends, now)) continue;
        (isHandsOn(step) ? result.running : result.waiting).push(item(ends));
      } else if (isStale(step.dueAt, now)) continue;
      else if (state.startable) result.next.push(item(step.dueAt));
      else if (state.status === 'open' && isHandsOn(step) && until(step.start) <= horizonMinutes) {
        result.coming.push(item(step.start));
      }
    }
  }
  const soonest = (a: AgendaItem, b: AgendaItem) =>
    a.inMinutes - b.inMinutes || (a.step.key < b.step.key ? -1 : 1);
  for (const list of Object.values(result) as AgendaItem[][]) list.sort(soonest);
  return result;
}
