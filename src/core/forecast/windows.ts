import {
  approach,
  type Fermentation,
  minutesReached,
  type Profile,
  progressAlong,
  withDose,
} from '../ferment/progress';
import { BAKERS_YEAST, LEVAIN } from '../ferment/rate';
import { type FirstMode, minutesToCore } from '../heat/mode';
import { pieceMode } from '../process/settling';
import { meanOf, type RoomCourse } from '../climate/room-course';
import { type PlaceKind } from '../heat/places';
import { MINUTE, type Instant } from '../time/local';
import type { DoughStep, ExpandedDough } from '../process/expand';
import { inOrder, mainBefore } from '../process/order';
import type { ProductSpec, Rise, RisePhase } from '../process/route';
import { judgedWindow, type Judgement, paceOf } from './judgement';

/** Temperatures of the house's places as they are today, °C, by the place's id. */
export type Today = Record<string, PlaceNow>;

/** A place as it is now, and how it is expected to go on; what is kept cold or warm by a machine has no course. */
export interface PlaceNow {
  celsius: number;
  kind: PlaceKind;
  course?: RoomCourse;
}

/** What a place has from a moment on for so many minutes: as expected, or as it is where nobody can say. */
export const during = ({ celsius, course }: PlaceNow, from: Instant | undefined, minutes: number): number =>
  course && from !== undefined ? meanOf(course, from, from + minutes * MINUTE) : celsius;

/** What is known of a step beyond its route. Minutes are counted from its start. */
export interface Observation {
  /** When it began, or is expected to begin. */
  from?: Instant;
  /** How long it was, or is expected to be. */
  minutes?: number;
  /** The last temperature that was measured in the dough, °C. */
  reading?: { minute: number; celsius: number };
  /** How warm it is around the dough now where it stands, °C, and what kind of place that is. */
  around?: number;
  kind?: PlaceKind;
  /** When it was put there, and what was around it before, °C. */
  moved?: { minute: number; before: number };
  /** How many times as long as written the oven takes. */
  stretched?: number;
  /** It cannot end before it is this long: somebody looked, and it was not ready. */
  atLeast?: number;
  /** How a rise under way looked. */
  judged?: Judgement;
}

/** What is known of a dough's steps by key, and the yeast that went in against the formula's. */
export interface Observations {
  steps: ReadonlyMap<string, Observation>;
  dose: number;
}

/** A dough of which nothing is recorded or planned yet. */
export const NO_OBSERVATIONS: Observations = { steps: new Map(), dose: 1 };

/** Rises of a dough's common part, under null, and of each output by its id. */
export type RisesByOutput = ReadonlyMap<number | null, Pick<ProductSpec, 'rises'>>;

/** The rise of a phase as a fermentation, with the dose of yeast that went in. */
export function fermentationOf({ yeast, celsius, minutes, cardinal: own }: Rise, dose = 1): Fermentation {
  const cardinal = own ?? (yeast === 'levain' ? LEVAIN : BAKERS_YEAST);
  return withDose({ cardinal, celsius, minutes }, dose);
}

/** A step's dough as it is at some moment. */
export interface Course {
  celsius: number;
  /** Progress of each phase so far, 1 when it is ready. */
  risen: Partial<Record<RisePhase, number>>;
  /** How fast each phase was seen to go, against what was reckoned: 0.8 is a fifth slower. */
  pace: Partial<Record<RisePhase, number>>;
}

/** A fermentation that takes longer than this will not be waited for, minutes. */
export const LONGEST_RISE = 3 * 24 * 60;

/**
 * Works out today's windows of a dough's waits, each from the temperatures of the house and from the lengths of the
 * waits before it: a rest for a core temperature is as long as that takes; a wait that decides a rise is ready when
 * what has risen in the waits before it and in itself comes to the whole. Temperatures follow the dough's own first
 * mode of conduction. Steps keep what the house has set where nothing of this is said of them.
 */
export function settleWindows(
  dough: ExpandedDough,
  rises: RisesByOutput,
  today: Today,
  { steps: observed, dose }: Observations = NO_OBSERVATIONS,
): ExpandedDough {
  const courses = new Map<string, Course>();
  const settled = new Map<string, DoughStep>();
  for (const step of inOrder(dough.steps, dough.links)) {
    const before = mainBefore(step, dough.links, settled);
    const observation = observed.get(step.key) ?? {};
    const own = { today, dose, observation, rises: rises.get(step.outputId)?.rises ?? {} };
    const { window, after } = settleStep(step, before && courses.get(before.key), own);
    const { course, risen } = after(observation.minutes ?? window.target);
    settled.set(step.key, risen ? { ...window, risen } : window);
    courses.set(step.key, course);
  }
  return { ...dough, steps: dough.steps.map(({ key }) => settled.get(key) as DoughStep) };
}

/** What a step's window is worked out from beside the dough before it. */
export interface StepContext {
  rises: Partial<Record<RisePhase, Rise>>;
  today: Today;
  dose: number;
  observation: Observation;
}

