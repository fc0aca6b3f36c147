import { readAmount, weigh, type Amount } from '../units/amount';
import type { EggSize, Kitchen } from '../units/measures';
import { parseCelsius } from '../units/temperature';
import type { Formula, FormulaLine, StageKind } from './formula';
import type { Ingredient, IngredientBook } from './ingredient';

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
  message: string;
}

/** What a draft comes to so far. Rows that are empty or wrong are left out of `formula`. */
export interface ReadDraft {
  formula: Formula;
  /** Percent and grams by stage and row, null where the row has none yet. */
  rows: ({ percent: number; grams: number; ingredient: Ingredient | null } | null)[][];
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

export interface Reading {
  book: IngredientBook;
  kitchen: Kitchen;
  eggs?: EggSize;
}

interface RowSoFar {
  place: { stage: number; row: number };
  ingredient: Ingredient | null;
  amount: Amount;
  /** Given as a percentage, else as grams. */
  percent: number | null;
  grams: number | null;
}

/**
 * Reads an editor's rows into a formula. A row may be a percentage (`54`, `54 %`) or an amount (`540 g`, `2 cups`);
 * both may be mixed. Where flours are given by weight they set the flour; where all are percentages, `flour` does.
 * A formula without flour has its whole weight as 100 and wants amounts or percentages throughout.
 */
export function readDraft(draft: Draft, { book, kitchen, eggs = 'M' }: Reading): ReadDraft {
  const faults: Remark[] = [];
  const remarks: Remark[] = [];
  const found: RowSoFar[] = [];
  draft.stages.forEach(({ rows }, stage) =>
    rows.forEach((row, at) => {
      if (row.name.trim() === '' && row.amount.trim() === '') return;
      const place = { stage, row: at };
      const ingredient = book.find(row.name) ?? null;
      if (row.name.trim() === '') faults.push({ ...place, field: 'name', message: 'Name the ingredient.' });
      else if (!ingredient)
        faults.push({
          ...place,
          field: 'name',
          message: `The house does not know “${row.name.trim().slice(0, 40)}” yet; choose another, or add it to the ingredients.`,
        });
      const read = readAmount(row.amount);
      if (!read.ok) {
        faults.push({ ...place, field: 'amount', message: read.message });
        return;
      }
      const asPercent = read.value.measured.find(({ unit }) => unit === '%' || unit === null);
      let grams: number | null = null;
      if (!asPercent) {
        const density = ingredient?.density ?? null;
        const weighed = weigh(read.value, { kitchen, eggs, name: ingredient?.name ?? row.name, density });
        if (!weighed.ok) {
          faults.push({ ...place, field: 'amount', message: weighed.message });
          return;
        }
        grams = weighed.value.grams;
        if (weighed.value.disagree)
          remarks.push({ ...place, field: 'amount', message: weighed.value.disagree });
      }
      found.push({ place, ingredient, amount: read.value, percent: asPercent?.value ?? null, grams });
    }),
  );
  if (found.length > MOST_LINES)
    faults.push({
      ...whole('amount'),
      message: `A formula has at most ${MOST_LINES} lines; make parts of it formulas of their own.`,
    });
  const base = baseOf(found, draft.flour, faults, kitchen);
  const rows: ReadDraft['rows'] = draft.stages.map((stage) => stage.rows.map(() => null));
  const stages = draft.stages.map(({ kind }, nth) => ({
    kind,
    lines: found
      .filter(({ place }) => place.stage === nth)
      .flatMap(({ place, ingredient, amount, percent, grams }): FormulaLine[] => {
        const of = percent ?? (base.grams > 0 ? (100 * (grams ?? 0)) / base.grams : 0);
        const weight = grams ?? (of * base.grams) / 100;
        const target = rows[place.stage];
        if (target) target[place.row] = { percent: of, grams: weight, ingredient };
        if (of > LARGEST_PERCENT) {
          faults.push({
            ...place,
            field: 'amount',
            message: `${Math.round(of).toLocaleString('en')} % of the flour is a slip of the finger; at most ${LARGEST_PERCENT} %.`,
          });
          return [];
        }
        if (!ingredient) return [];
        const row = draft.stages[place.stage]?.rows[place.row];
        return [
          {
            ingredient: ingredient.id,
            percent: round(of),
            ...(percent === null && row ? { typed: row.amount.trim() } : {}),
            ...(amount.approximate && !amount.uncounted ? { approximate: true } : {}),
            ...(amount.uncounted ? { uncounted: true } : {}),
            ...(row?.note.trim() ? { note: row.note.trim().slice(0, 200) } : {}),
          },
        ];
      }),
  }));
  const celsius = draft.doughCelsius.trim() === '' ? null : parseCelsius(draft.doughCelsius);
  if (draft.doughCelsius.trim() !== '' && (celsius === null || celsius < 5 || celsius > 40))
    faults.push({
      ...whole('doughCelsius'),
      message: 'A dough temperature lies between 5 and 40 °C, such as 24 or 75 F.',
    });
  if (found.length === 0)
    faults.push({ ...whole('amount'), message: 'A formula has at least one ingredient.' });
  const kept = stages.filter(({ lines }) => lines.length > 0);
  return {
    ...{
      formula: { stages: kept, doughCelsius: celsius },
      rows,
      baseGrams: base.grams,
      hasFlour: base.hasFlour,
    },
    ...{ faults, remarks },
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
  const inGrams = flours.reduce((sum, row) => sum + share(row) * (row.grams ?? 0), 0);
  const inPercent = flours.reduce((sum, row) => sum + share(row) * (row.percent ?? 0), 0);
  const weighed = flours.some(({ grams }) => grams !== null);
  const where = flours[0]?.place ?? { stage: 0, row: 0 };
  const text = `${round(inPercent, 1)} %`;
  if (weighed) {
    if (inPercent >= 100 || inGrams <= 0) {
      faults.push({
        ...where,
        field: 'amount',
        message:
          inGrams <= 0
            ? 'The flour weighs nothing.'
            : `Flours in percent come to ${text} already, and others are given by weight; write them all one way.`,
      });
      return { grams: inGrams, hasFlour: true };
    }
    return { grams: inGrams / (1 - inPercent / 100), hasFlour: true };
  }
  if (Math.abs(inPercent - 100) > 0.05) {
    faults.push({
      ...where,
      field: 'amount',
      message: `All flours together are 100 %, those of levain and sponge included; here they are ${text}.`,
    });
  }
  return { grams: weightTyped(typed, faults, kitchen), hasFlour: true };
}

/** Of a filling or finish: the weights together; where all are percentages they must be 100. */
function wholeOf(found: RowSoFar[], typed: string, faults: Remark[], kitchen: Kitchen): number {
  const grams = found.reduce((sum, row) => sum + (row.grams ?? 0), 0);
  const percent = found.reduce((sum, row) => sum + (row.percent ?? 0), 0);
  if (found.every((row) => row.percent === null)) return grams;
  if (grams > 0 && percent < 100) return grams / (1 - percent / 100);
  if (found.length > 0 && Math.abs(percent - 100) > 0.05) {
    faults.push({
      ...whole('amount'),
      message: `No flour: then all ingredients together are 100 %, and here they are ${round(percent, 1)} %. Add the flour, or give weights.`,
    });
  }
  return weightTyped(typed, faults, kitchen);
}

function weightTyped(typed: string, faults: Remark[], kitchen: Kitchen): number {
  const read = readAmount(typed);
  const weighed = read.ok ? weigh(read.value, { kitchen, eggs: 'M', name: 'flour', density: 0.53 }) : read;
  const grams = weighed.ok ? weighed.value.grams : 0;
  if (grams > 0 && grams <= 1e6) return grams;
  faults.push({
    ...whole('flour'),
    message: 'Give a weight to show the amounts for, such as 1 kg, 9000 g or 20 lb, up to 1000 kg.',
  });
  return 1000;
}

const whole = (field: Place['field']): Place => ({ stage: null, row: null, field });

const round = (value: number, digits = 4) => Number(value.toFixed(digits));

/** A formula as rows to edit: percentages, or what was typed where that was something else. */
export function draftOf(formula: Formula, book: IngredientBook, flour = '1 kg'): Draft {
  return {
    stages: formula.stages.map(({ kind, lines }) => ({
      kind,
      rows: lines.map(({ ingredient, percent, approximate, uncounted, typed, note }) => ({
        name: book.get(ingredient)?.name ?? ingredient,
        amount: uncounted ? (typed ?? 'to taste') : `${approximate ? 'about ' : ''}${round(percent, 3)} %`,
        note: note ?? '',
      })),
    })),
    flour,
    doughCelsius: formula.doughCelsius === null ? '' : String(formula.doughCelsius),
  };
}
