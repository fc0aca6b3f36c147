import { coded } from '../codes/coded';
import type { IngredientBook } from '../formula/ingredient';
import type { AmountPart } from './amount-parts';
import { cuesIn } from './clauses';
import type { Ask, RecipeAmount, Span } from './reading';
import type { RecipeWords } from './words/recipe-words';

/** Two values for one length may differ by so much: inches are rounded. */
const LENGTHS_APART = 0.08;
/** An amount that is named again may differ by so much. */
const AMOUNTS_APART = 0.02;
const LENGTH = '(\\d+(?:[.,]\\d+)?)';
const UNIT = '(cm|mm|inch(?:es)?|in\\.?|″|")';
const AREA = new RegExp(`${LENGTH}\\s*${UNIT}?\\s*[x×]\\s*${LENGTH}\\s*${UNIT}`, 'giu');
const TWICE = new RegExp(`${LENGTH}[\\s-]*${UNIT}\\s*(?:\\(|/|,)\\s*${LENGTH}\\s*${UNIT}\\)?`, 'giu');

const centimetres = (value: string | undefined, unit: string | undefined): number =>
  Number((value ?? '').replace(',', '.')) *
  (unit === undefined || unit === 'cm' ? 1 : unit === 'mm' ? 0.1 : 2.54);

/** Sheets of a text, cm, with their places. */
export function sheetsIn(text: string): (Span & { length: number; width: number })[] {
  return [...text.matchAll(AREA)].map(({ 0: all, 1: a, 2: unit, 3: b, 4: last, index }) => ({
    ...{ from: index, to: index + all.length },
    length: centimetres(a, unit ?? last),
    width: centimetres(b, last),
  }));
}

/** Asks about sheets that are longer than the bench, cm, and lengths that are said in two ways which disagree. */
export function lengthAsks(text: string, benchCm: number): Ask[] {
  const long = sheetsIn(text)
    .filter(({ length, width }) => Math.max(length, width) > benchCm)
    .map(({ from, to }) => ({
      from,
      to,
      message: coded('recipe.longerThanTheBench', { bench: { cm: benchCm } }),
    }));
  const twice = [...text.matchAll(TWICE)].flatMap(
    ({ 0: all, 1: a, 2: one, 3: b, 4: other, index }): Ask[] => {
      const [first, second] = [centimetres(a, one?.toLowerCase()), centimetres(b, other?.toLowerCase())];
      const isSameUnit = one?.toLowerCase() === other?.toLowerCase();
      const isNear = Math.abs(first - second) <= LENGTHS_APART * Math.max(first, second);
      return isSameUnit || isNear
        ? []
        : [{ from: index, to: index + all.length, message: coded('recipe.valuesDisagree') }];
    },
  );
  const sheets = sheetsIn(text);
  const areas = sheets.flatMap((sheet, at): Ask[] => {
    const next = sheets[at + 1];
    if (!next || !/^\s*[(/]\s*$/u.test(text.slice(sheet.to, next.from))) return [];
    const isNear = ([a, b]: [number, number]) => Math.abs(a - b) <= LENGTHS_APART * Math.max(a, b);
    const pairs: [number, number][] = [
      [sheet.length, next.length],
      [sheet.width, next.width],
    ];
    return pairs.every(isNear)
      ? []
      : [{ from: sheet.from, to: next.to, message: coded('recipe.valuesDisagree') }];
  });
  return [...long, ...twice, ...areas];
}

/** Asks where a name or a list says another number of turns than the method gives. */
export function turnAsks(
  text: string,
  spans: readonly Span[],
  { words, turns }: { words: RecipeWords; turns: number },
): Ask[] {
  if (turns === 0) return [];
  return spans.flatMap((span) =>
    cuesIn(text.slice(span.from, span.to), words)
      .filter(({ act, times = 0 }) => act === 'turn' && times > 1 && times !== turns)
      .map(({ from, to }) => ({
        ...{ from: span.from + from, to: span.from + to },
        message: coded('recipe.otherTurns', { turns }),
      })),
  );
}

/** Asks where the method names another amount of an ingredient than the list has. */
export function amountAsks(
  named: readonly AmountPart[],
  listed: readonly RecipeAmount[],
  book: IngredientBook,
): Ask[] {
  return named.flatMap(({ ingredient, grams, from, to }): Ask[] => {
    const own = listed.filter((one) => one.ingredient === ingredient && one.grams !== null);
    if (own.length === 0 || !grams) return [];
    const lines = own.map((one) => one.grams?.[0] ?? 0);
    const all = [...lines, lines.reduce((sum, one) => sum + one, 0)];
    const isListed = all.some((one) => Math.abs(one - grams[0]) <= AMOUNTS_APART * Math.max(one, grams[0]));
    if (isListed) return [];
    return [{ from, to, message: coded('recipe.otherAmount', { ingredient: nameIn(book, ingredient) }) }];
  });
}

const nameIn = (book: IngredientBook, id: string | null) => (id === null ? '' : (book.get(id)?.name ?? id));
