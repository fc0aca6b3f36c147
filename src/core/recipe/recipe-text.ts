import Papa from 'papaparse';
import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
import { findRecipe, type Json } from '../exchange/schema-org';

/** Longest recipe that is read, characters: some ten printed pages. */
export const LONGEST_RECIPE = 30_000;

/** Characters that no text has. */
const NO_TEXT = /[\u0000-\u0008\u000E-\u001F\uFFFD]/g;

/**
 * A recipe as lines of text: a schema.org Recipe (JSON-LD) becomes its lines, so does a table (CSV); other text stays as it
 * is.
 *
 * @throws {Fault} where it is too long or no text at all
 */
export function recipeText(raw: string): string {
  if (raw.length > LONGEST_RECIPE) throw new Fault(coded('recipe.tooLong', { most: LONGEST_RECIPE }));
  if ((raw.match(NO_TEXT)?.length ?? 0) > raw.length / 100) throw new Fault(coded('recipe.noText'));
  const text = raw
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .replace(NO_TEXT, ' ');
  return ofJson(text) ?? ofTable(text) ?? text;
}

function ofJson(text: string): string | null {
  if (!/^\s*[{[]/.test(text)) return null;
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    return null;
  }
  const recipe = findRecipe(read);
  if (!recipe) return null;
  const pieces = [recipe.recipeYield]
    .flat()
    .find((one) => typeof one === 'string' || typeof one === 'number');
  return [
    typeof recipe.name === 'string' ? recipe.name : '',
    pieces === undefined ? '' : /^\d+$/.test(String(pieces)) ? `(${pieces})` : String(pieces),
    '',
    ...[recipe.recipeIngredient].flat().filter((one) => typeof one === 'string'),
    '',
    ...instructions(recipe.recipeInstructions),
  ].join('\n');
}

/** Instructions as schema.org has them: text, steps, or sections of steps. */
function instructions(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(instructions);
  if (typeof value !== 'object' || value === null) return [];
  const { text, name, itemListElement } = value as Json;
  if (itemListElement !== undefined)
    return [...(typeof name === 'string' ? [`${name}:`] : []), ...instructions(itemListElement)];
  return typeof text === 'string' ? [text] : typeof name === 'string' ? [name] : [];
}

/** A table with a line of headings: each row as a line. */
function ofTable(text: string): string | null {
  const [head = ''] = text.split('\n');
  if (!/^[\p{L} "_]+[,;\t][\p{L} ",;\t_]+$/u.test(head.trim())) return null;
  const { data, errors } = Papa.parse<string[]>(text.trim());
  const width = data[0]?.length ?? 0;
  if (errors.length > 0 || width < 2 || data.length < 3 || data.some((row) => row.length !== width))
    return null;
  return data
    .slice(1)
    .map((row) =>
      row
        .map((cell) => cell.trim())
        .join(' ')
        .trim(),
    )
    .join('\n');
}
