import { actualMix } from '@/core/formula/actual';
import { ingredientList, type ListedPart } from '@/core/formula/ingredient-list';
import type { Formula } from '@/core/formula/formula';
import { formulaRef } from '@/core/formula/parts';
import { scale } from '@/core/formula/scale';
import { pieceArea } from '@/core/cutting/piece';
import { endsAsDough, goesToStock, stockUse } from '@/core/process/output-way';
import { type DoughRecord, type OutputRecord, stateOf } from '@/core/record/dough';
import { dressingParts } from '@/core/shaping/dressing';
import { partsOfPiece } from '@/core/shaping/needs';
import type { DressingPart } from '@/core/shaping/part';
import { MINUTE } from '@/core/time/local';
import type { GoodsLabel } from '@/core/wire/label';
import { currentFormulas, formulaOfDough, ingredientsAndFormulas } from './formulas';
import { mixChanges } from './mixed';
import { keepMinutes } from './stock';
import type { Db } from '../db/rows';

/** What the labels of a dough's outputs say: what really went in, in what order, until when it keeps. */
export async function labelsOf(db: Db, dough: DoughRecord): Promise<GoodsLabel[]> {
  const [version, book, formulas, keeps] = await Promise.all([
    formulaOfDough(db, dough.id),
    ingredientsAndFormulas(db),
    currentFormulas(db),
    keepMinutes(db),
  ]);
  const own = new Map(formulas.map(({ formulaId, formula }) => [formulaRef(formulaId), formula]));
  const mixed = version && reallyMixed(version.formula, dough, book);
  const formulaOf = (ref: string) => own.get(ref);
  return dough.outputs.map((output) => {
    const made = madeOf(dough, output);
    const stock = stockUse(output.way);
    const kept = stock?.move === 'in' ? stock.kind : null;
    const keepsFor = kept ? keeps[kept] : output.freshFor;
    return {
      ...{ outputId: output.id, product: output.product, batch: dough.name, kept },
      ...{ pieces: output.pieces, perTray: output.piece.perTray },
      doughGrams: 1000 * (output.doughKg ?? 0),
      ingredients: ingredientList(partsOf(output, mixed, formulaOf), { book, formulaOf }),
      ...{ contains: output.allergens, undeclared: output.undeclared ?? [] },
      ...{ madeAt: made.at, isMade: made.isDone, bestBefore: made.at + keepsFor * MINUTE },
    };
  });
}

/** The formula as it was really mixed: weighed otherwise, added to, one thing taken for another. */
function reallyMixed(
  formula: Formula,
  dough: DoughRecord,
  book: Awaited<ReturnType<typeof ingredientsAndFormulas>>,
): Formula {
  const changes = mixChanges(dough.events);
  if (changes.length === 0) return formula;
  const planned = scale(formula, book, { by: 'finished', grams: dough.kg * 1000 });
  return actualMix({ planned, changes, bowls: dough.bowls, doughCelsius: formula.doughCelsius }, book)
    .formula;
}

/** A cut or a bend is no ingredient. */
const isPutOn = ({ grams, formulaId, allergens = [] }: DressingPart): boolean =>
  grams !== 0 || formulaId !== undefined || allergens.length > 0;

/** What is in a piece, or in the dough that is kept. */
function partsOf(
  { piece, way }: OutputRecord,
  mixed: Formula | null,
  formulaOf: (ref: string) => Formula | undefined,
): ListedPart[] {
  const dough = mixed ? [{ formula: mixed, grams: piece.grams }] : [];
  if (endsAsDough(way)) return dough;
  const weighed = partsOfPiece(piece, piece.cut ? pieceArea(piece.cut.size) : 0);
  return [
    ...dough,
    ...dressingParts(piece)
      .filter(isPutOn)
      .map((part): ListedPart => {
        const grams = weighed.find((one) => one.part === part)?.grams ?? 0;
        const formula = part.formulaId === undefined ? undefined : formulaOf(formulaRef(part.formulaId));
        return formula ? { formula, grams } : { name: part.name, grams, allergens: part.allergens ?? [] };
      }),
  ];
}

/** When an output was ready, or is to be by the plan. */
function madeOf(dough: DoughRecord, { id, way, dueAt }: OutputRecord): { at: number; isDone: boolean } {
  const { steps } = stateOf(dough);
  const own = dough.steps.filter(({ outputId }) => outputId === id);
  const end = goesToStock(way) ? own.find(({ step }) => step.stock === 'in') : own.at(-1);
  const state = end && steps.get(end.key);
  const isDone = state?.status === 'done';
  return { at: (isDone ? state.finishedAt : null) ?? end?.plannedEnd ?? dueAt, isDone };
}
