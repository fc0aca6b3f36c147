import { coded, type Coded } from '../codes/coded';
import { parseTree, type ParseError } from 'jsonc-parser';
import { STAGE_KINDS, type Formula, type StageKind } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import { scale } from '../formula/scale';
import { readAmount } from '../units/amount';
import { draftOfRows, NO_FORMULA, type LineFault, type ReadFormula } from './read';
import { findRecipe } from './schema-org';

/** A formula as a schema.org Recipe (JSON-LD), in grams for `flourGrams` of flour, or of the whole without flour. */
export function writeRecipe(name: string, formula: Formula, book: IngredientBook, flourGrams = 1000): string {
  const hasFlour = formula.stages.some(({ lines }) =>
    lines.some(({ ingredient }) => (book.get(ingredient)?.flour ?? 0) > 0),
  );
  const scaled = scale(formula, book, { by: hasFlour ? 'flour' : 'finished', grams: flourGrams });
  const text = (line: { ingredient: string; grams: number; uncounted: boolean; approximate: boolean }) => {
    const what = book.get(line.ingredient)?.name ?? line.ingredient;
    if (line.uncounted) return `${what}, to taste`;
    return `${line.approximate ? 'about ' : ''}${Number(line.grams.toFixed(line.grams < 50 ? 2 : 1))} g ${what}`;
  };
  const total = Math.round(scaled.doughGrams + scaled.rollInGrams);
  const recipe = {
    ...{ '@context': 'https://schema.org', '@type': 'Recipe', name, recipeYield: `${total} g` },
    // The stage stands in brackets behind each ingredient, so that it comes back into its own.
    recipeIngredient: scaled.stages.flatMap(({ kind, lines }) =>
      lines.map((line) => `${text(line)} [${kind}]`),
    ),
    recipeInstructions: scaled.stages.map(({ kind, lines }) => ({
      ...{ '@type': 'HowToSection', name: kind },
      itemListElement: lines.map((line) => ({
        '@type': 'HowToStep',
        text: `${text(line)}${line.note ? `: ${line.note}` : ''}`,
      })),
    })),
    ...(formula.doughCelsius === null
      ? {}
      : { description: `Dough temperature ${formula.doughCelsius} °C.` }),
  };
  return `${JSON.stringify(recipe, null, 2)}\n`;
}

/**
 * Reads a schema.org Recipe: its name and ingredient lines. Stages in brackets are kept; lines without one go into the
 * dough. Every fault with its line.
 */
export function readRecipe(text: string): ReadFormula {
  const errors: ParseError[] = [];
  parseTree(text, errors);
  if (errors[0])
    return NO_FORMULA(coded('files.thisIsNoJSON'), text.slice(0, errors[0].offset).split('\n').length);
  const recipe = findRecipe(JSON.parse(text) as unknown);
  if (!recipe) return NO_FORMULA(coded('files.thereIsNoSchemaOrg'));
  const lines = Array.isArray(recipe.recipeIngredient) ? recipe.recipeIngredient : [];
  if (lines.length === 0) return NO_FORMULA(coded('files.theRecipeNamesNoIngredients'));
  const faults: LineFault[] = [];
  const textLines = text.split('\n');
  let from = 0;
  const rows = lines.flatMap((entry) => {
    const value = String(entry);
    const found = textLines.findIndex(
      (line, i) => i >= from && line.includes(JSON.stringify(value).slice(1, -1)),
    );
    if (found >= 0) from = found + 1;
    const read = readIngredientLine(value);
    if ('message' in read) {
      faults.push({ line: found < 0 ? 1 : found + 1, message: read.message });
      return [];
    }
    return [{ stage: read.stage, row: { name: read.name, amount: read.amount, note: '' } }];
  });
  const celsius =
    /(\d+(?:[.,]\d+)?) °C/.exec(typeof recipe.description === 'string' ? recipe.description : '')?.[1] ?? '';
  return {
    name: typeof recipe.name === 'string' ? recipe.name : '',
    draft: draftOfRows(rows, celsius),
    faults,
  };
}

/** One line of a recipe, `250 g milk` or `vanilla, to taste`, as name and amount. */
export function readIngredientLine(
  line: string,
): { name: string; amount: string; stage: StageKind } | { message: Coded } {
  const bracket = /\s*\[([^\]]+)\]\s*$/.exec(line);
  const stage = STAGE_KINDS.find((kind) => kind === bracket?.[1]?.toLowerCase()) ?? 'dough';
  const body = (bracket ? line.slice(0, bracket.index) : line).trim();
  const taste = /^(.*?),?\s+(to taste|as needed)$/i.exec(body);
  if (taste?.[1]) return { name: taste[1], amount: 'to taste', stage };
  const read = readAmount(body);
  if (!read.ok) return { message: coded('files.inLine', { line: body.slice(0, 60), fault: read.message }) };
  const name = read.value.rest.replace(/^,\s*/, '');
  const counted = read.value.values[0]?.[0]?.unit;
  if (name === '' && (counted === 'egg' || counted === 'yolk' || counted === 'white')) {
    return { name: counted === 'egg' ? 'egg' : `egg ${counted}`, amount: body, stage };
  }
  if (name === '') return { message: coded('files.namesNoIngredient', { body: body.slice(0, 60) }) };
  return {
    name,
    amount: body
      .slice(0, body.length - read.value.rest.length)
      .replace(/\s*\bof\s*$/i, '')
      .trim(),
    stage,
  };
}
