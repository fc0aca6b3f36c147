import { coded, type Coded } from '../codes/coded';
import { judgeLayers, type LaminationKind, type LayerLimits, type LayerVerdict } from './kinds';
import {
  fatFraction,
  type Fold,
  foldsMultiplied,
  type Layers,
  layersIn,
  type LockIn,
  type Operation,
  pileOf,
} from './stack';

/** How the fat comes between the dough to begin with. */
export type Beginning =
  /** A block of one thickness; or, in a template of this length and width, as thick as its weight makes it, cm. */
  | { way: 'block'; style: LockIn; blockMm: number; template?: { length: number; width: number } }
  /** Soft butter spread, or frozen butter grated, on the open sheet before each of the first `additions` folds. */
  | { way: 'spread' | 'grated'; additions: number }
  | { way: 'discs'; discs: number };

/** A turn: roll to `mm`, fold, rest. No rest means that the next turn is given at the same go. */
export interface Turn {
  fold: Fold;
  mm: number;
  /** Hands-on minutes to begin with, before what each kg adds. */
  minutes: number;
  rest: number;
}

/** A lamination scheme: everything between a cold dough and its final sheet. */
export interface Scheme {
  kind: LaminationKind;
  beginning: Beginning;
  /** Flour kneaded into the butter, grams a gram: 0.08 to 0.15 by the school of the soft block, else 0. */
  flourInFat: number;
  turns: Turn[];
  /** Minutes for which a chilled block lies out before it is locked in; `USUAL_TEMPER` where nobody says. */
  temper?: number;
  /** Minutes for the lock-in, and minutes that each kg adds to lock-in and turns. */
  lockInMinutes: number;
  perKg: number;
}

const MOST_TURNS = 12;

/** A butter block bends after about so many minutes in the room. */
export const USUAL_TEMPER = 15;
/** What a block may lie out, minutes. */
const TEMPER = { least: 5, most: 120 };

/** What is wrong with a scheme, in a sentence; null for one that can be worked. */
export function schemeFault({ beginning, turns, flourInFat, temper = USUAL_TEMPER }: Scheme): Coded | null {
  if (turns.length > MOST_TURNS) {
    return coded('lamination.turnsNoDoughTakesMore', { turns: turns.length, most: MOST_TURNS });
  }
  if (turns.length === 0 && beginning.way !== 'discs') return coded('lamination.aSchemeHasAtLeast');
  if (turns.some(({ mm }) => !(mm >= 1 && mm <= 40)))
    return coded('lamination.aSheetIsRolledTo', { from: { mm: 1 }, to: { mm: 40 } });
  if (turns.some(({ rest }) => !(rest >= 0 && rest <= 24 * 60))) return coded('lamination.aRestLastsUpTo');
  if (turns.some(({ minutes }) => !(minutes >= 1 && minutes <= 120)))
    return coded('lamination.aTurnTakesBetween1');
  if (!(flourInFat >= 0 && flourInFat <= 0.3)) return coded('lamination.upTo30OfFlour');
  if (beginning.way === 'block' && !(beginning.blockMm >= 3 && beginning.blockMm <= 40))
    return coded('lamination.aButterBlockIsBetween', { from: { mm: 3 }, to: { mm: 40 } });
  if (!(temper >= TEMPER.least && temper <= TEMPER.most))
    return coded('lamination.butterIsTemperedBetween', TEMPER);
  const template = beginning.way === 'block' ? beginning.template : undefined;
  if (template && ![template.length, template.width].every((cm) => cm >= 4 && cm <= 150))
    return coded('lamination.aButterTemplateIsBetween', { from: { cm: 4 }, to: { cm: 150 } });
  if (beginning.way === 'discs' && !(beginning.discs >= 2 && beginning.discs <= 40))
    return coded('lamination.aStackHasBetween2');
  if ('additions' in beginning && !(beginning.additions >= 1 && beginning.additions <= turns.length))
    return coded('lamination.butterGoesOnBeforeA');
  return null;
}

