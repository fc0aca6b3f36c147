import type { MachineKind } from '@/core/bakery/machines';
import type { PlaceKind } from '@/core/heat/places';
import type { Skill } from '@/core/bakery/people';
import type { Hold, RisePhase, RouteStep, StepKind } from '@/core/process/route';
import type { Gap, ThreadStep } from '@/core/process/threads';
import { parseMinutes, showMinutes } from '@/core/units/duration';
import { readMeasure } from '@/core/units/measure';
import { METRIC } from '@/core/units/reader';
import type { Say } from '@/words/say';
import { without } from '../kit/without';
import { typed, type TypedField, type useTypedForm } from '../kit/typed-form';

/** A phase of a bake as it is typed; `key` stays its own however many come and go before it. */
export interface PhaseText {
  key: number;
  celsius: string;
  minutes: string;
  steam: boolean;
  vent: boolean;
}

/** Steps of which it is asked how long they run at which speed. */
export const MIXED: readonly StepKind[] = ['mix', 'knead'];

/** What is chosen of a step, and what is typed in rows. */
export interface StepChoices {
  machine: MachineKind | '';
  per: 'once' | 'kg' | 'tray';
  place: PlaceKind | '';
  purpose: 'time' | 'core' | RisePhase;
  program: readonly PhaseText[];
  cools: boolean;
  skill: Skill | 'anybody' | '';
  optional: boolean;
  /** Machines that it may be on, the preferred first; none for any. */
  only: readonly string[];
}

/** The fields of a step. */
export const STEP_FIELDS = (say: Say) => {
  const optional = { isOptional: true };
  const minutes = { kind: 'minutes' as const };
  return {
    label: { kind: 'text', label: say('product.stepName') },
    gapFrom: { ...minutes, label: say('product.gapFrom') },
    gapTo: { ...minutes, ...optional, label: say('product.gapTo'), hint: say('product.anyTime') },
    fixed: { ...minutes, label: say('product.fixedMinutes') },
    perKg: { ...minutes, ...optional, label: say('product.perKg') },
    perPiece: { ...minutes, ...optional, label: say('product.perPieceMinutes') },
    people: { kind: 'number', label: say('product.people') },
    shortest: { ...minutes, label: say('product.shortest') },
    best: { ...minutes, label: say('product.best') },
    longest: { ...minutes, label: say('product.longest') },
    shortCost: { kind: 'number', label: say('product.shortCost'), hint: say('product.costHint') },
    longCost: { kind: 'number', label: say('product.longCost') },
    until: { kind: 'celsius', label: say('product.forCore') },
    amount: { kind: 'number', label: say('product.amount') },
    setting: { kind: 'celsius', ...optional, label: say('product.setting') },
    around: { kind: 'celsius', label: say('product.warmth') },
    gives: { kind: 'celsius', label: say('product.gives') },
    coreFrom: { kind: 'celsius', ...optional, label: say('product.coreFrom') },
    coreTo: { kind: 'celsius', ...optional, label: say('product.coreTo') },
    turnTrays: { ...minutes, ...optional, label: say('product.turnTrays'), hint: say('product.turnHint') },
    lookAt: { ...minutes, ...optional, label: say('product.lookAt') },
    speedSlow: { ...minutes, ...optional, label: say('product.speedSlow') },
    speedFast: { ...minutes, ...optional, label: say('product.speedFast') },
    strain: { kind: 'number', ...optional, label: say('product.strain') },
    method: { kind: 'text', label: say('product.method') },
    cover: { kind: 'text', label: say('product.cover') },
    check: { kind: 'text', label: say('product.check') },
    caution: { kind: 'text', label: say('product.caution') },
    signs: { kind: 'text', label: say('product.signs') },
  } satisfies Record<string, TypedField>;
};
type StepField = keyof ReturnType<typeof STEP_FIELDS>;

type Phase = NonNullable<RouteStep['program']>[number];

/** Phases as their rows begin. */
export const beginPhases = (program: readonly Phase[] = []): PhaseText[] =>
  program.map(({ celsius, minutes, steam = false, vent = false }, key) => ({
    ...{ key, celsius: typed(celsius, '°C'), minutes: showMinutes(minutes), steam, vent },
  }));

