import { newBranch, newStep, type SayWords } from '../process/named-step';
import { OWN_KINDS, type OwnKind } from '../process/new-step';
import type { RouteStep, StepKind } from '../process/route';
import { addBranch, addStep, type Thread } from '../process/threads';
import type { Range, RecipeBake, RecipeReading, RecipeStep } from './reading';

/** What the house adds to a recipe that does not say it. */
export type Assumed = 'divide' | 'load' | 'bakeTime' | 'windows' | 'shape' | 'mix';

/** Threads of a recipe's dough and of its pieces, and what was added to what the text says. */
export interface RecipeThreads {
  dough: Thread[];
  output: Thread[];
  assumed: Assumed[];
}

/** Where a wait is given as one time, it may be so much shorter and longer: no night is to the minute. */
const GIVE = { shorter: 0.8, longer: 1.3 };
/** A proof at least so warm is in a proofer, °C; a cooler one stands in the room. */
const PROOFER_FROM = 24;
const FAN = 20;
/** Parts of a scheme: between the first and the last of them the scheme has its own steps. */
const LAMINATION: readonly StepKind[] = ['butter', 'temper', 'lock-in', 'turn'];

/** The steps of a recipe as a product's threads. Steps that the house names itself get their usual values for what is not said. */
export function recipeThreads({ text, steps, bake }: RecipeReading, say: SayWords): RecipeThreads {
  const assumed: Assumed[] = [];
  const { main, preferments, filling } = withoutBranches(withoutLamination(steps));
  const fork = forkOf(main);
  const dough = main.slice(0, fork);
  const output = main.slice(fork);
  if (!dough.some(({ kind }) => kind === 'mix')) {
    dough.unshift(bare('mix'));
    assumed.push('mix');
  }
  const last = dough.at(-1)?.kind;
  if (last !== 'sheet' && last !== 'divide') {
    dough.push(bare('divide'));
    assumed.push('divide');
  }
  if (!output.some(({ kind }) => kind === 'bake')) {
    const at = output.findIndex(({ kind }) => kind === 'cool' || kind === 'finish');
    output.splice(at < 0 ? output.length : at, 0, bare('bake'));
  }
  output.splice(
    output.findIndex(({ kind }) => kind === 'bake'),
    0,
    bare('load'),
  );
  assumed.push('load');
  if (!bake.some(({ minutes }) => minutes)) assumed.push('bakeTime');
  if (main.some(({ minutes, kind }) => minutes && minutes[0] === minutes[1] && isWait(kind)))
    assumed.push('windows');
  const made = { text, begins: steps.map(({ from }) => from), bake, say };
  const whole = threadOf(carried(dough, output[0] ?? null), { ...made, beside: [] });
  const threads = {
    dough: whole,
    output: threadOf(carried(output, null), { ...made, beside: whole }),
  };
  const mix = threads.dough[0]?.steps.find(({ step }) => step.kind === 'mix')?.step.id ?? '';
  for (const one of preferments) {
    const branch = newBranch(
      one.kind === 'levain' ? 'levain' : 'sponge',
      [...threads.dough, ...threads.output],
      say,
    );
    const wait = branch.steps.at(-1);
    if (wait) Object.assign(wait, waitOf(wait, one));
    threads.dough = addBranch(threads.dough, mix, branch);
  }
  const first = threads.output[0]?.steps[0]?.step.id;
  if (filling && first)
    threads.output = addBranch(
      threads.output,
      first,
      newBranch('filling', [...threads.dough, ...threads.output], say),
    );
  return { ...threads, assumed };
}

const bare = (kind: StepKind): RecipeStep => ({ kind, from: 0, to: 0 });
const isOwn = (kind: StepKind): kind is OwnKind => (OWN_KINDS as readonly StepKind[]).includes(kind);
const isWait = (kind: StepKind) =>
  ['bulk', 'rest', 'retard', 'proof', 'thaw', 'freeze', 'cool'].includes(kind);

/** Lamination as its one step: what lies between its first and last part is the scheme's. */
function withoutLamination(steps: readonly RecipeStep[]): RecipeStep[] {
  const first = steps.findIndex(({ kind }) => LAMINATION.includes(kind));
  let last = steps.findLastIndex(({ kind }) => LAMINATION.includes(kind));
  if (first < 0 || !steps.some(({ kind }) => kind === 'turn'))
    return steps.filter(({ kind }) => !LAMINATION.includes(kind));
  while (steps[last + 1]?.kind === 'rest') last++;
  return [...steps.slice(0, first), bare('laminate'), ...steps.slice(last + 1)];
}

/** The main thread, and what is made beside it: what ripens before the mix, and a filling that is cooked before it is needed. */
function withoutBranches(steps: readonly RecipeStep[]) {
  const isPreferment = ({ kind }: RecipeStep) => kind === 'levain' || kind === 'sponge';
  const sheet = steps.findIndex(({ kind }) => kind === 'sheet' || kind === 'divide' || kind === 'shape');
  const isMade = (step: RecipeStep, at: number) => step.kind === 'filling' && (at < sheet || sheet < 0);
  return {
    preferments: steps.filter(isPreferment),
    filling: steps.some(isMade),
    main: steps.filter((step, at) => !isPreferment(step) && !isMade(step, at) && isOwn(step.kind)),
  };
}

/** How many of the steps are of the whole dough: up to where it is cut or divided. */
function forkOf(steps: readonly RecipeStep[]): number {
  const cut = steps.findLastIndex(({ kind }) => kind === 'sheet' || kind === 'divide');
  const shape = steps.findIndex(({ kind }) => kind === 'shape' || kind === 'proof' || kind === 'bake');
  if (cut >= 0 && (shape < 0 || cut < shape)) return cut + 1;
  return shape < 0 ? steps.length : shape;
}

