import type { ExpandedDough } from '../route/expand';
import type { Known, KnownStep, Today } from '../route/windows';
import { MINUTE, type Instant } from '../time/local';
import { isHandsOn, type DoughState } from './state';

/** Planned times of steps by key. */
export type PlannedTimes = ReadonlyMap<string, { plannedStart: Instant; plannedEnd: Instant }>;

/**
 * What plan and events say of a dough's steps, for working out its windows: how long a step was, or is planned; how warm
 * the dough was; how warm it is now around what stands there now.
 */
export function knownOf(
  dough: Pick<ExpandedDough, 'steps'>,
  { steps: states }: Pick<DoughState, 'steps'>,
  planned: PlannedTimes,
  today: Today,
  now: Instant,
  dose: number,
): Known {
  const steps = new Map<string, KnownStep>();
  for (const step of dough.steps) {
    const state = states.get(step.key);
    const times = planned.get(step.key);
    if (!state) continue;
    const known: KnownStep = {};
    const { startedAt, finishedAt } = state;
    if (startedAt !== null && finishedAt !== null)
      known.minutes = Math.max(0, (finishedAt - startedAt) / MINUTE);
    else if (startedAt !== null) {
      // Under way: as long as it is planned to be, or as it has been already where nobody is ending it.
      const end = times?.plannedEnd ?? startedAt + step.target * MINUTE;
      known.minutes = (Math.max(end, now) - startedAt) / MINUTE;
    } else if (times && !isHandsOn(step)) known.minutes = (times.plannedEnd - times.plannedStart) / MINUTE;
    const place = step.step.place === undefined ? undefined : today[step.step.place];
    if (state.status === 'running' && place && step.step.kind !== 'bake') known.around = place.celsius;
    const measured = state.temperatures.at(-1);
    if (measured) {
      const since = (measured.at - (startedAt ?? measured.at)) / MINUTE;
      known.reading = { minute: Math.max(0, since), celsius: measured.celsius };
    }
    if (state.status === 'running' && state.verdict && startedAt !== null)
      known.judged = {
        minutes: (state.verdict.at - startedAt) / MINUTE,
        verdict: state.verdict.verdict,
      };
    if (state.notBefore !== null && startedAt !== null)
      known.atLeast = (state.notBefore - startedAt) / MINUTE;
    steps.set(step.key, known);
  }
  return { steps, dose };
}

/** Yeast that went in against the formula's, from what was added on a look at levain or sponge. */
export function doseOf(state: DoughState, formulaYeastGrams: number): number {
  const added = [...state.steps.values()]
    .flatMap(({ alive }) => alive)
    .reduce((sum, { answer, grams }) => sum + (answer === 'add-yeast' ? (grams ?? 0) : 0), 0);
  return formulaYeastGrams > 0 ? 1 + added / formulaYeastGrams : 1;
}