/** What a row of a phase says: NaN and null where it cannot be read. */
export const readPhase = ({ celsius, minutes }: Pick<PhaseText, 'celsius' | 'minutes'>) => ({
  celsius: readMeasure('celsius', celsius, METRIC),
  minutes: parseMinutes(minutes),
});

/** All phases; null where one cannot be read, whose row says so. */
function readPhases(program: readonly PhaseText[]): Phase[] | null {
  const phases: Phase[] = [];
  for (const row of program) {
    const { celsius, minutes } = readPhase(row);
    if (Number.isNaN(celsius) || minutes === null) return null;
    const { steam, vent } = row;
    phases.push({ celsius, minutes, ...(steam ? { steam } : {}), ...(vent ? { vent } : {}) });
  }
  return phases;
}

const minutesText = (minutes: number | undefined) => (minutes === undefined ? '' : showMinutes(minutes));
const words = (text: RouteStep['check']) => (typeof text === 'string' ? text : '');

/** A step as its fields begin. */
export function beginStep({ step, gap }: ThreadStep): Record<StepField, string> {
  const { work, wait, holds = [], core } = step;
  const [hold] = holds;
  return {
    ...{ label: words(step.label), gapFrom: showMinutes(gap.min), gapTo: minutesText(gap.max) },
    ...{ fixed: minutesText(work?.fixed), perKg: typed(work?.perKg), perPiece: typed(work?.perPiece) },
    people: typed(work?.people),
    ...{ shortest: minutesText(wait?.shortest), best: minutesText(wait?.best) },
    ...{
      longest: minutesText(wait?.longest),
      shortCost: typed(wait?.shortCost),
      longCost: typed(wait?.longCost),
    },
    ...{ until: typed(step.until ?? 7, '°C'), amount: typed(hold?.amount ?? 1) },
    ...{
      setting: typed(hold?.setting, '°C'),
      around: typed(step.around, '°C'),
      gives: typed(step.gives, '°C'),
    },
    ...{ coreFrom: typed(core?.[0], '°C'), coreTo: typed(core?.[1], '°C') },
    ...{ turnTrays: minutesText(step.turnTrays), lookAt: minutesText(step.lookAt) },
    ...{ speedSlow: minutesText(step.speeds?.slow), speedFast: minutesText(step.speeds?.fast) },
    ...{ strain: typed(step.strain), method: step.method ?? '' },
    ...{ cover: step.cover ?? '', check: words(step.check), caution: words(step.caution) },
    signs: step.alive?.signs.join('\n') ?? '',
  };
}

type StepForm = Pick<ReturnType<typeof useTypedForm<StepField>>, 'texts' | 'read'>;

/** The step as it was typed; null where a field cannot be read, which then says so. */
export function readStep(
  { step, gap }: ThreadStep,
  { texts, read }: StepForm,
  choices: StepChoices,
): ThreadStep | null {
  const gaps = read(['gapFrom', 'gapTo']);
  const work = step.work ? read(['fixed', 'perKg', 'perPiece', 'people']) : {};
  const wait = step.wait ? read(['shortest', 'best', 'longest', 'shortCost', 'longCost']) : {};
  const until = step.wait && choices.purpose === 'core' ? read(['until']) : {};
  const holds = choices.machine === '' ? {} : read(['amount', 'setting']);
  const heat = step.kind === 'laminate' ? {} : read(['around']);
  const gives = step.gives === undefined ? {} : read(['gives']);
  const core = step.kind === 'bake' ? read(['coreFrom', 'coreTo', 'turnTrays', 'lookAt']) : {};
  const hands = step.work ? read(['strain']) : {};
  const speeds = MIXED.includes(step.kind) ? read(['speedSlow', 'speedFast']) : {};
  const program = readPhases(choices.program);
  if (!gaps || !work || !wait || !until || !holds || !heat || !gives || !core || !program) return null;
  if (!hands || !speeds) return null;
  const numbers = {
    ...work,
    ...wait,
    ...until,
    ...holds,
    ...heat,
    ...gives,
    ...core,
    ...hands,
    ...speeds,
  } as Partial<Record<StepField, number>>;
  return { step: stepWith(step, { texts, numbers, choices, program }), gap: gapWith(gap, gaps) };
}

