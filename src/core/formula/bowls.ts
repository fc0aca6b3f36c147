import { shareOf } from './formula';
import type { IngredientBook } from './ingredient';
import type { ScaledFormula, ScaledStage } from './scale';

/** How many equal bowls a dough needs: `bowlGrams` is what the mixer takes, dough before butter. */
export function bowlsFor(doughGrams: number, bowlGrams: number): number {
  if (!(bowlGrams > 0)) throw new RangeError('A bowl that takes nothing mixes nothing.');
  // A gram over from rounding is not another bowl.
  return Math.max(1, Math.ceil((doughGrams - 1) / bowlGrams));
}

/** One bowl's share of a dough, all weights divided alike. */
export function oneBowl(scaled: ScaledFormula, bowls: number): ScaledFormula {
  return {
    stages: scaled.stages.map((stage) => ({
      ...stage,
      grams: stage.grams / bowls,
      lines: stage.lines.map((line) => ({
        ...line,
        grams: line.grams / bowls,
        ...(line.upTo === undefined ? {} : { upTo: line.upTo / bowls }),
      })),
    })),
    flourGrams: scaled.flourGrams / bowls,
    doughGrams: scaled.doughGrams / bowls,
    rollInGrams: scaled.rollInGrams / bowls,
  };
}

/** What a scale shows, grams: `fine` for yeast and salt. */
export interface ScaleSteps {
  coarse: number;
  fine: number;
}

export const USUAL_STEPS: ScaleSteps = { coarse: 1, fine: 0.1 };

/** A formula as it is weighed, and what rounding has changed. */
export interface RoundedFormula {
  scaled: ScaledFormula;
  /** Grams by which the dough became heavier. */
  doughBy: number;
  /** Percentage points of hydration and salt. */
  hydrationBy: number;
  saltBy: number;
  /** The line that moved most for its size, percent of its weight; null where nothing moved. */
  most: { ingredient: string; percent: number } | null;
}

/** Rounds every weight to what the scale shows: yeast and salt to the fine step, the rest to the coarse one. */
export function roundToScale(
  scaled: ScaledFormula,
  book: IngredientBook,
  steps = USUAL_STEPS,
): RoundedFormula {
  const stages = scaled.stages.map((stage): ScaledStage => {
    const lines = stage.lines.map((line) => {
      const kind = book.get(line.ingredient)?.kind;
      const step = kind === 'yeast' || kind === 'salt' ? steps.fine : steps.coarse;
      const upTo = line.upTo === undefined ? {} : { upTo: roundTo(line.upTo, step) };
      return { ...line, grams: roundTo(line.grams, step), ...upTo };
    });
    return { ...stage, lines, grams: lines.reduce((sum, { grams }) => sum + grams, 0) };
  });
  const sum = (of: readonly ScaledStage[], rollIn: boolean) =>
    of.filter(({ kind }) => (kind === 'roll-in') === rollIn).reduce((total, { grams }) => total + grams, 0);
  const part = (of: readonly ScaledStage[], what: 'flour' | 'water' | 'salt') =>
    shareOf(
      of
        .filter(({ kind }) => kind !== 'roll-in')
        .flatMap(({ lines }) => lines.map(({ ingredient, grams }) => ({ ingredient, percent: grams }))),
      book,
      what,
    );
  const ofFlour = (what: 'water' | 'salt') => {
    const [before, after] = [part(scaled.stages, 'flour'), part(stages, 'flour')];
    if (before === 0 || after === 0) return 0;
    return (100 * part(stages, what)) / after - (100 * part(scaled.stages, what)) / before;
  };
  const moves = scaled.stages.flatMap((stage, i) =>
    stage.lines.flatMap(({ ingredient, grams }, j) => {
      const now = stages[i]?.lines[j]?.grams ?? grams;
      return grams > 0 ? [{ ingredient, percent: (100 * (now - grams)) / grams }] : [];
    }),
  );
  const most = moves.reduce<RoundedFormula['most']>(
    (a, b) => (a && Math.abs(a.percent) >= Math.abs(b.percent) ? a : b),
    null,
  );
  return {
    scaled: {
      stages,
      flourGrams: part(stages, 'flour'),
      doughGrams: sum(stages, false),
      rollInGrams: sum(stages, true),
    },
    doughBy: sum(stages, false) - sum(scaled.stages, false),
    hydrationBy: ofFlour('water'),
    saltBy: ofFlour('salt'),
    most: most && Math.abs(most.percent) > 1e-9 ? most : null,
  };
}

/** To a multiple of a step, without the dust of binary fractions; what is there at all never becomes nothing. */
function roundTo(grams: number, step: number): number {
  if (grams <= 0) return 0;
  return Math.max(step, Number((Math.round(grams / step) * step).toFixed(3)));
}