/** A step with today's window, and what its dough is like when it has lasted so many minutes. */
export interface SettledStep<Step extends DoughStep = DoughStep> {
  window: Step;
  after: (minutes: number) => { course: Course; risen?: DoughStep['risen'] };
}

/**
 * Works out the window of one step, whose dough comes from `before`; null or left out for the first of a branch.
 */
export function settleStep<Step extends DoughStep>(
  step: Step,
  before: Course | null | undefined,
  context: StepContext,
): SettledStep<Step> {
  const { observation } = context;
  const stand = standingOf(step, before, context);
  const { around, settling, start, reading, mode } = stand;
  // The route's own step stays the object it was: many doughs share it on their way to the browser.
  let window: Step = { ...step, around, settling };
  if (step.step.until !== undefined && mode)
    window = restUntil(window, mode, reading ?? { minute: 0, celsius: start }, step.step.until);
  const rising = risingOf(step, before, context, stand);
  if (rising) window = rising.window(window);
  if (observation.stretched !== undefined) window = stretched(window, observation.stretched);
  const { judged } = observation;
  const pace = judged && rising ? paceOf(window, judged) : 1;
  if (judged && step.step.rise) window = judgedWindow(window, judged);
  if (observation.atLeast !== undefined && observation.atLeast > window.min)
    window = atLeast(window, observation.atLeast);
  const after = lastOnly((minutes: number) => {
    const risen = rising?.after(minutes, pace);
    const course: Course = {
      celsius: celsiusAfter(step, stand, minutes),
      risen: { ...before?.risen, ...risen?.progress },
      pace: risen ? { ...before?.pace, [risen.own.phase]: risen.pace } : { ...before?.pace },
    };
    return risen ? { course, risen: risen.own } : { course };
  });
  return { window, after };
}

/** Remembers the last answer: whatever comes after a step asks for the same. */
function lastOnly<V>(work: (minutes: number) => V): (minutes: number) => V {
  let known: { minutes: number; value: V } | null = null;
  return (minutes) => {
    if (known?.minutes !== minutes) known = { minutes, value: work(minutes) };
    return known.value;
  };
}

/** How a dough lies during a step: what is around it, how fast it follows, and its last known temperature. */
interface Stand {
  around: number;
  settling: number;
  mode: FirstMode | null;
  start: number;
  reading: Observation['reading'];
}

function standingOf(
  step: DoughStep,
  before: Course | null | undefined,
  { today, observation }: StepContext,
): Stand {
  const route = step.step;
  const place = step.place === undefined ? undefined : today[step.place];
  // A proofer or oven is set for the step; what it shows now counts only for what stands in it now.
  const isSet = step.uses.some(({ setting }) => setting !== undefined);
  const around =
    observation.around ??
    ((isSet || !place ? undefined : during(place, observation.from, observation.minutes ?? step.target)) ??
      route.around) - (route.cooler ?? 0);
  const mode = pieceMode(step, observation.kind ?? place?.kind);
  const settling = mode?.settling ?? route.settling;
  const start = route.gives ?? before?.celsius ?? around;
  return { around, settling, mode, start, reading: readingOf(observation, start, settling) };
}

/** Where the dough was measured it goes on from there, and not from where it was reckoned to be. */
function celsiusAfter(
  { step: route }: DoughStep,
  { around, settling, start, reading }: Stand,
  minutes: number,
): number {
  if (route.gives !== undefined && !reading) return route.gives;
  const [from, since] = reading ? [reading.celsius, reading.minute] : [start, 0];
  return around + (from - around) * Math.exp(-Math.max(0, minutes - since) / settling);
}

/** The rise that goes on during a step: the window that it makes, and how far it is after some minutes. */
interface Rising {
  window: <Step extends DoughStep>(step: Step) => Step;
  after: (
    minutes: number,
    pace: number,
  ) => { progress: Course['risen']; own: NonNullable<DoughStep['risen']>; pace: number } | undefined;
}

function risingOf(
  { step: route }: DoughStep,
  before: Course | null | undefined,
  { rises, dose, observation }: StepContext,
  { around, settling, start, reading }: Stand,
): Rising | null {
  const moved = observation.moved !== undefined;
  // Out of the cold a degassed dough doubles again: that is a bulk of its own.
  const warmed = moved && !route.rise && route.kind === 'retard' ? 'bulk' : undefined;
  const phase = route.rise?.phase ?? warmed;
  const rise = phase && rises[phase];
  if (!phase || !rise) return null;
  const pace = before?.pace[phase] ?? 1;
  const fermentation = paced(fermentationOf(rise, phase === 'bulk' || phase === 'proof' ? dose : 1), pace);
  const along = (minutes: number) => courseOf({ start, around, settling, reading }, minutes);
  // What it rose in the cold is as every retard has it: its own bulk begins where it was moved.
  const inTheCold = observation.moved?.minute ?? 0;
  const already = warmed
    ? -progressAlong(fermentation, along(Math.max(1, inTheCold)), inTheCold)
    : (before?.risen[phase] ?? 0);
  const decides = route.rise?.decides === true;
  const until = <Step extends DoughStep>(step: Step): Step =>
    riseUntil(step, fermentation, rise, { profile: along(LONGEST_RISE), already });
  return {
    window: (step) => (decides ? until(step) : moved ? soonerThere(step, until(step)) : step),
    after(minutes, seen) {
      // Of what should have stayed cold nothing is learnt, and later waits do not count it.
      if (warmed) return undefined;
      const slowed = paced(fermentation, seen);
      const now = already + progressAlong(slowed, along(Math.max(1, minutes)), minutes);
      // In minutes of the undosed rise: what a verdict on it teaches.
      const own = { phase, before: already * rise.minutes, after: now * rise.minutes };
      return { progress: { [phase]: now }, own, pace: pace * seen };
    },
  };
}

