import { decksFor, type OvenDecks } from '../bakery/decks';
import type { DoughForecast, StepForecast } from '../forecast/forecast';
import type { DoughRecord } from '../record/dough';
import type { EventBody } from '../record/events';
import type { FaultId } from '../record/marks';
import { isHandsOn } from '../record/state';
import { blocksLeft } from '../record/turns';
import { bakeBefore } from '../shopfloor/rack';
import type { OvenLoad } from '../shopfloor/oven-loads';
import type { Instant } from '../time/local';
import { type HiddenDough, type TruthOf, truthIn } from './dough-truth';
import { SKIN } from './drying';
import { relaxedIn, SPRINGS } from './relaxed';
import { countOf, marksOf, thermometer, verdictOn, weightOf } from './senses';

/** What somebody taps on a tablet about a step. */
export interface Tap {
  doughId: number;
  stepKey: string;
  body: EventBody;
}

/** A step of a dough, with all that its taps follow from. */
export interface Work {
  record: DoughRecord;
  dough: DoughForecast;
  step: StepForecast;
  hidden: HiddenDough;
  airOf: TruthOf['airOf'];
  humidityOf?: TruthOf['humidityOf'];
  seed: number;
}

/** Divided pieces that are put on the scale together. */
const WEIGHED = 5;
/** A proof that nobody has said anything of is ready in this part of its rise. */
const USUAL = { early: 0.85, late: 1.2 };

const of = ({ dough, step }: Work, body: EventBody, stepKey = step.key): Tap => ({
  doughId: dough.id,
  stepKey,
  body,
});

const about = ({ dough, step }: Work) => `dough ${dough.id}, ${step.key}`;

const stepOf = (dough: DoughForecast, key: string) => dough.steps.find((step) => step.key === key);

/** The waits that the start of a step ends. */
const waitsBefore = ({ dough, step }: Pick<Work, 'dough' | 'step'>): StepForecast[] =>
  dough.links
    .filter(({ to }) => to === step.key)
    .flatMap(({ from }) => stepOf(dough, from) ?? [])
    .filter((wait) => !isHandsOn(wait) && wait.status === 'running');

/** How a dough is at a moment of a step, and in what part of its rise it is ready. */
function risenIn(work: Work, wait: StepForecast, now: Instant) {
  const { record, dough, hidden, airOf, humidityOf } = work;
  const truth = truthIn({ dough: record, state: dough.state, hidden, airOf, humidityOf }, wait.key, now);
  const phase = wait.step.rise?.phase;
  const output = record.outputs.find(({ id }) => id === wait.outputId);
  const rise = phase ? (output?.rises?.[phase] ?? record.rises?.[phase]) : undefined;
  const { early, late } = rise ?? USUAL;
  return { ...truth, early, late };
}

/** Minutes after which a dough that springs back is pressed again. */
const PRESSED_AGAIN = 10;

/** A finger in a dough that is to be rolled: where it springs back it is left; where it does not, nobody writes it down. */
function pressed(work: Work, now: Instant): Tap[] {
  if (!ROLLED.includes(work.step.step.kind)) return [];
  return waitsBefore(work).flatMap((rest) => {
    if (rest.step.kind !== 'rest' || relaxedIn(work.hidden, rest, now) >= SPRINGS) return [];
    const data = { kind: 'checked', check: 'spring', answer: 'springs', minutes: PRESSED_AGAIN } as const;
    return [of(work, { kind: 'check', data }, rest.key)];
  });
}

const ROLLED: readonly string[] = ['turn', 'sheet'];

/**
 * What is looked at before a step is begun: how the rise that it ends looks, whether what was set ripens, and whether what is to
 * be rolled has relaxed. An answer of "not yet" is a reason to leave it.
 */
export function looks(work: Work, now: Instant): { taps: Tap[]; ready: boolean } {
  const taps = waitsBefore(work).flatMap((wait): Tap[] => {
    const { risen, early, late } = risenIn(work, wait, now);
    if (risen === null || !wait.step.rise?.decides) return [];
    const state = work.dough.state.steps.get(wait.key);
    const nth = `${about(work)}, ${wait.key}, look ${state?.verdict ? 2 : 1}`;
    const verdict = verdictOn(risen, { early, late }, nth, work.seed);
    if (wait.step.alive) {
      const isRipe = verdict !== 'under';
      const answer = isRipe ? { answer: 'ready' as const } : { answer: 'wait' as const, minutes: 15 };
      return [of(work, { kind: 'alive', data: { kind: 'alive', ...answer, sign: null } }, wait.key)];
    }
    return [of(work, { kind: 'verdict', data: { kind: 'verdict', verdict } }, wait.key)];
  });
  const springs = pressed(work, now);
  const ready = taps.every(
    ({ body }) =>
      !(body.kind === 'verdict' && body.data.verdict === 'under') &&
      !(body.kind === 'alive' && body.data.answer === 'wait'),
  );
  return { taps: [...taps, ...springs], ready: ready && springs.length === 0 };
}

/**
 * What is tapped when a step is begun. A load is put onto the decks that are free.
 *
 * @param claimed - decks that others put a load onto at this very moment, by oven
 */
