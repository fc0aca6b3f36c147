import {
  approach,
  minuteReached,
  progressAlong,
  withDose,
  type Fermentation,
  type Profile,
} from '../ferment/progress';
import { BAKERS_YEAST, LEVAIN } from '../ferment/rate';
import type { Verdict } from '../learning/verdicts';
import { BUTTER, DOUGH } from '../heat/material';
import { firstMode, minutesToCore, type FirstMode } from '../heat/mode';
import { meanFilm, type PlaceKind } from '../heat/places';
import { duration } from '../units/format';
import type { DoughStep, ExpandedDough } from '../process/expand';
import { inOrder } from '../process/order';
import type { ProductSpec, Rise, RisePhase, RouteLink } from '../process/route';

/** Temperatures of the house's places as they are today. */
export type Today = Record<string, { celsius: number; kind: PlaceKind }>;

/** What is known of a step beyond the route: how long it is planned or was, and how warm the dough was. */
export interface KnownStep {
  minutes?: number;
  /** The last temperature that was measured, so many minutes after its start. */
  reading?: { minute: number; celsius: number };
  /** How warm it is around the dough at this moment, as measured where it stands. */
  around?: number;
  /** It was put there so many minutes after its start; what was around it before, °C. */
  moved?: { minute: number; before: number };
  /** How many times as long as written the oven takes, where the step is in it. */
  stretched?: number;
  /** It cannot end before it is this long: somebody looked, and it was not ready. */
  atLeast?: number;
  /** How a rise under way looked, so many minutes after it began. */
  judged?: { minutes: number; verdict: Verdict };
}

/** What was recorded or planned of a dough; nothing for one that is new. */
export interface Known {
  steps: ReadonlyMap<string, KnownStep>;
  /** Yeast that went in against the formula's. */
  dose: number;
}

export const NOTHING_KNOWN: Known = { steps: new Map(), dose: 1 };

/** The rise of a phase as a fermentation, with the dose of yeast that went in. */
export function fermentationOf({ yeast, celsius, minutes }: Rise, dose = 1): Fermentation {
  const cardinal = yeast === 'levain' ? LEVAIN : BAKERS_YEAST;
  return withDose({ cardinal, celsius, minutes }, dose);
}

interface Course {
  celsius: number;
  /** Progress of each phase so far. */
  risen: Partial<Record<RisePhase, number>>;
}

/** A fermentation that takes longer than this will not be waited for. */
const LONGEST_RISE = 3 * 24 * 60;

/**
 * Works out today's windows of a dough's waits, each from the temperatures of the house and from the lengths of the
 * waits before it: a rest for a core temperature is as long as that takes; a wait that decides a rise is ready when
 * what has risen in the waits before it and in itself comes to the whole. Temperatures follow the dough's own first
 * mode of conduction. Steps keep what the house has set where nothing of this is said of them.
 */
export function settleWindows(
  dough: ExpandedDough,
  products: ReadonlyMap<number | null, Pick<ProductSpec, 'rises'>>,
  today: Today,
  known: Known = NOTHING_KNOWN,
): ExpandedDough {
  const courses = new Map<string, Course>();
  const settled = new Map<string, DoughStep>();
  for (const step of inOrder(dough.steps, dough.links)) {
    const before = mainBefore(step, dough.links, settled);
    const { done, after } = settle(
      step,
      before && courses.get(before.key),
      products.get(step.outputId)?.rises ?? {},
      today,
      known,
    );
    settled.set(step.key, done);
    courses.set(step.key, after);
  }
  return { ...dough, steps: dough.steps.map(({ key }) => settled.get(key) as DoughStep) };
}

/** The step before on the same branch, or on the dough itself: what this step's dough comes from. */
function mainBefore(
  step: DoughStep,
  links: readonly RouteLink[],
  steps: ReadonlyMap<string, DoughStep>,
): DoughStep | null {
  const before = links.filter(({ to }) => to === step.key).flatMap(({ from }) => steps.get(from) ?? []);
  return (
    before.find((other) => other.step.branch === step.step.branch) ??
    before.find((other) => other.step.branch === undefined) ??
    null
  );
}

