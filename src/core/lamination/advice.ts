import { coded, type Coded } from '../codes/coded';
import { type LayerLimits, verdictMessage } from './kinds';
import { type Outcome, outcomeOf, type Scheme, type Weights } from './scheme';
import type { Fold } from './stack';

const um = (value: number) => (value < 10 ? Math.round(value * 10) / 10 : Math.round(value));

/** `27 fat layers, 56 µm on average: open honeycomb`. */
export function outcomeMessage({ layers, verdict }: Outcome, scheme: Pick<Scheme, 'kind'>): Coded {
  return coded('lamination.fatLayersMOnAverage', {
    fatLayers: layers.fatLayers,
    micrometres: um(layers.meanFat),
    verdict: verdictMessage(verdict, scheme.kind),
  });
}

/** What the folds that were really given come to with those still to come, and what to do where they are not the scheme's. */
export interface FoldAdvice {
  outcome: Outcome;
  /** Null where the block goes as the scheme has it. */
  words: Coded | null;
}

/** The last sheet in mm, what layers are fine or coarse, and the folds that the block has had and is to get. */
interface Folded {
  mm: number;
  limits: LayerLimits;
  given: readonly Fold[];
  toCome: readonly Fold[];
}

/**
 * Layers of a block at its final sheet by what was done to it. Where it had a fold too many, or one too few, says whether
 * leaving the last one out, or giving one more, brings it nearer to the scheme's own layers.
 */
export function foldAdvice(
  scheme: Scheme,
  weights: Weights,
  { mm, limits, given, toCome }: Folded,
): FoldAdvice {
  const of = (folds: readonly Fold[]) => outcomeOf(scheme, weights, { mm, limits, folds });
  const planned = of(scheme.turns.map(({ fold }) => fold));
  const folds = [...given, ...toCome];
  const outcome = of(folds);
  if (outcome.layers.fatLayers === planned.layers.fatLayers) return { outcome, words: null };
  const tooMany = outcome.layers.fatLayers > planned.layers.fatLayers;
  const other = tooMany ? (toCome.length > 0 ? of(folds.slice(0, -1)) : null) : of([...folds, 'half']);
  const off = ({ layers }: Outcome) => Math.abs(Math.log(layers.fatLayers / planned.layers.fatLayers));
  const now = outcomeMessage(outcome, scheme);
  const head = coded('lamination.notAsPlannedInPlace', { now, fatLayers: planned.layers.fatLayers });
  if (!other || off(other) >= off(outcome)) {
    return {
      outcome,
      words:
        outcome.verdict === planned.verdict
          ? coded('lamination.itCanStaySo', { head })
          : coded('lamination.rollItThickerAtThe', { head }),
    };
  }
  const act = tooMany ? coded('lamination.leaveOutTheLastTurn') : coded('lamination.giveAHalfFoldMore');
  return {
    outcome,
    words: coded('lamination.withAct', { head, act, outcome: outcomeMessage(other, scheme) }),
  };
}