const gapWith = (before: Gap, { gapFrom, gapTo }: Partial<Record<StepField, number | undefined>>): Gap => ({
  min: gapFrom ?? before.min,
  ...(gapTo === undefined ? {} : { max: gapTo }),
});

interface Entered {
  texts: Record<StepField, string>;
  numbers: Partial<Record<StepField, number>>;
  choices: StepChoices;
  program: Phase[];
}

/** What the sheet says anew in full, so that what it leaves empty is gone. */
const REDONE = ['cover', 'check', 'caution', 'method', 'skill', 'strain', 'optional', 'speeds'] as const;

function stepWith(step: RouteStep, entered: Entered): RouteStep {
  const { texts, numbers } = entered;
  const { skill, optional } = entered.choices;
  const { speedSlow, speedFast, strain } = numbers;
  const said = (name: 'cover' | 'check' | 'caution' | 'method') =>
    texts[name].trim() === '' ? {} : { [name]: texts[name].trim() };
  return {
    ...without(withTimes(withPlace(step, entered), entered), ...REDONE),
    label: texts.label.trim(),
    ...said('method'),
    ...(skill === '' ? {} : { skill }),
    ...(strain === undefined ? {} : { strain }),
    ...(optional ? { optional } : {}),
    ...(speedSlow === undefined && speedFast === undefined
      ? {}
      : { speeds: { slow: speedSlow ?? 0, fast: speedFast ?? 0 } }),
    ...said('cover'),
    ...said('check'),
    ...said('caution'),
    ...(numbers.gives === undefined ? {} : { gives: numbers.gives }),
    ...(step.alive
      ? { alive: { ...step.alive, signs: texts.signs.split('\n').flatMap((line) => line.trim() || []) } }
      : {}),
  };
}

function withPlace(step: RouteStep, { numbers, choices: { machine, per, place, only } }: Entered): RouteStep {
  const { holds = [] } = step;
  const { amount = 1, setting } = numbers;
  const own: Hold[] =
    machine === ''
      ? []
      : [
          {
            ...{ machine, amount, per },
            ...(setting === undefined ? {} : { setting }),
            ...(only.length > 0 ? { only: [...only] } : {}),
          },
        ];
  const all = [...own, ...holds.slice(1)];
  return {
    ...without(step, 'holds', 'place'),
    ...(all.length > 0 ? { holds: all } : {}),
    ...(place === '' ? {} : { place }),
    around: numbers.around ?? step.around,
  };
}

function withTimes(step: RouteStep, { numbers, choices, program }: Entered): RouteStep {
  const { fixed = 0, perKg = 0, perPiece = 0, people = 1 } = numbers;
  const { shortest = 0, best = 0, longest = 0, shortCost = 0, longCost = 0 } = numbers;
  const { coreFrom, coreTo, turnTrays, lookAt } = numbers;
  return {
    ...without(step, 'until', 'rise', 'cools', 'core', 'program', 'turnTrays', 'lookAt'),
    ...(turnTrays === undefined ? {} : { turnTrays }),
    ...(lookAt === undefined ? {} : { lookAt }),
    ...(step.work ? { work: { fixed, perKg, perPiece, people } } : {}),
    ...(step.wait ? { wait: { shortest, best, longest, shortCost, longCost } } : {}),
    ...riseOf(step.rise, step, choices.purpose),
    ...(choices.purpose === 'core' && numbers.until !== undefined ? { until: numbers.until } : {}),
    ...(choices.cools ? { cools: true } : {}),
    ...(step.kind === 'bake' && program.length > 0 ? { program } : {}),
    ...(coreFrom === undefined ? {} : { core: [coreFrom, coreTo ?? coreFrom] as const }),
  };
}

/** Which rise a step has: the one that it waits for; otherwise the one that goes on meanwhile, as it was. */
function riseOf(
  rise: RouteStep['rise'],
  step: RouteStep,
  purpose: StepChoices['purpose'],
): Pick<RouteStep, 'rise'> {
  if (!step.wait) return rise ? { rise } : {};
  if (purpose !== 'time' && purpose !== 'core') return { rise: { phase: purpose, decides: true } };
  return rise ? { rise: { phase: rise.phase } } : {};
}