function settle(
  step: DoughStep,
  before: Course | null | undefined,
  rises: Partial<Record<RisePhase, Rise>>,
  today: Today,
  { steps: knownSteps, dose }: Known,
): { done: DoughStep; after: Course } {
  const route = step.step;
  const place = route.place === undefined ? undefined : today[route.place];
  const known = knownSteps.get(step.key);
  // A proofer or oven is set for the step; what it shows now counts only for what stands in it now.
  const isSet = step.uses.some(({ setting }) => setting !== undefined);
  const around =
    known?.around ?? ((isSet ? undefined : place?.celsius) ?? route.around) - (route.cooler ?? 0);
  const mode = modeOf(step, place?.kind);
  const settling = mode?.settling ?? route.settling;
  const start = route.gives ?? before?.celsius ?? around;
  // The route's own step stays the object it was: many doughs share it on their way to the browser.
  let done: DoughStep = { ...step, around, settling };
  const reading = readingOf(known, start, settling);
  if (route.until !== undefined && mode)
    done = restUntil(done, mode, reading ?? { minute: 0, celsius: start }, route.until);
  const moved = known?.moved !== undefined;
  // Out of the cold a degassed dough doubles again: that is a bulk of its own.
  const warmed = moved && !route.rise && route.kind === 'retard' ? 'bulk' : undefined;
  const phase = route.rise?.phase ?? warmed;
  const rise = phase && rises[phase];
  const risen = { ...before?.risen };
  if (phase && rise) {
    const fermentation = fermentationOf(rise, phase === 'bulk' || phase === 'proof' ? dose : 1);
    const along = (minutes: number) => courseOf(start, around, settling, minutes, reading);
    // What it rose in the cold is as every retard has it: its own bulk begins where it was moved.
    const inTheCold = known?.moved?.minute ?? 0;
    const already = warmed
      ? -progressAlong(fermentation, along(Math.max(1, inTheCold)), inTheCold)
      : (risen[phase] ?? 0);
    if (route.rise?.decides) done = riseUntil(done, fermentation, rise, along(LONGEST_RISE), already);
    else if (moved) done = soonerThere(done, fermentation, rise, along(LONGEST_RISE), already);
    const length = known?.minutes ?? done.target;
    const now = already + progressAlong(fermentation, along(Math.max(1, length)), length);
    // In minutes of the undosed rise: what a verdict on it teaches. Of what should have stayed cold nothing is learnt.
    if (!warmed) {
      risen[phase] = now;
      done.risen = { phase, before: already * rise.minutes, after: now * rise.minutes };
    }
  }
  if (known?.stretched !== undefined) done = stretched(done, known.stretched);
  if (known?.judged && route.rise) done = judgedOnTheSpot(done, known.judged);
  if (known?.atLeast !== undefined && known.atLeast > done.min) done = atLeast(done, known.atLeast);
  const length = known?.minutes ?? done.target;
  // Where the dough was measured it goes on from there, and not from where it was reckoned to be.
  const [from, since] = reading ? [reading.celsius, reading.minute] : [route.gives ?? start, 0];
  const celsius =
    route.gives !== undefined && !reading
      ? route.gives
      : around + (from - around) * Math.exp(-Math.max(0, length - since) / settling);
  return { done, after: { celsius, risen } };
}

/**
 * The last temperature that is known of a dough: measured, or reckoned for the moment when it was put somewhere else, from
 * what was around it until then.
 */
function readingOf(known: KnownStep | undefined, start: number, settling: number): KnownStep['reading'] {
  const { reading, moved } = known ?? {};
  if (!moved || (reading && reading.minute >= moved.minute)) return reading;
  const from = reading ?? { minute: 0, celsius: start };
  const left = Math.exp(-(moved.minute - from.minute) / settling);
  return { minute: moved.minute, celsius: moved.before + (from.celsius - moved.before) * left };
}

/** The dough's own temperature during a step: from its start, or through what was measured, towards what is around it. */
function courseOf(
  start: number,
  around: number,
  settling: number,
  minutes: number,
  reading?: { minute: number; celsius: number },
): Profile {
  if (!reading) return approach(start, around, settling, minutes);
  const after = approach(
    reading.celsius,
    around,
    settling,
    Math.max(1, minutes - reading.minute),
    reading.minute,
  );
  return reading.minute > 0 ? [{ minute: 0, celsius: start }, ...after] : after;
}

