import { coded, type Words } from '../codes/coded';
import { type Scheme, schemeFault, USUAL_TEMPER } from '../lamination/scheme';
import type { PieceSpec, ProductRoute, Rise, RisePhase, RouteStep } from '../process/route';
import { CAUSE_WORDS } from './cause-words';
import type { CauseId } from './causes';
import type { BatchTrace } from './trace';

/** What of a product a remedy changes. */
export interface RemediedProduct {
  route: ProductRoute;
  rises?: Partial<Record<RisePhase, Rise>>;
  piece: PieceSpec;
  /** The scheme that it is laminated by, where it is, and what else is. */
  scheme?: { name: string; scheme: Scheme; others: readonly string[] };
}

/** What is done for longer in a lamination scheme: every rest after a turn up to this, or the tempering of its butter. */
export type SchemePart = 'rests' | 'temper';

/** A change of a product that a cause asks for next time. */
export type Remedy =
  /** A wait of its route, minutes. */
  | { kind: 'window'; stepId: string; label: Words; part: 'best' | 'longest'; from: number; to: number }
  /** What a step is set to, °C. */
  | { kind: 'setting'; stepId: string; label: Words; from: number; to: number }
  /** The part of its rise in which a proof is ready: from, or up to. */
  | { kind: 'ready'; phase: RisePhase; part: 'early' | 'late'; from: number; to: number }
  /** Grams of a filling, as the product has it: a piece, or a cm². In the order of the product's fillings. */
  | { kind: 'filling'; nth: number; name: string; from: number; to: number }
  /** Its lamination scheme, minutes; `others`: products that are laminated by it too. */
  | { kind: 'scheme'; part: SchemePart; from: number; to: number; name: string; others: readonly string[] }
  /** What is to be looked for at a step. */
  | { kind: 'reminder'; stepId: string; label: Words; next: Words };

/** How much one remedy moves things: a step at a time, and the next batch shows whether it was enough. */
const STEP = { bake: 1.1, retard: 0.9, filling: 0.9, ready: 0.05, cooler: 2, rest: 15, temper: 5 };
/** Where a proof may be ready at the earliest and latest, whatever went wrong. */
const READY = { early: 0.97, late: 1.03 };
/** A proof set warmer than this is set down, °C. */
const WARM = 26;
/** A batch did as its product says, within this share. */
const AS_MEANT = 0.1;

/** By hand or eye: at which step each is to be thought of. */
const REMINDED: Partial<Record<CauseId, RouteStep['kind']>> = {
  'rolled-loose': 'shape',
  'rolled-tight': 'shape',
  'seam-up': 'shape',
  unsealed: 'shape',
  'brushed-hard': 'wash',
  'wash-missed': 'wash',
  'hot-spot': 'bake',
  uncovered: 'proof',
  'proofer-dry': 'proof',
  'sheet-uneven': 'shape',
  'pieces-big': 'shape',
};

const stepsOf = ({ dough, output }: ProductRoute): RouteStep[] => [...dough.steps, ...output.steps];

const stepOf = ({ route }: RemediedProduct, kind: RouteStep['kind']): RouteStep | undefined =>
  stepsOf(route).find((step) => step.kind === kind && step.branch === undefined);

/** Rounded to a multiple of `to`, without what binary fractions add. */
const rounded = (value: number, to: number) => Number((Math.round(value / to) * to).toFixed(6));

function ready(product: RemediedProduct, part: 'early' | 'late', by: number): Remedy | null {
  const rise = product.rises?.proof;
  if (!rise) return null;
  const [from, limit] = [rise[part], READY[part]];
  const to = rounded(part === 'early' ? Math.min(limit, from + by) : Math.max(limit, from - by), 0.01);
  return to === from ? null : { kind: 'ready', phase: 'proof', part, from, to };
}

function reminder(cause: CauseId, product: RemediedProduct): Remedy | null {
  const kind = REMINDED[cause];
  const step = kind && stepOf(product, kind);
  return step
    ? { kind: 'reminder', stepId: step.id, label: step.label, next: CAUSE_WORDS[cause].next }
    : null;
}

/** Longer for a bake that was as long as written, and pale all the same. */
function longerBake(product: RemediedProduct, { bake }: BatchTrace): Remedy | null {
  const step = stepOf(product, 'bake');
  if (!step?.wait || !bake || bake.minutes < bake.meant * (1 - AS_MEANT)) return null;
  const { best } = step.wait;
  const to = Math.max(best + 1, Math.round(best * STEP.bake));
  return { kind: 'window', stepId: step.id, label: step.label, part: 'best', from: best, to };
}

