import { BAKERS_YEAST, LEVAIN } from '../ferment/rate';
import { type Leg, alongLegs } from '../ferment/path';
import { progressAlong } from '../ferment/progress';
import type { DoughStep } from '../process/expand';
import { pathTo } from '../process/order';
import { pieceMode, settlingIn } from '../process/settling';
import type { Rise, RisePhase } from '../process/route';
import type { DoughRecord } from '../record/dough';
import { type DoughState, isHandsOn } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import { chanceOf } from './chance';
import { renewsSurface, waterLost } from './drying';

/** What nobody in the bakery knows of a dough. */
export interface HiddenDough {
  /** How much faster than its formula says its yeast works; 1 as it says. */
  vigour: number;
  /** How much warmer than meant it came out of the mixer, °C. */
  warmer: number;
  /** How many times as long as usual it takes to relax after rolling: a stronger flour, a drier dough. */
  strength?: number;
  /** Minutes by which waits were longer than the record has them, by key: a tap that came late, or before its time. */
  longer?: Readonly<Record<string, number>>;
}

/** How much doughs of one bakery differ: flour, yeast, water and weather of the day. */
const SPREAD = { vigour: 0.07, warmer: 0.7, strength: 0.1 };

/** The hidden side of a dough by chance. */
export function hiddenOf(doughId: number, seed: number): HiddenDough {
  const chance = chanceOf(`dough ${doughId}`, seed);
  return {
    vigour: chance.factor(SPREAD.vigour),
    warmer: SPREAD.warmer * chance.normal(),
    strength: chance.factor(SPREAD.strength),
  };
}

/** How a dough, or a load of it, really is at a moment of one of its steps. */
export interface DoughTruth {
  /** Its mean, and how warm it is at its core and its surface. */
  celsius: number;
  core: number;
  surface: number;
  /** Share of the rise of this step's phase: 1 at its best; null where nothing rises in it. */
  risen: number | null;
  /** Water that its surface has lost since it was last worked, g/m². */
  dried: number;
}

/** What the truth of a dough follows from. */
export interface TruthOf {
  dough: DoughRecord;
  state: DoughState;
  hidden: HiddenDough;
  /**
   * What a place really had in the mean of a time, °C; undefined where it has no temperature of its own. `meant`: what the
   * step is meant to have around it, which a machine is set to.
   */
  airOf: (place: string, from: Instant, to: Instant, meant: number) => number | undefined;
  /** What humidity a place really had then, %; undefined where nobody could know. */
  humidityOf?: (place: string, from: Instant, to: Instant) => number | undefined;
}

/**
 * The truth of a dough in a step, along what was really done with it: mixed as warm as it was, it follows the air of each
 * place for as long as it was there, and rises by the rate of its yeast at the temperature that it really had.
 */
export function truthIn(of: TruthOf, key: string, now: Instant): DoughTruth {
  const { dough, state, hidden, airOf } = of;
  const path = pathTo(dough, key);
  const step = path.at(-1);
  const mixed = path.findLast(({ step: { gives } }) => gives !== undefined)?.step.gives ?? step?.around ?? 20;
  const phase = step?.step.rise?.phase;
  const rise = step && phase ? riseOf(dough, step, phase) : undefined;
  let celsius = mixed + hidden.warmer;
  let risen = 0;
  let dried = 0;
  for (const one of path) {
    if (renewsSurface(one.step.kind)) dried = 0;
    // The mixer gives it its temperature, whatever flour and water had.
    if (one.step.gives !== undefined) {
      celsius = one.step.gives + hidden.warmer;
      continue;
    }
    const legs = legsOf(one, { state, airOf, hidden }, now);
    if (legs.length === 0) continue;
    const profile = alongLegs(celsius, legs);
    if (rise && one.step.rise?.phase === phase)
      risen += progressAlong(fermentationOf(rise, hidden.vigour), profile);
    if (!isHandsOn(one)) dried += driedIn(one, of, now);
    celsius = profile.at(-1)?.celsius ?? celsius;
  }
  return {
    dried,
    celsius,
    ...depthOf(step, celsius, airAt(step, state, airOf, now)),
    risen: rise ? risen : null,
  };
}

