import { coded, type Coded } from '../codes/coded';
import { type Amount, readAmount } from '../units/amount';
import { eggPart, type EggSize, type Kitchen, type Measuring } from '../units/measures';
import { parseCelsius } from '../units/temperature';
import { unreadIn, weigh, weighText } from '../units/weigh';
import type { AmountLanguage } from '../units/words';
import type { Formula, FormulaLine, StageKind } from './formula';
import { type Ingredient, type IngredientBook, measuringOf } from './ingredient';

/** One row as typed: `milk`, `1/2 cup`, `tepid`. */
export interface DraftRow {
  name: string;
  amount: string;
  note: string;
}

/** A formula as it stands in the editor: nothing in it need be right yet. */
export interface Draft {
  stages: { kind: StageKind; rows: DraftRow[] }[];
  /** Total flour to show weights for, as typed; used where the flours are given in percent. */
  flour: string;
  doughCelsius: string;
}

/** Where a fault or remark stands; a null row is the stage, a null stage the whole. */
export interface Place {
  stage: number | null;
  row: number | null;
  field: 'name' | 'amount' | 'flour' | 'doughCelsius';
}

export interface Remark extends Place {
  message: Coded;
}

/** What a draft comes to so far. Rows that are empty or wrong are left out of `formula`. */
export interface ReadDraft {
  formula: Formula;
  /** Percent and grams by stage and row, null where the row has none yet. */
  rows: ({ percent: number; grams: number; upTo: number; ingredient: Ingredient | null } | null)[][];
  /** Total flour, or of a formula without flour the whole, in grams. */
  baseGrams: number;
  hasFlour: boolean;
  /** What must be put right before it can be kept. */
  faults: Remark[];
  /** What is odd but allowed: two values that disagree. */
  remarks: Remark[];
}

/** Most percent that one line may have: a slip of the finger above, whatever is being made. */
const LARGEST_PERCENT = 2000;
const MOST_LINES = 120;

/** Up to so many whole eggs in percentages throughout: are they per cent, or eggs? */
const FEW_EGGS = 6;

export interface Reading {
  book: IngredientBook;
  kitchen: Kitchen;
  /** The house's eggs, where a row names no size. */
  eggs?: EggSize;
  language?: AmountLanguage;
}

/** A row that was read: a percentage, or grams; of a range both ends. */
interface RowSoFar {
  place: { stage: number; row: number };
  ingredient: Ingredient | null;
  amount: Amount;
  percent: { from: number; to: number } | null;
  grams: { from: number; to: number } | null;
}

/**
 * Reads an editor's rows into a formula. A row may be a percentage (`54 %`) or an amount (`540 g`, `2 cups + 3 tbsp`);
 * both may be mixed. A bare number is a percentage only where all other rows are percentages or bare numbers too; else it
 * is asked about, but for a few eggs. Where flours are given by weight they set the flour; where all are percentages,
 * `flour` does. A formula without flour has its whole weight as 100 and wants amounts or percentages throughout.
 */
export function readDraft(draft: Draft, reading: Reading): ReadDraft {
  const { found, faults, remarks } = readRows(draft, reading);
  if (found.length > MOST_LINES)
    faults.push({ ...whole('amount'), message: coded('formulas.aFormulaHasAtMost', { most: MOST_LINES }) });
  const { kitchen } = reading;
  const base = baseOf(found, draft.flour, faults, kitchen);
  const { stages, rows } = stagesOf(draft, found, base.grams, faults);
  const doughCelsius = draft.doughCelsius.trim() === '' ? null : parseCelsius(draft.doughCelsius);
  if (draft.doughCelsius.trim() !== '' && (doughCelsius === null || doughCelsius < 5 || doughCelsius > 40))
    faults.push({ ...whole('doughCelsius'), message: coded('formulas.aDoughTemperatureLiesBetween') });
  if (found.length === 0) faults.push({ ...whole('amount'), message: coded('formulas.aFormulaHasAtLeast') });
  // Only where an amount is read again in it.
  const measured = stages.some(({ lines }) => lines.some(({ typed, uncounted }) => typed && !uncounted));
  return {
    formula: { stages, doughCelsius, ...(measured ? { kitchen } : {}) },
    ...{ rows, baseGrams: base.grams, hasFlour: base.hasFlour, faults, remarks },
  };
}