/** Shorter at the most for a retard that was within what its product allows. */
function shorterRetard(product: RemediedProduct, { retard }: BatchTrace): Remedy | null {
  const step = stepsOf(product.route).find(
    ({ kind, wait }) => kind === 'retard' && wait?.longest === retard?.longest,
  );
  if (!step?.wait || !retard || retard.minutes > retard.longest) return null;
  const { best, longest } = step.wait;
  const to = Math.max(best, rounded(longest * STEP.retard, 5));
  return to >= longest
    ? null
    : { kind: 'window', stepId: step.id, label: step.label, part: 'longest', from: longest, to };
}

/** A step more of a part of a scheme; null where no scheme takes more. */
function schemeRemedy(
  { name, others, scheme }: NonNullable<RemediedProduct['scheme']>,
  part: SchemePart,
  from: number,
): Remedy | null {
  const to = from + (part === 'rests' ? STEP.rest : STEP.temper);
  const remedy = { kind: 'scheme' as const, part, from, to, name, others };
  return schemeFault(remediedScheme(scheme, remedy)) ? null : remedy;
}

/** Longer rests where they were kept, and the dough sprang back all the same. */
function longerRests({ scheme: of }: RemediedProduct, { rolled }: BatchTrace): Remedy | null {
  const rests = of?.scheme.turns.flatMap(({ rest }) => (rest > 0 ? [rest] : [])) ?? [];
  const wasCut = rolled.some(
    ({ rested, meant }) => rested !== null && meant !== null && rested < meant * (1 - AS_MEANT),
  );
  if (!of || rests.length === 0 || wasCut) return null;
  return schemeRemedy(of, 'rests', Math.min(...rests));
}

/** Longer out of the cold for butter that was given its time, and was stiff all the same. */
function longerTemper({ scheme: of }: RemediedProduct, { butter }: BatchTrace): Remedy | null {
  if (of?.scheme.beginning.way !== 'block' || !butter) return null;
  const { tempered, meant } = butter;
  if (tempered === null || meant === null || tempered < meant * (1 - AS_MEANT)) return null;
  return schemeRemedy(of, 'temper', of.scheme.temper ?? USUAL_TEMPER);
}

function coolerProof(product: RemediedProduct): Remedy | null {
  const step = stepOf(product, 'proof');
  const from = step?.holds?.find(({ setting }) => setting !== undefined)?.setting;
  if (!step || from === undefined || from <= WARM) return null;
  return { kind: 'setting', stepId: step.id, label: step.label, from, to: from - STEP.cooler };
}

function lessFilling({ piece }: RemediedProduct): Remedy | null {
  const nth = (piece.fillings ?? []).findIndex(({ grams }) => grams > 0);
  const filling = piece.fillings?.[nth];
  if (!filling) return null;
  // What is spread is grams a cm² of the sheet, hundredths of them.
  const to = rounded(filling.grams * STEP.filling, filling.per === 'piece' ? 1 : 0.001);
  return to <= 0 || to >= filling.grams
    ? null
    : { kind: 'filling', nth, name: filling.name, from: filling.grams, to };
}

/**
 * What to change of a product so that a cause does not come again; null where the product is not to blame, or is not where
 * it can be mended: an oven that is cool, a shift that cut a rest short.
 */
export function remedyFor(cause: CauseId, trace: BatchTrace, product: RemediedProduct): Remedy | null {
  switch (cause) {
    case 'underproofed':
      return ready(product, 'early', STEP.ready);
    case 'overproofed':
      return ready(product, 'late', 2 * STEP.ready);
    case 'proof-hot':
      return coolerProof(product);
    case 'bake-short':
    case 'oven-cool':
      return longerBake(product, trace);
    case 'retard-long':
      return shorterRetard(product, trace);
    case 'rest-short':
    case 'flour-strong':
      return longerRests(product, trace);
    case 'butter-cold':
    case 'butter-stiffer':
      return longerTemper(product, trace);
    case 'overfilled':
      return lessFilling(product) ?? reminder(cause, product);
    default:
      return reminder(cause, product);
  }
}