/**
 * Water that the surface of a dough lost in a wait, g/m²: it has about what is around it, and loses none under cover. What its
 * product calls the cover of a proof is the proofer itself: pieces lie open in it.
 */
function driedIn(step: DoughStep, { state, airOf, humidityOf, hidden }: TruthOf, now: Instant): number {
  const own = state.steps.get(step.key);
  const isCovered = step.step.cover !== undefined && step.step.kind !== 'proof';
  if (isCovered || !own || own.startedAt === null || step.place === undefined) return 0;
  const covered = own.records.find(
    ({ data }) => data.kind === 'checked' && data.check === 'cover' && data.answer === 'uncovered',
  );
  const from = own.startedAt - (hidden.longer?.[step.key] ?? 0) * MINUTE;
  const to = Math.min(own.finishedAt ?? now, now, covered?.at ?? Infinity);
  const humidity = humidityOf?.(step.place, from, to);
  if (humidity === undefined || to <= from) return 0;
  const air = airOf(step.place, from, to, step.around) ?? step.around;
  return waterLost({ celsius: air, air, humidity, minutes: (to - from) / MINUTE });
}

/** Core and surface of a piece whose mean is known: some minutes after a change of place both go with it. */
function depthOf(
  step: DoughStep | undefined,
  celsius: number,
  air: number,
): { core: number; surface: number } {
  const mode = step && pieceMode(step);
  if (!mode || (step && isHandsOn(step))) return { core: celsius, surface: celsius };
  const at = (factor: number) => air + ((celsius - air) * factor) / mode.meanFactor;
  return { core: at(mode.coreFactor), surface: at(mode.surfaceFactor) };
}

/** What is around a dough now, °C. */
function airAt(
  step: DoughStep | undefined,
  state: DoughState,
  airOf: TruthOf['airOf'],
  now: Instant,
): number {
  if (!step) return 20;
  const place = state.steps.get(step.key)?.moved?.place ?? step.place;
  return (place === undefined ? undefined : airOf(place, now, now, step.around)) ?? step.around;
}

const fermentationOf = ({ yeast, celsius, minutes }: Rise, vigour: number) => ({
  ...{ cardinal: yeast === 'levain' ? LEVAIN : BAKERS_YEAST, celsius },
  minutes: minutes / vigour,
});

/** How the product of a step rises by its formula. */
function riseOf(dough: DoughRecord, { outputId }: DoughStep, phase: RisePhase): Rise | undefined {
  const own = outputId === null ? dough : dough.outputs.find(({ id }) => id === outputId);
  return own?.rises?.[phase] ?? dough.rises?.[phase];
}

/** Where a dough was during a step that has begun, and for how long: in parts, so that a place may change meanwhile. */
function legsOf(
  step: DoughStep,
  { state, airOf, hidden }: Pick<TruthOf, 'state' | 'airOf' | 'hidden'>,
  now: Instant,
): Leg[] {
  const own = state.steps.get(step.key);
  if (!own || own.startedAt === null || own.status === 'skipped') return [];
  const end = Math.min(own.finishedAt ?? now, now);
  const { moved } = own;
  const startedAt = own.startedAt - (hidden.longer?.[step.key] ?? 0) * MINUTE;
  // What is in somebody's hands hardly changes in the minutes for which it is.
  const settling = isHandsOn(step) ? Math.max(step.settling, IN_HAND) : settlingIn(step);
  const legs = (place: string | undefined, from: Instant, to: Instant): Leg[] => {
    const parts = Math.ceil((to - from) / (PART * MINUTE));
    const length = (to - from) / Math.max(1, parts);
    return Array.from({ length: Math.max(0, parts) }, (_, part) => {
      const begin = from + part * length;
      const air = place === undefined ? undefined : airOf(place, begin, begin + length, step.around);
      return { celsius: air ?? step.around, settling, minutes: length / MINUTE };
    });
  };
  if (!moved) return legs(step.place, startedAt, end);
  const at = Math.min(Math.max(moved.at, startedAt), end);
  return [...legs(step.place, startedAt, at), ...legs(moved.place, at, end)];
}

/** A place is taken to be the same for so many minutes. */
const PART = 20;
/** Minutes until a dough that is worked with has come two thirds of the way to the room. */
const IN_HAND = 45;