const paced = (fermentation: Fermentation, pace: number): Fermentation =>
  pace === 1 ? fermentation : { ...fermentation, minutes: fermentation.minutes / pace };

/**
 * The last temperature that is known of a dough: measured, or reckoned for the moment when it was put somewhere else, from
 * what was around it until then.
 */
function readingOf(observation: Observation, start: number, settling: number): Observation['reading'] {
  const { reading, moved } = observation;
  if (!moved || (reading && reading.minute >= moved.minute)) return reading;
  const from = reading ?? { minute: 0, celsius: start };
  const left = Math.exp(-(moved.minute - from.minute) / settling);
  return { minute: moved.minute, celsius: moved.before + (from.celsius - moved.before) * left };
}

/** The dough's own temperature during a step: from its start, or through what was measured, towards what is around it. */
function courseOf(
  { start, around, settling, reading }: Pick<Stand, 'start' | 'around' | 'settling' | 'reading'>,
  minutes: number,
): Profile {
  if (!reading) return approach(start, around, { settling, minutes });
  const after = approach(reading.celsius, around, {
    settling,
    minutes: Math.max(1, minutes - reading.minute),
    from: reading.minute,
  });
  return reading.minute > 0 ? [{ minute: 0, celsius: start }, ...after] : after;
}

/** A step that takes longer or shorter than written: a bake in an oven that is known to, work on a machine that is slow. */
export function stretched<Step extends DoughStep>(step: Step, by: number): Step {
  if (by === 1) return step;
  const [min, target, max] = [step.min, step.target, step.max].map((minutes) => Math.round(minutes * by)) as [
    number,
    number,
    number,
  ];
  return { ...step, min, target, max };
}

/** A wait cannot be shorter than `minutes`; best and longest give way where they must. */
function atLeast<Step extends DoughStep>(step: Step, minutes: number): Step {
  const min = Math.ceil(minutes);
  return { ...step, min, target: Math.max(step.target, min), max: Math.max(step.max, min) };
}

/** From the temperature that is known last, measured or reckoned. */
function restUntil<Step extends DoughStep>(
  step: Step,
  mode: FirstMode,
  from: NonNullable<Observation['reading']>,
  until: number,
): Step {
  const more = minutesToCore(mode, from.celsius, step.around, until);
  const minutes = more === null ? null : from.minute + more;
  if (minutes === null) {
    return {
      ...step,
      never: true,
      remark: { code: 'core-out-of-reach', around: step.around, until },
    };
  }
  return minutes > step.min ? atLeast(step, minutes) : step;
}

function riseUntil<Step extends DoughStep>(
  step: Step,
  fermentation: Fermentation,
  { early, late }: Rise,
  { profile, already }: { profile: Profile; already: number },
): Step {
  const reached = minutesReached(fermentation, profile, [early, 1, late], {
    ...{ before: already, within: LONGEST_RISE },
  });
  const [min = null, target = null, max = null] = reached;
  if (target === null || min === null) {
    return {
      ...step,
      never: true,
      remark: { code: 'no-rise', around: step.around, within: LONGEST_RISE },
    };
  }
  const best = Math.max(1, Math.round(target));
  return {
    ...step,
    min: Math.max(1, Math.min(best, Math.round(min))),
    target: best,
    max: Math.max(best, Math.round(max ?? LONGEST_RISE)),
    ...(target === 0 ? { remark: { code: 'risen-before' as const } } : {}),
  };
}

/** A wait that was put somewhere warm: it is over when the rise is, where that comes before the wait's own time. */
function soonerThere<Step extends DoughStep>(step: Step, risen: Step): Step {
  return !risen.never && risen.target < step.target
    ? { ...risen, min: Math.min(risen.min, risen.target) }
    : step;
}

/** Steps whose window moved by more than `minutes` from one settling to the next. */
export function movedWindows(
  before: Pick<ExpandedDough, 'steps'>,
  after: Pick<ExpandedDough, 'steps'>,
  minutes: number,
): string[] {
  const old = new Map(before.steps.map((step) => [step.key, step]));
  return after.steps.flatMap((step) => {
    const was = old.get(step.key);
    const moved =
      was &&
      Math.max(
        Math.abs(step.min - was.min),
        Math.abs(step.target - was.target),
        Math.abs(step.max - was.max),
      );
    return moved !== undefined && moved > minutes ? [step.key] : [];
  });
}