/** A route with one of its steps changed. */
function withStep(route: ProductRoute, id: string, by: (step: RouteStep) => RouteStep): ProductRoute {
  const change = (steps: readonly RouteStep[]) => steps.map((step) => (step.id === id ? by(step) : step));
  return {
    ...route,
    dough: { ...route.dough, steps: change(route.dough.steps) },
    output: { ...route.output, steps: change(route.output.steps) },
  };
}

/** Everything of a wait moves with its best: a bake that takes longer may also end later. */
function withWindow(step: RouteStep, part: 'best' | 'longest', to: number): RouteStep {
  if (!step.wait) return step;
  if (part === 'longest') return { ...step, wait: { ...step.wait, longest: to } };
  const more = to - step.wait.best;
  const { shortest, longest } = step.wait;
  return { ...step, wait: { ...step.wait, best: to, shortest: shortest + more, longest: longest + more } };
}

/** A scheme as a remedy has it. */
const remediedScheme = (scheme: Scheme, { part, to }: Extract<Remedy, { kind: 'scheme' }>): Scheme =>
  part === 'temper'
    ? { ...scheme, temper: to }
    : {
        ...scheme,
        turns: scheme.turns.map((turn) =>
          turn.rest > 0 ? { ...turn, rest: Math.max(turn.rest, to) } : turn,
        ),
      };

/**
 * A product as a remedy has it, with its scheme.
 *
 * @param text - says what is to be looked for at a step: words of the bakery's own from then on
 */
export function remedied<P extends RemediedProduct>(
  product: P,
  remedy: Remedy,
  text: (words: Words) => string,
): P {
  switch (remedy.kind) {
    case 'window':
      return {
        ...product,
        route: withStep(product.route, remedy.stepId, (step) => withWindow(step, remedy.part, remedy.to)),
      };
    case 'setting':
      return {
        ...product,
        route: withStep(product.route, remedy.stepId, (step) => ({
          ...step,
          around: remedy.to,
          holds: step.holds?.map((hold) =>
            hold.setting === undefined ? hold : { ...hold, setting: remedy.to },
          ),
        })),
      };
    case 'ready': {
      const rise = product.rises?.[remedy.phase];
      return rise
        ? { ...product, rises: { ...product.rises, [remedy.phase]: { ...rise, [remedy.part]: remedy.to } } }
        : product;
    }
    case 'filling': {
      const fillings = product.piece.fillings?.map((one, i) =>
        i === remedy.nth ? { ...one, grams: remedy.to } : one,
      );
      return { ...product, piece: { ...product.piece, fillings } };
    }
    case 'scheme':
      return product.scheme
        ? {
            ...product,
            scheme: { ...product.scheme, scheme: remediedScheme(product.scheme.scheme, remedy) },
          }
        : product;
    case 'reminder':
      return {
        ...product,
        route: withStep(product.route, remedy.stepId, (step) => {
          const [before, next] = [step.check ? `${text(step.check)} ` : '', text(remedy.next)];
          return before.includes(next) ? step : { ...step, check: before + next };
        }),
      };
  }
}

/** A remedy in words: what of the product, from what to what. */
export function remedyWords(remedy: Remedy) {
  switch (remedy.kind) {
    case 'window':
      return coded('causes.remedyWindow', {
        ...{ step: remedy.label, isLongest: remedy.part === 'longest' },
        from: { minutes: remedy.from },
        to: { minutes: remedy.to },
      });
    case 'setting':
      return coded('causes.remedySetting', {
        step: remedy.label,
        from: { celsius: remedy.from },
        to: { celsius: remedy.to },
      });
    case 'ready':
      return coded('causes.remedyReady', {
        isEarly: remedy.part === 'early',
        from: { percent: Math.round(100 * remedy.from) },
        to: { percent: Math.round(100 * remedy.to) },
      });
    case 'filling':
      return coded('causes.remedyFilling', {
        name: remedy.name,
        less: { percent: Math.round(100 * (1 - remedy.to / remedy.from)) },
      });
    case 'scheme':
      return coded('causes.remedyScheme', {
        ...{ scheme: remedy.name, isRest: remedy.part === 'rests', others: remedy.others.length },
        names: remedy.others.join(', '),
        from: { minutes: remedy.from },
        to: { minutes: remedy.to },
      });
    case 'reminder':
      return coded('causes.remedyReminder', { step: remedy.label, next: remedy.next });
  }
}
