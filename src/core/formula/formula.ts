import type { Kitchen } from '../units/measures';
import type { IngredientBook } from './ingredient';

/**
 * What a part of a formula is. Preferments (levain to poolish) and the autolyse go into the dough; the roll-in is
 * enclosed by it. A filling or a finish is a formula of its own, with one stage.
 */
export const STAGE_KINDS = [
  'levain',
  'stiff levain',
  'sponge',
  'poolish',
  'autolyse',
  'dough',
  'roll-in',
  'filling',
  'finish',
] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

export interface FormulaLine {
  /** Id of an ingredient, or `formula:12` for another formula of the house. */
  ingredient: string;
  /** Of the total flour; in a formula without flour, of the whole weight. */
  percent: number;
  /** Of a range, its upper end: what is weighed is `percent`, and the rest stands ready to be added. */
  upTo?: number;
  /** As it was typed, where that was not a percentage. */
  typed?: string;
  approximate?: boolean;
  /** "To taste": named, but not weighed. */
  uncounted?: boolean;
  note?: string;
}

export interface FormulaStage {
  kind: StageKind;
  lines: FormulaLine[];
}

/**
 * A formula in baker's percent: all flours together, preferments included, are 100. Lines stand in the order of adding.
 * Where there is no flour (a custard, a glaze) the whole is 100.
 */
export interface Formula {
  stages: FormulaStage[];
  /** Desired dough temperature after mixing, °C; null for what is not mixed to one. */
  doughCelsius: number | null;
  /** Whose cups, spoons and eggs its amounts were typed in; needed where `typed` is read again. */
  kitchen?: Kitchen;
  note?: string;
}

const PREFERMENTS: readonly StageKind[] = ['levain', 'stiff levain', 'sponge', 'poolish'];

export const isPreferment = (kind: StageKind) => PREFERMENTS.includes(kind);

/**
 * True for the stages that are mixed into one dough: neither its roll-in nor fillings and finishes beside it. In a formula
 * that is a filling or a finish by itself, its own stage.
 */
export function mixedInto(formula: Pick<Formula, 'stages'>): (kind: StageKind) => boolean {
  const isDough = formula.stages.some(({ kind }) => kind === 'dough' || kind === 'autolyse');
  return (kind) => kind !== 'roll-in' && !(isDough && (kind === 'filling' || kind === 'finish'));
}

/** All lines of the stages that a test lets through. */
export function linesOf(formula: Formula, test: (kind: StageKind) => boolean = () => true): FormulaLine[] {
  return formula.stages.filter(({ kind }) => test(kind)).flatMap(({ lines }) => lines);
}

/** Sum of percentages over stages. */
export function percentOf(formula: Formula, test?: (kind: StageKind) => boolean): number {
  return linesOf(formula, test).reduce((sum, { percent }) => sum + percent, 0);
}

/** What the dough weighs before butter, in percent of flour. */
export const doughPercent = (formula: Formula) => percentOf(formula, mixedInto(formula));

export const rollInPercent = (formula: Formula) => percentOf(formula, (kind) => kind === 'roll-in');

/** Flour in all stages, in percent: 100 in a formula that is right, 0 in one without flour. */
export function flourPercent(formula: Formula, book: IngredientBook): number {
  return shareOf(linesOf(formula), book, 'flour');
}

/** Percent of water, fat, sugar, salt, flour or instant yeast that lines bring with them. */
export function shareOf(
  lines: readonly FormulaLine[],
  book: IngredientBook,
  part: 'water' | 'fat' | 'sugar' | 'salt' | 'flour' | 'yeast',
): number {
  return lines.reduce(
    (sum, { ingredient, percent }) => sum + percent * (book.get(ingredient)?.[part] ?? 0),
    0,
  );
}

/** Flour creamed into the butter of a formula's roll-in, grams a gram of the rest of it; 0 where there is none. */
export function flourInRollIn({ stages }: Formula, book: IngredientBook): number {
  const lines = stages.filter(({ kind }) => kind === 'roll-in').flatMap((stage) => stage.lines);
  const flour = shareOf(lines, book, 'flour');
  const rest = lines.reduce((sum, { percent }) => sum + percent, 0) - flour;
  return rest > 0 ? flour / rest : 0;
}

/** Yeast of one kind for another, by weight: fresh 1, active dry 0.4, instant 0.33. */
const YEAST_STRENGTH = { fresh: 1, activeDry: 0.4, instant: 0.33 } as const;

export function convertYeast(
  grams: number,
  from: keyof typeof YEAST_STRENGTH,
  to: keyof typeof YEAST_STRENGTH,
): number {
  return (grams / YEAST_STRENGTH[from]) * YEAST_STRENGTH[to];
}
