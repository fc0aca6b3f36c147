import { DRY_TO_THE_TOUCH } from '../double/drying';
import { relaxedIn, SPRINGS } from '../double/relaxed';
import { thermometer, verdictOn } from '../double/senses';
import { type DoughTruth, truthIn } from '../double/dough-truth';
import type { DoughForecast, StepForecast } from '../forecast/forecast';
import type { Rise } from '../process/route';
import type { DoughRecord } from '../record/dough';
import type { EventBody } from '../record/events';
import type { Instant } from '../time/local';
import { type BakeTruth, bakeIn } from './bake-truth';
import { airIn, humidityIn } from './night';
import type { Found, NightDough, NightLook, NightRecord, Sense } from './night-record';
import type { Scene } from './scene';

/** A proof that its product says nothing of is ready in this part of its rise. */
export const USUAL: Pick<Rise, 'early' | 'late'> = { early: 0.85, late: 1.2 };
/** Butter that is colder snaps, that is warmer smears, °C. */
export const BENDS = { from: 11, to: 18 };

/** The doughs of a night with their forecasts, of those that have both. */
export const nightDough = (
  doughs: readonly DoughRecord[],
  forecasts: readonly DoughForecast[],
  id: number,
): NightDough | null => {
  const record = doughs.find((one) => one.id === id);
  const forecast = forecasts.find((one) => one.id === id);
  return record && forecast ? { record, forecast } : null;
};

/** How a dough really is in one of its steps. */
export const truthAt = (
  scene: Scene,
  { record, forecast }: NightDough,
  key: string,
  now: Instant,
): DoughTruth =>
  truthIn(
    {
      ...{ dough: record, state: forecast.state, airOf: airIn(scene), humidityOf: humidityIn(scene) },
      hidden: scene.hidden[record.id] ?? { vigour: 1, warmer: 0 },
    },
    key,
    now,
  );

/** How the product of a step rises in it; undefined where nothing rises. */
export function riseOf(record: DoughRecord, { step, outputId }: StepForecast): Rise | undefined {
  const phase = step.rise?.phase;
  if (!phase) return undefined;
  return record.outputs.find(({ id }) => id === outputId)?.rises?.[phase] ?? record.rises?.[phase];
}

/** With what a step can be looked at. */
export function sensesFor({ step }: StepForecast): Sense[] {
  if (step.rise || step.kind === 'bake') return ['eye', 'thermometer'];
  if (step.kind === 'rest' || step.kind === 'temper') return ['hand', 'thermometer'];
  return step.wait ? ['thermometer'] : [];
}

const COLOURS: Readonly<Record<'pale' | 'dark', number>> = { pale: 0.9, dark: 1.15 };

const colourOf = ({ heat }: BakeTruth) =>
  heat < COLOURS.pale ? 'pale' : heat > COLOURS.dark ? 'dark' : 'right';

/** Looks at a step that is under way: the same look at the same minute finds the same. */
export function lookAt(
  scene: Scene,
  dough: NightDough,
  { step, sense, at }: { step: StepForecast; sense: Sense; at: Instant },
): NightLook {
  const truth = truthAt(scene, dough, step.key, at);
  const about = `practice, dough ${dough.record.id}, ${step.key}, ${at}`;
  const look = (found: Found): NightLook => ({ at, doughId: dough.record.id, stepKey: step.key, found });
  if (sense === 'thermometer') {
    const core = step.step.kind === 'bake' ? bakeIn(scene, step, at).core : truth.core;
    return look({ sense, celsius: thermometer(core + scene.thermometer, about, scene.seed) });
  }
  if (sense === 'hand') {
    if (step.step.kind === 'temper')
      return look({
        ...{ sense, check: 'bend' },
        answer: truth.core < BENDS.from ? 'snaps' : truth.core > BENDS.to ? 'smears' : 'good',
      });
    const relaxed = relaxedIn(scene.hidden[dough.record.id] ?? {}, step, at);
    return look({ sense, check: 'spring', answer: relaxed < SPRINGS ? 'springs' : 'good' });
  }
  const rise = riseOf(dough.record, step);
  if (step.step.kind === 'bake' || !rise)
    return look({ sense, of: 'bake', colour: colourOf(bakeIn(scene, step, at)) });
  const verdict = verdictOn(truth.risen ?? 0, rise, about, scene.seed);
  const isDry = truth.dried > DRY_TO_THE_TOUCH;
  return look({ sense, of: 'rise', phase: step.step.rise?.phase ?? 'proof', verdict, isDry });
}

/**
 * What a look writes into the log by itself: a reading that was taken, a dough that was pressed, one that lay uncovered and is
 * covered from then on. How a rise looks is judged by whoever looks. */
export function bodyOf({ found }: NightLook): EventBody | null {
  if (found.sense === 'thermometer') return { kind: 'temperature', celsius: found.celsius };
  if (found.sense === 'hand')
    return {
      kind: 'check',
      data: {
        ...{ kind: 'checked', check: found.check, answer: found.answer },
        minutes: found.answer === 'good' ? 0 : LOOK_AGAIN,
      },
    };
  if (found.of === 'rise' && found.isDry)
    return { kind: 'check', data: { kind: 'checked', check: 'cover', answer: 'uncovered', minutes: 0 } };
  return null;
}

/** Minutes after which a dough that springs, or butter that does not bend, is looked at again. */
const LOOK_AGAIN = 10;

/** Puts a look, and what it writes, into a night. */
export function withLook(record: NightRecord, look: NightLook): NightRecord {
  return { ...record, looks: [...record.looks, look] };
}
