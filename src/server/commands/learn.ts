import type { PoolConnection } from 'mysql2/promise';
import { mixerOf } from '@/core/process/on-machines';
import { type DoughRecord, stateOf } from '@/core/record/dough';
import { ovenOf } from '@/core/forecast/observation';
import { forecastDough, type StepForecast } from '@/core/forecast/forecast';
import type { Verdict } from '@/core/learning/verdicts';
import type { FloorEvent } from '@/core/record/events';
import { effectiveEvents } from '@/core/record/undo';
import type { Lesson } from '@/core/wire/lesson';
import { ingredientBook } from '@/core/formula/ingredient';
import { lessonOf, mixingOf } from '@/core/heat/mixing';
import { bakeRatio } from '@/core/learning/bakes';
import { MINUTE } from '@/core/time/local';
import { isFar } from '@/core/learning/readings';
import { deckSubject } from '../store/decks';
import { conditions } from '../store/conditions';
import { doughById, type DoughToCheck } from '../store/doughs';
import { type EvidenceKind, mixSubject, referenceSubject } from '../store/evidence';
import { mixSheet } from '../store/mix';
import { coded } from '@/core/codes/coded';
import { insertEvidence, productOfDough, setUndone } from '../store/evidence-log';

/** Keeps what an event teaches: a verdict the reference time of its rise, a dough temperature the rise of its mix. */
export async function learnFrom(
  db: PoolConnection,
  known: DoughToCheck,
  event: FloorEvent,
): Promise<Lesson | null> {
  const step = known.steps.find(({ key }) => key === event.stepKey);
  if (event.kind === 'finish' && step?.step.kind === 'bake') await learnBake(db, known, event);
  const seen = verdictOf(event);
  const teaches = seen !== null || (event.kind === 'temperature' && step?.step.kind === 'mix');
  // Only what teaches the product or the mixer needs all that is known of the dough.
  const dough = teaches ? await doughById(db, known.id) : null;
  if (!dough) return null;
  return seen !== null ? learnReference(db, dough, event, seen) : learnMixing(db, dough, event);
}

/** What a look says of a rise: a verdict says it, and a levain or sponge that is ready, or not yet; null for anything else. */
function verdictOf(event: FloorEvent): Verdict | null {
  if (event.kind === 'verdict') return event.data.verdict;
  if (event.kind !== 'alive') return null;
  return event.data.answer === 'ready' ? 'right' : event.data.answer === 'wait' ? 'under' : null;
}

/**
 * Takes evidence back with the events that taught it, and in again where the undo itself was undone: what counts is what
 * counts of the dough's log.
 */
export async function unlearn(db: PoolConnection, dough: DoughToCheck, undo: FloorEvent): Promise<void> {
  const counting = effectiveEvents([...dough.events, undo]).map(({ id }) => id);
  await setUndone(db, dough.id, counting);
}

async function learnReference(
  db: PoolConnection,
  dough: DoughRecord,
  event: FloorEvent,
  verdict: Verdict,
): Promise<Lesson | null> {
  // The wait as it is now: what has risen up to this verdict, without what verdicts on it say themselves.
  const key = event.stepKey ?? '';
  const isLook = ({ kind, stepKey }: FloorEvent) => stepKey === key && ['verdict', 'alive'].includes(kind);
  const unjudged = dough.events.filter((one) => !isLook(one) || isAnew(one));
  const today = await conditions(db, event.at);
  const ended = forecastDough({ ...dough, events: unjudged }, today, event.at, { key, at: event.at });
  const step = ended.steps.find((one) => one.key === key);
  if (!step?.risen || step.risen.after <= 0) return null;
  const row = await productOfDough(db, dough.id, step.outputId);
  if (!row) return null;
  const subject = referenceSubject(row.productId, step.risen.phase);
  const rises =
    step.outputId === null ? dough.rises : dough.outputs.find(({ id }) => id === step.outputId)?.rises;
  const isLevain = rises?.[step.risen.phase]?.yeast === 'levain';
  const evidenceId = await keep(db, event, {
    ...{ kind: 'reference', subject, value: step.risen.after, verdict },
    ...(isLevain
      ? { taken: { minutes: (event.at - step.start) / MINUTE, celsius: meanCelsius(step, event.at) } }
      : {}),
  });
  return { evidenceId, question: null };
}

