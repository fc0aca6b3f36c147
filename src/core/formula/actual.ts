import { coded, type Coded } from '../codes/coded';
import type { Formula, FormulaStage } from './formula';
import type { IngredientBook } from './ingredient';
import type { ScaledFormula } from './scale';

/** What was done differently while a dough was mixed, or weighed as it should be. Weights in grams, for the whole dough. */
export type MixChange =
  /** The weight on the scale for a line of the sheet. */
  | { kind: 'weighed'; line: string; bowl: number; grams: number }
  /** Added to feel, or held back when negative. */
  | { kind: 'adjusted'; ingredient: string; grams: number }
  /** One ingredient taken for another, weight for weight. */
  | { kind: 'swapped'; line: string; ingredient: string };

/** Names a line of a sheet: stage and place within it. */
export const lineId = (stage: number, line: number) => `${stage}.${line}`;

/** A dough as it was really made. */
export interface ActualMix {
  /** In percent of the flour that really went in. */
  formula: Formula;
  scaled: ScaledFormula;
  /** True where anything differs from the sheet. */
  differs: boolean;
  /** Differences in words: "400 g wheat flour held back". */
  words: Coded[];
}

/**
 * The formula that was really mixed: the sheet of all bowls with the recorded weights, additions and swaps. Lines without
 * a record count as weighed to the sheet. `bowls`: how many bowls the sheet was split over.
 */
export function actualMix(
  planned: ScaledFormula,
  doughCelsius: number | null,
  changes: readonly MixChange[],
  bowls: number,
  book: IngredientBook,
): ActualMix {
  const words: Coded[] = [];
  const name = (id: string) => book.get(id)?.name ?? id;
  const stages = planned.stages.map((stage, s) => ({
    kind: stage.kind,
    lines: stage.lines.map((line, l) => {
      const own = changes.filter((change) => change.kind !== 'adjusted' && change.line === lineId(s, l));
      let { ingredient, grams } = line;
      for (let bowl = 1; bowl <= bowls; bowl++) {
        const weighed = own.findLast((change) => change.kind === 'weighed' && change.bowl === bowl);
        if (weighed?.kind === 'weighed') grams += weighed.grams - line.grams / bowls;
      }
      // What the scale cannot show is no difference.
      if (Math.abs(grams - line.grams) > Math.max(0.11 * bowls, line.grams * 0.005))
        words.push(
          coded('formulas.moreLess', {
            grams: { grams: Math.abs(grams - line.grams) },
            isGrams: grams > line.grams,
            name: name(ingredient),
          }),
        );
      else grams = line.grams;
      const swap = own.findLast((change) => change.kind === 'swapped');
      if (swap?.kind === 'swapped' && swap.ingredient !== ingredient) {
        words.push(coded('formulas.for', { name: name(swap.ingredient), name2: name(ingredient) }));
        ingredient = swap.ingredient;
      }
      return { ...line, ingredient, grams: Math.max(0, grams) };
    }),
  }));
  for (const change of changes) {
    if (change.kind !== 'adjusted') continue;
    words.push(
      coded('formulas.heldBackAdded', {
        grams: { grams: Math.abs(change.grams) },
        name: name(change.ingredient),
        isGrams: change.grams < 0,
      }),
    );
    adjust(stages, change);
  }
  const flour = stages
    .flatMap(({ lines }) => lines)
    .reduce((sum, { ingredient, grams }) => sum + grams * (book.get(ingredient)?.flour ?? 0), 0);
  const unit = flour > 0 ? flour / 100 : planned.doughGrams / 100;
  const total = (rollIn: boolean) =>
    stages
      .filter(({ kind }) => (kind === 'roll-in') === rollIn)
      .reduce((sum, { lines }) => sum + lines.reduce((s, { grams }) => s + grams, 0), 0);
  const formula: Formula = {
    doughCelsius,
    stages: stages.map(({ kind, lines }): FormulaStage => ({
      kind,
      lines: lines.map(({ ingredient, grams, approximate, uncounted, note }) => ({
        ...{ ingredient, percent: Number((grams / unit).toFixed(3)) },
        ...(approximate ? { approximate } : {}),
        ...(uncounted ? { uncounted } : {}),
        ...(note ? { note } : {}),
      })),
    })),
  };
  return {
    formula,
    scaled: {
      stages: stages.map((stage) => ({
        ...stage,
        lines: stage.lines.map((line) => ({ ...line, percent: line.grams / unit })),
        grams: stage.lines.reduce((sum, { grams }) => sum + grams, 0),
      })),
      flourGrams: flour,
      doughGrams: total(false),
      rollInGrams: total(true),
    },
    differs: words.length > 0,
    words,
  };
}

/** Adds to the line of an ingredient in the dough, or else anywhere; a new ingredient becomes a line of the dough. */
function adjust(
  stages: { kind: FormulaStage['kind']; lines: ScaledFormula['stages'][number]['lines'] }[],
  { ingredient, grams }: { ingredient: string; grams: number },
): void {
  const has = ({ lines }: (typeof stages)[number]) => lines.some((line) => line.ingredient === ingredient);
  const stage = stages.find((s) => s.kind === 'dough' && has(s)) ?? stages.find(has);
  if (stage) {
    const at = stage.lines.findIndex((line) => line.ingredient === ingredient);
    stage.lines = stage.lines.map((line, i) =>
      i === at ? { ...line, grams: Math.max(0, line.grams + grams) } : line,
    );
    return;
  }
  const dough = stages.find(({ kind }) => kind === 'dough') ?? stages[0];
  if (dough && grams > 0)
    dough.lines = [...dough.lines, { ingredient, grams, percent: 0, approximate: false, uncounted: false }];
}