/** Folds as digits: letter 3, book 4, half 2. */
const DIGIT: Record<Fold, number> = { half: 2, letter: 3, book: 4 };

/** A scheme named by its folds: "3-3-3", "grated 3-3-3-3", "6 discs". */
export function schemeName({ beginning, turns }: Pick<Scheme, 'beginning' | 'turns'>): Coded {
  const folds = turns.map(({ fold }) => DIGIT[fold]).join('-');
  switch (beginning.way) {
    case 'discs':
      return coded('lamination.discs', {
        discs: beginning.discs,
        folds: folds === '' ? '' : ` ${folds}`,
      });
    case 'block':
      return coded('lamination.blockOf', { isTwoThirds: beginning.style === 'two-thirds', folds });
    default:
      return coded('lamination.spreadOf', { way: beginning.way, folds });
  }
}

/** What is done to the dough, in order, when these folds are given; the scheme's own where none are named. */
export function operationsOf(
  { beginning, turns }: Pick<Scheme, 'beginning' | 'turns'>,
  folds: readonly Fold[] = turns.map(({ fold }) => fold),
): Operation[] {
  switch (beginning.way) {
    case 'block':
      return [beginning.style, ...folds];
    case 'discs':
      return [`stack:${beginning.discs}`, ...folds];
    default: {
      const spread = (nth: number): Operation[] => (nth < beginning.additions ? ['spread'] : []);
      return ['plain', ...folds.flatMap((fold, i): Operation[] => [...spread(i), fold])];
    }
  }
}

/** Weights of what is laminated, grams: `dough` before butter, `fat` as butter alone. */
export interface Weights {
  dough: number;
  fat: number;
}

/** What a number of folds comes to at the final sheet. */
export interface Outcome {
  folds: readonly Fold[];
  layers: Layers;
  multiplied: number;
  verdict: LayerVerdict;
}

/** The last sheet's mm, what layers are fine or coarse, and the folds where not the scheme's own. */
export interface Folding {
  mm: number;
  limits: LayerLimits;
  folds?: readonly Fold[];
}

/** Layers and verdict of a scheme at a sheet of `mm`, for these folds instead of its own where they are given. */
export function outcomeOf(
  scheme: Scheme,
  weights: Weights,
  { mm, limits, folds = scheme.turns.map(({ fold }) => fold) }: Folding,
): Outcome {
  const operations = operationsOf(scheme, folds);
  const layers = layersIn(pileOf(operations, fractionOf(scheme, weights)), mm);
  return { folds, layers, multiplied: foldsMultiplied(operations), verdict: judgeLayers(layers, limits) };
}

/** The fat's share of the volume in a scheme, flour in the butter included. */
export function fractionOf({ flourInFat }: Pick<Scheme, 'flourInFat'>, { dough, fat }: Weights): number {
  return fatFraction(fat * (1 + flourInFat), dough, flourInFat);
}

/** One turn less and one more than these folds; `less` is null where there is none to leave out. */
export function turnMoreOrLess(
  scheme: Scheme,
  weights: Weights,
  mm: number,
  limits: LayerLimits,
): { less: Outcome | null; more: Outcome } {
  const folds = scheme.turns.map(({ fold }) => fold);
  const of = (others: Fold[]) => outcomeOf(scheme, weights, { mm, limits, folds: others });
  return {
    less: folds.length > 0 ? of(folds.slice(0, -1)) : null,
    more: of([...folds, folds.at(-1) ?? 'letter']),
  };
}

/** Hands-on minutes and rests of a scheme for a dough of so many kg. */
export function schemeMinutes(scheme: Scheme, kg: number): { work: number; rest: number } {
  const { turns, lockInMinutes, perKg } = scheme;
  const work = turns.reduce((sum, { minutes }) => sum + minutes + perKg * kg, lockInMinutes + perKg * kg);
  return { work: Math.round(work), rest: turns.reduce((sum, { rest }) => sum + rest, 0) };
}
