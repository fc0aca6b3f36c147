import { coded, type Words } from '../codes/coded';
import { Fault } from '../codes/fault';
import {
  doughPercent,
  linesOf,
  mixedInto,
  percentOf,
  rollInPercent,
  type Formula,
  type StageKind,
} from './formula';
import { flourPercent } from './formula';
import type { IngredientBook } from './ingredient';

/** What a formula is scaled to. Weights in grams; `scrap` and `bakeLoss` are shares, 0 to below 1. */
export type ScaleTarget =
  | { by: 'flour'; grams: number }
  /** Dough before butter. */
  | { by: 'dough'; grams: number }
  /** Dough ready to cut, roll-in included; `net`: what of it becomes pieces, where that is known. */
  | { by: 'finished'; grams: number; net?: number }
  | { by: 'pieces'; batches: PieceBatch[]; keptBack?: number }
  /** As much as is left of one ingredient, over all stages. */
  | { by: 'ingredient'; ingredient: string; grams: number };

/** Pieces of one output. `grams` is what a piece weighs when cut, or after the bake where `bakeLoss` is given. */
export interface PieceBatch {
  pieces: number;
  grams: number;
  scrap: number;
  bakeLoss?: number;
  /** Filling of one piece; where it is not said, as much for a piece's weight as the formula has for its dough. */
  filling?: number;
}

export interface ScaledLine {
  ingredient: string;
  percent: number;
  grams: number;
  /** Of a range: the upper end, in grams; what is over `grams` stands ready. */
  upTo?: number;
  approximate: boolean;
  uncounted: boolean;
  note?: string;
}

export interface ScaledStage {
  kind: StageKind;
  lines: ScaledLine[];
  grams: number;
}

/** Weights in grams, stages and lines in the formula's order. */
export interface ScaledFormula {
  stages: ScaledStage[];
  flourGrams: number;
  /** Before butter. */
  doughGrams: number;
  rollInGrams: number;
}

/** Grams of dough ready to cut for pieces of one weight; `scrap` is the share of it lost to trimmings, 0 to below 1. */
export function doughForPieces(pieces: number, pieceGrams: number, scrap: number, bakeLoss = 0): number {
  return (pieces * pieceGrams) / ((1 - scrap) * (1 - bakeLoss));
}

/**
 * Grams for one percent. Throws a `Fault` where the target cannot be met: nothing of it in the formula, a weight that is not
 * above nothing, scrap or bake loss of all there is.
 */
export function gramsPerPercent(formula: Formula, book: IngredientBook, target: ScaleTarget): number {
  const per = (grams: number, percent: number, what: Words): number => {
    if (!(grams > 0) || !Number.isFinite(grams)) throw new Fault(coded('scaling.theWeightToScaleTo'));
    if (!(percent > 0)) throw new Fault(coded('scaling.hasNoneToScaleBy', { what }));
    return grams / percent;
  };
  const finished = doughPercent(formula) + rollInPercent(formula);
  switch (target.by) {
    case 'flour':
      return per(target.grams, flourPercent(formula, book), coded('scaling.flour'));
    case 'dough':
      return per(target.grams, doughPercent(formula), coded('scaling.doughAsSuch'));
    case 'finished':
      return per(target.grams, finished, coded('scaling.doughAsSuch'));
    case 'pieces': {
      if (
        target.batches.some(
          ({ scrap, bakeLoss = 0 }) => scrap < 0 || scrap >= 1 || bakeLoss < 0 || bakeLoss >= 1,
        )
      )
        throw new Fault(coded('scaling.scrapAndBakeLossAre'));
      if (target.batches.some(({ filling }) => filling !== undefined && !(filling >= 0)))
        throw new Fault(coded('scaling.theFillingOfAPiece'));
      const need = target.batches.reduce(
        (sum, { pieces, grams, scrap, bakeLoss }) => sum + doughForPieces(pieces, grams, scrap, bakeLoss),
        target.keptBack ?? 0,
      );
      return per(need, finished, coded('scaling.doughAsSuch'));
    }
    case 'ingredient': {
      const percent = linesOf(formula)
        .filter(({ ingredient }) => ingredient === target.ingredient)
        .reduce((sum, line) => sum + line.percent, 0);
      return per(target.grams, percent, book.get(target.ingredient)?.name ?? coded('scaling.suchIngredient'));
    }
  }
}

/**
 * Grams for one percent of what goes into and onto pieces: by the pieces alone, since trimmings are not filled. `unit`: that
 * of the dough.
 */
function unitOf(kind: StageKind, formula: Formula, target: ScaleTarget, unit: number): number {
  const finished = doughPercent(formula) + rollInPercent(formula);
  if (mixedInto(formula)(kind) || kind === 'roll-in' || finished === 0) return unit;
  if (target.by === 'finished') return (target.net ?? target.grams) / finished;
  if (target.by !== 'pieces') return unit;
  const own = percentOf(formula, (other) => other === 'filling');
  const per = (batch: PieceBatch) => {
    const proportional = batch.grams / (1 - (batch.bakeLoss ?? 0)) / finished;
    return kind === 'filling' && batch.filling !== undefined && own > 0 ? batch.filling / own : proportional;
  };
  return target.batches.reduce((sum, batch) => sum + batch.pieces * per(batch), 0);
}

/** Scales a formula to a target; see `gramsPerPercent` for what it throws. */
export function scale(formula: Formula, book: IngredientBook, target: ScaleTarget): ScaledFormula {
  const ofDough = gramsPerPercent(formula, book, target);
  const stages = formula.stages.map(({ kind, lines }): ScaledStage => {
    const unit = unitOf(kind, formula, target, ofDough);
    const scaled = lines.map(({ ingredient, percent, upTo, approximate, uncounted, note }) => ({
      ...{ ingredient, percent, grams: percent * unit },
      ...(upTo === undefined ? {} : { upTo: upTo * unit }),
      ...{ approximate: approximate ?? false, uncounted: uncounted ?? false, note },
    }));
    return { kind, lines: scaled, grams: scaled.reduce((sum, line) => sum + line.grams, 0) };
  });
  return {
    stages,
    flourGrams: flourPercent(formula, book) * ofDough,
    doughGrams: doughPercent(formula) * ofDough,
    rollInGrams: rollInPercent(formula) * ofDough,
  };
}