/** Reads each row by itself: what is in it, as a percentage or in grams, and what is wrong with it. */
function readRows(draft: Draft, { book, kitchen, eggs, language }: Reading) {
  const faults: Remark[] = [];
  const remarks: Remark[] = [];
  const found: RowSoFar[] = [];
  const written = draft.stages.flatMap(({ rows }, stage) =>
    rows.map((row, at) => ({ row, place: { stage, row: at }, read: readAmount(row.amount, language) })),
  );
  const inPercent = written.every(
    ({ read }) => !read.ok || read.value.values.flat().every(({ unit }) => unit === '%' || unit === null),
  );
  for (const { row, place, read } of written) {
    if (row.name.trim() === '' && row.amount.trim() === '') continue;
    const ingredient = book.find(row.name) ?? null;
    if (!ingredient) faults.push({ ...place, field: 'name', message: unknownName(row.name, book) });
    // One question at a time: what a packet weighs is asked once it is known what is in it.
    const refuse = (message: Coded) => ingredient && faults.push({ ...place, field: 'amount', message });
    if (!read.ok) {
      refuse(read.message);
      continue;
    }
    const measuring = { ...measuringOf(ingredient, kitchen, row.name), eggs };
    const percent = percentIn(read.value, inPercent);
    if (percent) {
      const doubt = percentFault(read.value, percent.from, measuring);
      if (doubt) refuse(doubt);
      else found.push({ place, ingredient, amount: read.value, percent, grams: null });
      continue;
    }
    const weighed = weigh(read.value, measuring);
    if (!weighed.ok) {
      refuse(weighed.message);
      continue;
    }
    const { grams, upTo, disagree } = weighed.value;
    if (disagree) remarks.push({ ...place, field: 'amount', message: disagree });
    found.push({ place, ingredient, amount: read.value, percent: null, grams: { from: grams, to: upTo } });
  }
  return { found, faults, remarks };
}

/** What makes a percentage doubtful: words beside it, or a bare number that may be a count of eggs. */
function percentFault(amount: Amount, percent: number, measuring: Measuring): Coded | null {
  const unread = unreadIn(amount, measuring);
  if (unread !== null) return coded('formulas.wasNotUnderstoodWriteThe', { unread });
  const isBare = amount.values[0]?.[0]?.unit === null;
  return isBare && eggPart(measuring) && Number.isInteger(percent) && percent <= FEW_EGGS
    ? coded('formulas.isItEggsOrWrite', { from: percent })
    : null;
}

/** The rows as lines of stages without empty ones, and each row's share and weight for the editor. */
function stagesOf(draft: Draft, found: readonly RowSoFar[], baseGrams: number, faults: Remark[]) {
  const rows: ReadDraft['rows'] = draft.stages.map((stage) => stage.rows.map(() => null));
  const lineAt = (row: RowSoFar): FormulaLine[] => {
    const { place, ingredient } = row;
    const shares = shareOfBase(row, baseGrams);
    const target = rows[place.stage];
    if (target) target[place.row] = { percent: shares.from, ...gramsIn(row, baseGrams), ingredient };
    if (shares.to > LARGEST_PERCENT) {
      const values = { percent: Math.round(shares.to), most: LARGEST_PERCENT };
      faults.push({ ...place, field: 'amount', message: coded('formulas.ofTheFlourCannotBe', values) });
      return [];
    }
    const typed = draft.stages[place.stage]?.rows[place.row];
    return ingredient && typed ? [lineOf(row, ingredient, typed, shares)] : [];
  };
  const stages = draft.stages
    .map(({ kind }, nth) => ({
      kind,
      lines: found.filter(({ place }) => place.stage === nth).flatMap(lineAt),
    }))
    .filter(({ lines }) => lines.length > 0);
  return { stages, rows };
}

/** A percentage, or a bare number where everything else is in percentages; null where it is an amount. */
function percentIn({ values }: Amount, inPercent: boolean): { from: number; to: number } | null {
  const written = values.find((sum) => sum.length === 1 && sum[0]?.unit === '%');
  const bare =
    inPercent && values.length === 1 && values[0]?.length === 1 && !values[0][0]?.size ? values[0] : null;
  const [term] = written ?? bare ?? [];
  return term && (term.unit === '%' || term.unit === null) ? { from: term.from, to: term.to } : null;
}

/** Says that a name is not known, and what may have been meant. */
function unknownName(typed: string, book: IngredientBook): Coded {
  const name = typed.trim().slice(0, 40);
  if (name === '') return coded('formulas.nameTheIngredient');
  const like = book.like(name);
  if (like.length > 1) return coded('formulas.which', { name, like: { oneOf: like.map((one) => one.name) } });
  const [only] = like;
  if (only) return coded('formulas.isNotKnownIsIt', { name, name2: only.name });
  return coded('formulas.isNotKnownYetChoose', { name });
}

/** Percent of the flour, from and to. */
function shareOfBase({ percent, grams }: RowSoFar, base: number): { from: number; to: number } {
  if (percent) return percent;
  const of = (weight: number) => (base > 0 ? (100 * weight) / base : 0);
  return { from: of(grams?.from ?? 0), to: of(grams?.to ?? 0) };
}

function gramsIn({ percent, grams }: RowSoFar, base: number): { grams: number; upTo: number } {
  if (grams) return { grams: grams.from, upTo: grams.to };
  return { grams: ((percent?.from ?? 0) * base) / 100, upTo: ((percent?.to ?? 0) * base) / 100 };
}