/** Begun anew, a levain counts from then: that look stays. */
const isAnew = ({ kind, data }: FloorEvent) =>
  kind === 'alive' && data.answer !== 'ready' && data.answer !== 'wait';

/** The mean temperature of a dough during a step until a moment, °C: it goes towards what is around it. */
function meanCelsius({ start, celsius, around, settling }: StepForecast, until: number): number {
  const lasted = Math.max(1, (until - start) / MINUTE);
  return around + ((celsius.start - around) * settling * (1 - Math.exp(-lasted / settling))) / lasted;
}

/** What a bake took against what is written teaches the oven, and each deck that it was on. */
async function learnBake(db: PoolConnection, dough: DoughToCheck, event: FloorEvent): Promise<void> {
  const step = dough.steps.find(({ key }) => key === event.stepKey);
  const state = stateOf(dough).steps.get(event.stepKey ?? '');
  const written = step?.step.wait?.best;
  if (!step || !state || state.startedAt === null || state.status !== 'running' || written === undefined)
    return;
  const ratio = bakeRatio((event.at - state.startedAt) / MINUTE, written);
  if (ratio === null) return;
  const oven = ovenOf(step, state);
  if (oven === undefined) return;
  for (const subject of [oven, ...(state.decks ?? []).map((deck) => deckSubject(oven, deck))])
    await keep(db, event, { kind: 'bake', subject, value: ratio });
}

async function learnMixing(
  db: PoolConnection,
  dough: DoughRecord,
  event: FloorEvent,
): Promise<Lesson | null> {
  const told = stateOf(dough).steps.get(event.stepKey ?? '')?.conditions;
  const sheet = await mixSheet(db, dough);
  if (!told || !sheet || event.celsius === null) return null;
  const at = { ...sheet.temperatures, flour: told.flour, room: told.room };
  const target = sheet.formula.formula.doughCelsius ?? event.celsius;
  const mixing = mixingOf(sheet.bowl.scaled, ingredientBook(sheet.ingredients), {
    at,
    target,
    rise: sheet.rise.mean,
  });
  if (!mixing) return null;
  const { rise, factor } = lessonOf(mixing, told.liquid, told.iceKg, event.celsius);
  const subject = mixSubject(mixerOf(dough.steps) ?? '', sheet.formula.formulaId);
  if (factor !== null) await keep(db, event, { kind: 'factor', subject, value: factor });
  const evidenceId = await keep(db, event, { kind: 'rise', subject, value: rise });
  const far = isFar(sheet.rise, rise, 1);
  return {
    evidenceId,
    question: far
      ? coded('bench.mixingWarmedItBy', {
          ...{ rise: { difference: rise }, expected: { difference: sheet.rise.mean } },
        })
      : null,
  };
}

/** One thing learnt: of what kind, about what, its value, and how it was judged where it was. */
interface Learning {
  kind: EvidenceKind;
  subject: string;
  value: number;
  verdict?: string | null;
  taken?: { minutes: number; celsius: number };
}

async function keep(
  db: PoolConnection,
  event: Pick<FloorEvent, 'id' | 'doughId' | 'at'>,
  { kind, subject, value, verdict = null, taken }: Learning,
): Promise<number> {
  const { id } = await insertEvidence(db, {
    eventId: event.id,
    kind,
    subject,
    value,
    verdict,
    taken: taken ?? null,
    doughId: event.doughId,
    at: event.at,
  });
  return id;
}