function modeOf({ step }: DoughStep, kind: PlaceKind = 'fridge'): FirstMode | null {
  if (!step.piece) return null;
  const film = meanFilm(kind, step.piece.lying);
  return firstMode(step.piece, step.branch === 'butter' ? BUTTER : DOUGH, film, step.around);
}

/** A rise that was not ready is looked at again after so long: a share of what it has had, at least some minutes. */
const NEXT_LOOK = { share: 0.12, least: 10 };

/** How soon hands can be found for what is over, minutes. */
const AT_ONCE = 15;

/**
 * What a look says goes before what was reckoned. Ready: it may end now, and keeps as long as it would have. Not yet: it is
 * as much slower as it was reckoned to be ready by now. Over: it has to end
 * as soon as hands are free.
 */
function judgedOnTheSpot(step: DoughStep, { minutes, verdict }: NonNullable<KnownStep['judged']>): DoughStep {
  const now = Math.max(1, Math.round(minutes));
  if (verdict === 'over') return { ...step, min: Math.min(step.min, now), target: now, max: now + AT_ONCE };
  if (verdict === 'right') {
    const max = Math.max(now, now + step.max - step.target);
    return { ...step, min: Math.min(step.min, now), target: now, max };
  }
  const least = now + Math.max(NEXT_LOOK.least, Math.round(NEXT_LOOK.share * now));
  if (step.min >= least) return step;
  const slower = least / step.min;
  const [target, max] = [Math.round(step.target * slower), Math.round(step.max * slower)];
  return { ...step, min: least, target: Math.max(least, target), max: Math.max(least, max) };
}

/** A bake in an oven that is known to take longer or shorter than written. */
function stretched(step: DoughStep, by: number): DoughStep {
  const [min, target, max] = [step.min, step.target, step.max].map((minutes) => Math.round(minutes * by)) as [
    number,
    number,
    number,
  ];
  return { ...step, min, target, max };
}

/** A wait cannot be shorter than `minutes`; best and longest give way where they must. */
function atLeast(step: DoughStep, minutes: number): DoughStep {
  const min = Math.ceil(minutes);
  return { ...step, min, target: Math.max(step.target, min), max: Math.max(step.max, min) };
}

/** From the temperature that is known last, measured or reckoned. */
function restUntil(
  step: DoughStep,
  mode: FirstMode,
  from: NonNullable<KnownStep['reading']>,
  until: number,
): DoughStep {
  const more = minutesToCore(mode, from.celsius, step.around, until);
  const minutes = more === null ? null : from.minute + more;
  if (minutes === null) {
    return {
      ...step,
      never: true,
      remark: `At ${round(step.around)} °C the core does not come to ${round(until)} °C.`,
    };
  }
  return minutes > step.min ? atLeast(step, minutes) : step;
}

function riseUntil(
  step: DoughStep,
  fermentation: Fermentation,
  { early, late }: Rise,
  profile: Profile,
  already: number,
): DoughStep {
  const at = (progress: number) => minuteReached(fermentation, profile, progress, already, LONGEST_RISE);
  const [min, target, max] = [at(early), at(1), at(late)];
  if (target === null || min === null) {
    return {
      ...step,
      never: true,
      remark: `At ${round(step.around)} °C it does not rise within ${duration(LONGEST_RISE)}.`,
    };
  }
  const best = Math.max(1, Math.round(target));
  return {
    ...step,
    min: Math.max(1, Math.min(best, Math.round(min))),
    target: best,
    max: Math.max(best, Math.round(max ?? LONGEST_RISE)),
    ...(target === 0 ? { remark: 'It has risen already in the waits before.' } : {}),
  };
}

/** A wait that was put somewhere warm: it is over when the rise is, where that comes before the wait's own time. */
function soonerThere(
  step: DoughStep,
  ...how: Parameters<typeof riseUntil> extends [unknown, ...infer R] ? R : never
): DoughStep {
  const risen = riseUntil(step, ...how);
  return !risen.never && risen.target < step.target
    ? { ...risen, min: Math.min(risen.min, risen.target) }
    : step;
}

const round = (celsius: number) => Math.round(celsius * 10) / 10;

/** Steps whose window moved by more than `minutes` from one settling to the next. */
export function movedWindows(before: ExpandedDough, after: ExpandedDough, minutes: number): string[] {
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
