import { correctionOn } from '../bakery/decks';
import type { DoughStep } from '../process/expand';
import type { StepState } from '../record/step-state';
import { isHandsOn, type DoughState } from '../record/state';
import { MINUTE, type Instant } from '../time/local';
import { lastMeasured, type Conditions } from './conditions';
import type { Judgement } from './judgement';
import { during, type Observation } from './windows';

/**
 * Gathers what record and bakery say of a step that has begun, for working out its window: how warm the dough was, what is
 * around it where it stands, how it looked, when it may end.
 */
export function observe(step: DoughStep, state: StepState, conditions: Conditions): Observation {
  const observation: Observation = {};
  const { startedAt, status } = state;
  // What is over counts on for what rises after it: where it stood, and how it looked.
  const begun = status === 'running' || (status === 'done' && state.moved !== null);
  if (begun && step.step.kind !== 'bake') Object.assign(observation, standing(step, state, conditions));
  if (status === 'running' && step.step.kind === 'bake') {
    const oven = conditions.decks[ovenOf(step, state) ?? ''];
    if (oven) observation.stretched = correctionOn(state.decks ?? [], oven);
  }
  const measured = lastMeasured(state, conditions.probes);
  if (measured) {
    const since = (measured.at - (startedAt ?? measured.at)) / MINUTE;
    observation.reading = { minute: Math.max(0, since), celsius: measured.celsius };
  }
  if (startedAt === null) return observation;
  const judged = status === 'skipped' ? null : judgement(state, startedAt);
  if (judged) observation.judged = judged;
  if (state.notBefore !== null) observation.atLeast = (state.notBefore - startedAt) / MINUTE;
  return observation;
}

/** What is around a dough where it stands, and since when if it was put there meanwhile. */
function standing(
  { step, place, target }: DoughStep,
  { moved, startedAt }: StepState,
  { places }: Conditions,
): Pick<Observation, 'around' | 'kind' | 'moved'> {
  const usual = place === undefined ? undefined : places[place];
  const here = moved ? places[moved.place] : usual;
  if (!here) return {};
  const around = during(here, moved?.at ?? startedAt ?? undefined, target);
  // A shelf of the same place is no other place.
  if (!moved || startedAt === null || moved.place === place) return { around };
  const minute = Math.max(0, (moved.at - startedAt) / MINUTE);
  return {
    ...{ around, kind: here.kind },
    moved: { minute, before: usual?.celsius ?? step.around },
  };
}

/** The oven that a load is in: as recorded, or as planned; undefined where it goes into none. */
export function ovenOf(
  { uses }: Pick<DoughStep, 'uses'>,
  { oven }: Pick<StepState, 'oven'> = { oven: null },
): string | undefined {
  return oven ?? uses.find(({ setting }) => setting !== undefined)?.resource;
}

/** The last look at what rises: a verdict, or that a sponge or levain was found ready. */
function judgement({ verdict, alive }: StepState, startedAt: Instant): Judgement | null {
  const found = alive.at(-1);
  const ready = found?.answer === 'ready' ? { verdict: 'right' as const, at: found.at } : null;
  const last = ready && (!verdict || ready.at > verdict.at) ? ready : verdict;
  return last && { minutes: (last.at - startedAt) / MINUTE, verdict: last.verdict };
}

/** Yeast that went in against the formula's, from what was added on a look at levain or sponge. */
export function doseOf(state: DoughState, formulaYeastGrams: number): number {
  const added = [...state.steps.values()]
    .flatMap(({ alive }) => alive)
    .reduce((sum, { answer, grams }) => sum + (answer === 'add-yeast' ? (grams ?? 0) : 0), 0);
  return formulaYeastGrams > 0 ? 1 + added / formulaYeastGrams : 1;
}

/** True for work under way that only a person ends: hands-on steps and bakes. */
export const endsByHand = (step: DoughStep): boolean => isHandsOn(step) || step.step.ends === 'tap';