function lineOf(
  { amount, percent }: RowSoFar,
  ingredient: Ingredient,
  typed: DraftRow,
  { from, to }: { from: number; to: number },
): FormulaLine {
  const note = typed.note.trim().slice(0, 200);
  return {
    ingredient: ingredient.id,
    percent: round(from),
    ...(to > from ? { upTo: round(to) } : {}),
    ...(percent === null ? { typed: typed.amount.trim() } : {}),
    ...(amount.approximate && !amount.uncounted ? { approximate: true } : {}),
    ...(amount.uncounted ? { uncounted: true } : {}),
    ...(note ? { note } : {}),
  };
}

/** What 100 % weighs: from flours given by weight, else as typed; without flour, the whole. */
function baseOf(
  found: RowSoFar[],
  typed: string,
  faults: Remark[],
  kitchen: Kitchen,
): { grams: number; hasFlour: boolean } {
  const share = ({ ingredient }: RowSoFar) => ingredient?.flour ?? 0;
  const flours = found.filter((row) => share(row) > 0);
  if (flours.length === 0) return { grams: wholeOf(found, typed, faults, kitchen), hasFlour: false };
  const inGrams = flours.reduce((sum, row) => sum + share(row) * (row.grams?.from ?? 0), 0);
  const inPercent = flours.reduce((sum, row) => sum + share(row) * (row.percent?.from ?? 0), 0);
  const weighed = flours.some(({ grams }) => grams !== null);
  const where = flours[0]?.place ?? { stage: 0, row: 0 };
  const percent = { percent: inPercent };
  if (weighed) {
    if (inPercent >= 100 || inGrams <= 0) {
      faults.push({
        ...where,
        field: 'amount',
        message:
          inGrams <= 0
            ? coded('formulas.theFlourWeighsNothing')
            : coded('formulas.floursInPercentComeTo', { percent }),
      });
      return { grams: inGrams, hasFlour: true };
    }
    return { grams: inGrams / (1 - inPercent / 100), hasFlour: true };
  }
  if (Math.abs(inPercent - 100) > 0.05) {
    faults.push({
      ...where,
      field: 'amount',
      message: coded('formulas.allFloursTogetherAre100', { percent }),
    });
  }
  return { grams: weightTyped(typed, faults, kitchen), hasFlour: true };
}

/** Of a filling or finish: the weights together; where all are percentages they must be 100. */
function wholeOf(found: RowSoFar[], typed: string, faults: Remark[], kitchen: Kitchen): number {
  const grams = found.reduce((sum, row) => sum + (row.grams?.from ?? 0), 0);
  const percent = found.reduce((sum, row) => sum + (row.percent?.from ?? 0), 0);
  if (found.every((row) => row.percent === null)) return grams;
  if (grams > 0 && percent < 100) return grams / (1 - percent / 100);
  if (found.length > 0 && Math.abs(percent - 100) > 0.05) {
    faults.push({
      ...whole('amount'),
      message: coded('formulas.noFlourThenAllIngredients', { percent: { percent } }),
    });
  }
  return weightTyped(typed, faults, kitchen);
}

function weightTyped(typed: string, faults: Remark[], kitchen: Kitchen): number {
  const weighed = weighText(typed, { kitchen, name: 'flour', density: 0.53, bare: 'g' });
  const grams = weighed.ok ? weighed.value.grams : 0;
  if (grams > 0 && grams <= 1e6) return grams;
  faults.push({
    ...whole('flour'),
    message: coded('formulas.giveAWeightToShow'),
  });
  return 1000;
}

const whole = (field: Place['field']): Place => ({ stage: null, row: null, field });

const round = (value: number, digits = 4) => Number(value.toFixed(digits));

/** What stands in rows that were not read, by the names that were typed: what they contain is not known. */
export function unreadNames(draft: Draft, { faults }: Pick<ReadDraft, 'faults'>): string[] {
  const names = faults.flatMap(({ stage, row }) =>
    stage === null || row === null ? [] : (draft.stages[stage]?.rows[row]?.name.trim() ?? []),
  );
  return [...new Set(names.filter((name) => name !== ''))];
}

/** A formula as rows to edit: amounts as they were typed, and percentages where they were typed so. */
export function draftOf(formula: Formula, book: IngredientBook, flour = '1 kg'): Draft {
  return {
    stages: formula.stages.map(({ kind, lines }) => ({
      kind,
      rows: lines.map((line) => ({
        name: book.get(line.ingredient)?.name ?? line.ingredient,
        amount: amountOf(line, formula.kitchen !== undefined),
        note: line.note ?? '',
      })),
    })),
    flour,
    doughCelsius: formula.doughCelsius === null ? '' : `${formula.doughCelsius} °C`,
  };
}

/** Without the kitchen that it was typed in, a cup may be anybody's. */
function amountOf(
  { percent, upTo, approximate, uncounted, typed }: FormulaLine,
  hasKitchen: boolean,
): string {
  if (uncounted) return typed ?? 'to taste';
  if (typed && hasKitchen) return typed;
  const range = upTo === undefined ? '' : ` to ${round(upTo, 3)}`;
  return `${approximate ? 'about ' : ''}${round(percent, 3)}${range} %`;
}