interface Making {
  text: string;
  /** Where a step of the text begins. */
  begins: readonly number[];
  bake: readonly RecipeBake[];
  say: SayWords;
  /** Threads whose steps have names already. */
  beside: readonly Thread[];
}

/** Steps with somebody who carries the dough from one wait to the next, and ends the last. */
function carried(steps: readonly RecipeStep[], beyond: RecipeStep | null): RecipeStep[] {
  return steps.flatMap((step, at) => {
    const next = steps[at + 1] ?? beyond;
    if (!isWait(step.kind)) return [step];
    if (!next) return [step, bare('finish')];
    return isWait(next.kind) ? [step, bare('move')] : [step];
  });
}

function threadOf(steps: readonly RecipeStep[], { beside, ...making }: Making): Thread[] {
  const isBake = ({ kind }: RecipeStep) => kind === 'bake';
  // Phases of a bake are one step.
  const once = steps.filter((step, at) => !isBake(step) || steps.findIndex(isBake) === at);
  return once.reduceRight<Thread[]>(
    (threads, own) => addStep(threads, null, stepOf(own, { ...making, beside: [...beside, ...threads] })),
    [{ steps: [], joins: null }],
  );
}

/** Words of a recipe that are kept with a step, at most. */
const LONGEST_METHOD = 600;

/**
 * What the text says of a step, in its own words: from where it begins to where the next one does, or its paragraph ends.
 * Nothing where the house has added the step.
 */
function methodOf({ from, to }: RecipeStep, { text, begins }: Making): Pick<RouteStep, 'method'> {
  if (to <= from) return {};
  const next = Math.max(to, Math.min(text.length, ...begins.filter((at) => at > from)));
  const [paragraph = ''] = text.slice(from, next).split(/\n\s*\n/);
  const said = paragraph.replace(/\s+/g, ' ').trim();
  return said === '' ? {} : { method: said.slice(0, LONGEST_METHOD) };
}

function stepOf(own: RecipeStep, making: Making): RouteStep {
  const { bake, say, beside } = making;
  const step = { ...newStep(own.kind as OwnKind, beside, say), ...methodOf(own, making) };
  if (own.kind === 'bake') return { ...step, ...bakeOf(step, bake) };
  if (step.wait) return { ...step, ...waitOf(step, own) };
  if (step.work && own.minutes) return { ...step, work: { ...step.work, fixed: own.minutes[0] + HANDLING } };
  return step;
}

/** To weigh, scrape and lift beside the minutes of a machine. */
const HANDLING = 4;

function waitOf(step: RouteStep, { kind, minutes, celsius, isCold }: RecipeStep): Partial<RouteStep> {
  const wait = step.wait && minutes ? { wait: { ...step.wait, ...windowOf(minutes) } } : {};
  const around = celsius ? { around: (celsius[0] + celsius[1]) / 2 } : {};
  if (isCold === true && kind === 'rest')
    return { ...wait, ...IN_FRIDGE, ...(celsius && celsius[0] < 0 ? IN_FREEZER : {}), ...around };
  if (kind === 'proof' && celsius) {
    const at = (celsius[0] + celsius[1]) / 2;
    if (isCold) return { ...wait, ...IN_FRIDGE, ...around };
    return at < PROOFER_FROM
      ? { ...wait, ...around, place: 'room', holds: [] }
      : { ...wait, ...around, holds: [{ machine: 'proofer', amount: 1, per: 'tray', setting: at }] };
  }
  return { ...wait, ...around };
}

const IN_FRIDGE: Partial<RouteStep> = {
  ...{ around: 4, settling: 110, place: 'retarder' },
  holds: [{ machine: 'retarder', amount: 0.12, per: 'kg' }],
};
const IN_FREEZER: Partial<RouteStep> = {
  ...{ around: -18, settling: 60, place: 'freezer' },
  holds: [{ machine: 'freezer', amount: 0.12, per: 'kg' }],
};

/** The window of a wait: as the text gives it, or with some give around its one time. */
function windowOf([low, high]: Range): { shortest: number; best: number; longest: number } {
  if (high > low)
    return { shortest: Math.round(low), best: Math.round((low + high) / 2), longest: Math.round(high) };
  return {
    shortest: Math.round(low * GIVE.shorter),
    best: Math.round(low),
    longest: Math.round(low * GIVE.longer),
  };
}

/** Phases with what a fan does taken into account; without a temperature or time the usual one. */
function bakeOf(step: RouteStep, bake: readonly RecipeBake[]): Partial<RouteStep> {
  const said = bake.filter(({ minutes }) => minutes !== null);
  if (said.length === 0) return {};
  const program = said.map(({ celsius, minutes, isFan, steam, vent }) => ({
    celsius: (celsius ?? step.around) + (isFan && celsius !== null ? FAN : 0),
    minutes: Math.round(minutes?.[0] ?? 0),
    ...(steam ? { steam } : {}),
    ...(vent ? { vent } : {}),
  }));
  const least = program.reduce((sum, phase) => sum + phase.minutes, 0);
  const more = said.reduce((sum, { minutes }) => sum + (minutes ? minutes[1] - minutes[0] : 0), 0);
  const setting = program.at(-1)?.celsius ?? step.around;
  return {
    program,
    around: setting,
    ...(step.wait
      ? { wait: { ...step.wait, shortest: least, best: least, longest: least + Math.round(more) } }
      : {}),
    holds: [{ machine: 'oven', amount: 1, per: 'tray', setting }],
  };
}
