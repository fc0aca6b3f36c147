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

type MixedStage = Pick<ScaledFormula['stages'][number], 'kind' | 'lines'>;

/** A sheet and what was recorded while it was mixed. */
export interface Mixing {
  /** The sheet, of all bowls together. */
  planned: ScaledFormula;
  doughCelsius: number | null;
  /** In the order of recording. */
  changes: readonly MixChange[];
  /** How many bowls the sheet was split over. */
  bowls: number;
}

/**
 * Gives the formula that was really mixed: the sheet of all bowls with the recorded weights, additions and swaps. Lines
 * without a record count as weighed to the sheet.
 */
export function actualMix(
  { planned, doughCelsius, changes, bowls }: Mixing,
  book: IngredientBook,
): ActualMix {
  const words: Coded[] = [];
  const name = (id: string) => book.get(id)?.name ?? id;
  const stages = planned.stages.map(({ kind, lines }, s) => ({
    kind,
    lines: lines.map((line, l) => {
      const own = changes.filter((change) => change.kind !== 'adjusted' && change.line === lineId(s, l));
      const grams = weighedGrams(line.grams, own, bowls);
      if (grams !== line.grams) {
        const by = { grams: { grams: Math.abs(grams - line.grams) }, isMore: grams > line.grams };
        words.push(coded('scaling.moreLess', { ...by, name: name(line.ingredient) }));
      }
      const swap = own.findLast((change) => change.kind === 'swapped');
      const ingredient = swap?.kind === 'swapped' ? swap.ingredient : line.ingredient;
      if (ingredient !== line.ingredient)
        words.push(coded('scaling.for', { name: name(ingredient), name2: name(line.ingredient) }));
      return { ...line, ingredient, grams: Math.max(0, grams) };
    }),
  }));
  for (const change of changes) {
    if (change.kind !== 'adjusted') continue;
    const by = { grams: { grams: Math.abs(change.grams) }, isHeldBack: change.grams < 0 };
    words.push(coded('scaling.heldBackAdded', { ...by, name: name(change.ingredient) }));
    adjust(stages, change);
  }
  const flourGrams = stages
    .flatMap(({ lines }) => lines)
    .reduce((sum, { ingredient, grams }) => sum + grams * (book.get(ingredient)?.flour ?? 0), 0);
  const unit = flourGrams > 0 ? flourGrams / 100 : planned.doughGrams / 100;
  return {
    formula: { doughCelsius, stages: stages.map((stage) => formulaStage(stage, unit)) },
    scaled: { ...scaledStages(stages, unit), flourGrams },
    differs: words.length > 0,
    words,
  };
}

/** What the scale showed over all bowls; what it cannot show is no difference. */
function weighedGrams(sheet: number, changes: readonly MixChange[], bowls: number): number {
  let grams = sheet;
  for (let bowl = 1; bowl <= bowls; bowl++) {
    const weighed = changes.findLast((change) => change.kind === 'weighed' && change.bowl === bowl);
    if (weighed?.kind === 'weighed') grams += weighed.grams - sheet / bowls;
  }
  return Math.abs(grams - sheet) > Math.max(0.11 * bowls, sheet * 0.005) ? grams : sheet;
}

function formulaStage({ kind, lines }: MixedStage, unit: number): FormulaStage {
  return {
    kind,
    lines: lines.map(({ ingredient, grams, approximate, uncounted, note }) => ({
      ...{ ingredient, percent: Number((grams / unit).toFixed(3)) },
      ...(approximate ? { approximate } : {}),
      ...(uncounted ? { uncounted } : {}),
      ...(note ? { note } : {}),
    })),
  };
}

function scaledStages(stages: readonly MixedStage[], unit: number) {
  const sum = (lines: MixedStage['lines']) => lines.reduce((grams, line) => grams + line.grams, 0);
  const total = (rollIn: boolean) =>
    stages
      .filter(({ kind }) => (kind === 'roll-in') === rollIn)
      .reduce((grams, { lines }) => grams + sum(lines), 0);
  return {
    stages: stages.map(({ kind, lines }) => ({
      kind,
      lines: lines.map((line) => ({ ...line, percent: line.grams / unit })),
      grams: sum(lines),
    })),
    doughGrams: total(false),
    rollInGrams: total(true),
  };
}

/** Adds to the line of an ingredient in the dough, or else anywhere; a new ingredient becomes a line of the dough. */
function adjust(stages: MixedStage[], { ingredient, grams }: { ingredient: string; grams: number }): void {
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
