import type { DoughStep, ExpandedDough } from '../process/expand';
import type { Known, KnownStep, Today } from './windows';
import { MINUTE, type Instant } from '../time/local';
import { correctionOn, type Decks } from '../bakery/decks';
import { isHandsOn, type DoughState, type StepState } from '../record/state';

/** Planned times of steps by key. */
export type PlannedTimes = ReadonlyMap<string, { plannedStart: Instant; plannedEnd: Instant }>;

/** What each needle last said, by its id. */
export type Needles = ReadonlyMap<string, { celsius: number; at: Instant }>;

/** Needles of a board that have said something, by id. */
export function needlesSay(needles: readonly { id: string; celsius: number | null; at: Instant }[]): Needles {
  return new Map(
    needles.flatMap(({ id, celsius, at }) => (celsius === null ? [] : [[id, { celsius, at }] as const])),
  );
}

/** The last word on how warm a dough is: told by somebody, or by the needle that is in it now. */
export function lastMeasured(
  { temperatures, needle, status }: Pick<StepState, 'temperatures' | 'needle' | 'status'>,
  needles: Needles,
): { celsius: number; at: Instant } | null {
  const told = temperatures.at(-1) ?? null;
  const said = needle && status === 'running' ? needles.get(needle.id) : undefined;
  if (!needle || !said || said.at < needle.at) return told;
  return told && told.at > said.at ? told : said;
}

/** What is around a dough where it stands, and since when if it was put there meanwhile. */
function standing(
  { step }: DoughStep,
  { moved, startedAt }: StepState,
  today: Today,
): Pick<KnownStep, 'around' | 'moved'> {
  const usual = step.place === undefined ? undefined : today[step.place];
  const here = moved ? today[moved.place] : usual;
  if (!here) return {};
  // A shelf of the same place is no other place.
  if (!moved || startedAt === null || moved.place === step.place) return { around: here.celsius };
  const minute = Math.max(0, (moved.at - startedAt) / MINUTE);
  return { around: here.celsius, moved: { minute, before: usual?.celsius ?? step.around } };
}

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
  { needles = new Map(), decks }: { needles?: Needles; decks?: Pick<Decks, 'whole' | 'each'> } = {},
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
    if (state.status === 'running' && step.step.kind !== 'bake')
      Object.assign(known, standing(step, state, today));
    if (state.status === 'running' && step.step.kind === 'bake' && decks)
      known.stretched = correctionOn(state.decks ?? [], decks);
    const measured = lastMeasured(state, needles);
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