export function beginTaps(
  work: Work,
  decks: OvenDecks,
  inside: readonly OvenLoad[],
  claimed: ReadonlyMap<string, readonly number[]> = new Map(),
): Tap[] {
  const { dough, step } = work;
  const start = of(work, { kind: 'start' });
  if (step.step.kind !== 'load') return [start];
  const next = dough.links.find(({ from }) => from === step.key)?.to;
  const bake = next === undefined ? undefined : stepOf(dough, next);
  const use = bake?.uses.find(({ setting }) => setting !== undefined);
  const oven = use && decks[use.resource];
  if (!bake || !use || !oven) return [start];
  const taken = [
    ...(claimed.get(use.resource) ?? []),
    ...inside
      .filter((load) => load.oven === use.resource)
      .flatMap((load) => load.dough.state.steps.get(load.step.key)?.decks ?? []),
  ];
  const free = decksFor(use.amount, taken, oven);
  if (free.some((deck) => taken.includes(deck))) return [start];
  const data = { kind: 'decks' as const, oven: use.resource, decks: free };
  return [of(work, { kind: 'deck', data }, bake.key), start];
}

/** What is tapped when hands-on work is done: what was measured and counted of it, and that it is over. */
export function doneTaps(work: Work, now: Instant): Tap[] {
  const { dough, step, record, seed } = work;
  const { kind, turn } = step.step;
  const finish = of(work, { kind: 'finish' });
  if (turn !== undefined && (dough.lamination?.blocks ?? 1) > 1) return turnTaps(work, turn);
  if (kind === 'mix' && step.step.gives !== undefined && step.step.branch === undefined) {
    const { celsius } = risenIn(work, step, now);
    return [of(work, { kind: 'temperature', celsius: thermometer(celsius, about(work), seed) }), finish];
  }
  const output = record.outputs.find(({ id }) => id === step.outputId);
  if (kind === 'divide' && output) {
    const grams = weightOf(WEIGHED, output.piece.grams, about(work), seed);
    return [of(work, { kind: 'weigh', data: { kind: 'pieces', count: WEIGHED, grams } }), finish];
  }
  const bake = kind === 'finish' ? bakeBefore(dough, step) : null;
  return bake?.load ? [...countTaps(work, bake), ...markTaps(work, bake), finish] : [finish];
}

/** The turn of each block, one after the other; the last one ends it. */
function turnTaps(work: Work, turn: number): Tap[] {
  const { dough, step } = work;
  const left = blocksLeft(dough, { turn, blocks: dough.lamination?.blocks ?? 1 });
  const fold = step.step.given?.fold;
  if (left.length === 0) return [of(work, { kind: 'finish' })];
  return left.map((block, i) =>
    of(work, {
      kind: 'turn',
      data: { kind: 'turned', block, folds: fold ? [fold] : [], covers: 0, ends: i === left.length - 1 },
    }),
  );
}

/** How far a load's proof had come when it went in; null where it rose in none. */
function proofOf(work: Work, bake: StepForecast) {
  const proof = work.dough.steps.findLast(
    ({ step, outputId, load }) =>
      step.kind === 'proof' && outputId === bake.outputId && load?.nth === bake.load?.nth,
  );
  return proof ? risenIn(work, proof, proof.end) : { ...USUAL, risen: null, dried: 0 };
}

/** What is said of an output when its last load is racked: marks by how it rose, and the faults that that shows as. */
function markTaps(work: Work, bake: StepForecast): Tap[] {
  const { record, step, seed, dough } = work;
  if (record.steps.findLast(({ outputId }) => outputId === step.outputId)?.key !== step.key) return [];
  const { risen, early, late, dried } = proofOf(work, bake);
  const pool = dough.lamination !== null && risen !== null && risen < early;
  const rise: FaultId[] = risen !== null && risen > late ? ['flat'] : pool ? ['butter-pool'] : [];
  const seen: FaultId[] = dried > SKIN ? [...rise, 'skin'] : rise;
  const marks = marksOf(risen, `${about(work)}, marks`, seed);
  return [of(work, { kind: 'marks', data: { kind: 'marked', marks, seen } })];
}

/** How many of a load came out well, unless somebody has counted them. */
function countTaps(work: Work, bake: StepForecast): Tap[] {
  const state = work.dough.state.steps.get(bake.key);
  if (!bake.load || state?.records.some(({ data }) => data.kind === 'counted')) return [];
  const data = countOf(bake.load.pieces, proofOf(work, bake), `${about(work)}, ${bake.key}`, work.seed);
  return [of(work, { kind: 'count', data }, bake.key)];
}

/** A thermometer in what waits: a cooked filling that has to be cold in time. */
export function measured(work: Work, now: Instant): Tap {
  const { celsius } = risenIn(work, work.step, now);
  return of(work, {
    kind: 'temperature',
    celsius: thermometer(celsius, `${about(work)} at ${now}`, work.seed),
  });
}

/** What is tapped when a bake comes out: its core, and that it is out. */
export function outOfOven(work: Work): Tap[] {
  const [low, high] = work.step.step.core ?? [93, 97];
  const celsius = thermometer((low + high) / 2, about(work), work.seed);
  return [of(work, { kind: 'temperature', celsius }), of(work, { kind: 'finish' })];
}
