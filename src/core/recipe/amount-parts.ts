import { coded, type Coded } from '../codes/coded';
import type { StageKind } from '../formula/formula';
import { type Ingredient, type IngredientBook, measuringOf } from '../formula/ingredient';
import { type Amount, readAmount } from '../units/amount';
import { isMass, type Kitchen } from '../units/measures';
import { weigh } from '../units/weigh';
import type { AmountLanguage } from '../units/words';
import { durationsIn } from './durations';
import type { Ask, Range, RecipeAmount, Span } from './reading';
import { split, trimmed } from './spans';
import { temperaturesIn } from './temperatures';
import type { RecipeWords } from './words/recipe-words';

/** What amounts are read by: the text, whose kitchen it is, and what the house knows of ingredients. */
export interface AmountReading {
  text: string;
  language: AmountLanguage;
  words: RecipeWords;
  kitchen: Kitchen;
  book: IngredientBook;
}

/** An amount with what it is of, before its stage is known. */
export interface AmountPart extends Omit<RecipeAmount, 'stage' | 'grams'> {
  /** As percent of the flour, where it is given so. */
  percent: Range | null;
  grams: Range | null;
  isRollIn: boolean;
  trouble: Coded | null;
}

/** Between the ingredients of one line. */
const LIST =
  /\s*[;·•]\s*|\.\s+(?=\d)|,\s+(?=[\d½¼¾⅓⅔])|,?\s+(?:and|und|et|&)\s+(?=[\d½¼¾⅓⅔])|,\s+(?:and|und|et)\s+(?=\d)/giu;
const BULLET = /^(?:[-–—*•·▢☐]|\d{1,2}[.)](?=\s))\s*/u;
const TRAILING = /^(.*?\p{L}[^\d½¼¾⅓⅔]*?)[\s:.…–—-]+((?:about |ca\. |env\. )?[\d½¼¾⅓⅔].*)$/iu;
const UNCOUNTED =
  /^(.*?\p{L}.*?),?\s+(?:to taste|as needed|for dusting|nach (?:geschmack|bedarf|belieben)|à volonté|selon le goût|q\.?\s?s\.?)\s*$/iu;

/**
 * Reads a part of a text as ingredients with their amounts: `500 g flour`, `Flour 500 g`, `600 g flour, 300 g water, 12 g
 * salt`.
 *
 * @returns null where some of it is neither; of what the book does not know, the part with its trouble
 */
export function readAmountLine(reading: AmountReading, line: Span): AmountPart[] | null {
  const { text } = reading;
  const bullet = BULLET.exec(text.slice(line.from, line.to))?.[0].length ?? 0;
  const body = { from: line.from + bullet, to: line.to };
  const parts = split(text, body, LIST).map((part) => readPart(reading, part));
  return parts.every((part) => part !== null) ? parts : null;
}

/** Every amount of something that the book knows, anywhere in a sentence. */
export function amountsWithin(reading: AmountReading, sentence: Span): AmountPart[] {
  const { text } = reading;
  const joints = /[,;:]\s+|\s+(?:and|und|et|with|mit|avec|von|of)\s+(?=[\d½¼¾⅓⅔])/giu;
  return split(text, sentence, joints).flatMap((part) => {
    for (const { index } of text.slice(part.from, part.to).matchAll(/(?<![\p{L}\d.,/])[\d½¼¾⅓⅔]/gu)) {
      const found = knownPrefix(reading, { from: part.from + index, to: part.to });
      if (found) return [found];
    }
    return [];
  });
}

/** An amount with as many words behind it as make a name that the book knows. */
function knownPrefix(reading: AmountReading, part: Span): AmountPart | null {
  const { text } = reading;
  const ends = [...text.slice(part.from, part.to).matchAll(/[\p{L}\d)](?=[\s.,;)]|$)/gu)].map(
    ({ index }) => part.from + index + 1,
  );
  for (const to of ends.slice(0, 9).reverse()) {
    const found = readPart(reading, { from: part.from, to });
    if (found?.ingredient && found.grams) return found;
  }
  return null;
}

function readPart(reading: AmountReading, whole: Span): AmountPart | null {
  const { text, language, words } = reading;
  const span = withoutStop(text, whole);
  const body = text.slice(span.from, span.to);
  if (isNoAmount(body, words)) return null;
  const uncounted = UNCOUNTED.exec(body);
  if (uncounted?.[1]) {
    const { ingredient, name } = nameOf(reading, uncounted[1]);
    return ingredient && part(span, { ingredient, name, text: body, isUncounted: true });
  }
  const leading = /^[\d½¼¾⅓⅔]|^(?:an?|one|two|eine?|zwei|une?|deux|half|about|etwa|environ)\s/iu.test(body);
  if (leading) {
    const read = readAmount(body, language);
    return read.ok ? ofAmount(reading, span, { amount: read.value, name: read.value.rest }) : null;
  }
  const trailing = TRAILING.exec(body);
  const read = trailing?.[2] === undefined ? null : readAmount(trailing[2], language);
  if (!read?.ok || read.value.rest.replace(/[()\s.]/g, '') !== '') return null;
  const hasUnit = read.value.values.flat().some(({ unit }) => unit !== null);
  return hasUnit ? ofAmount(reading, span, { amount: read.value, name: trailing?.[1] ?? '' }) : null;
}

/** A time or a temperature at the head is no amount of anything. */
function isNoAmount(body: string, words: RecipeWords): boolean {
  const first = [...durationsIn(body, words), ...temperaturesIn(body, words)];
  return first.some(({ from }) => from === 0) || body === '';
}

function withoutStop(text: string, span: Span): Span {
  const { from, to } = trimmed(text, span);
  return { from, to: /[.,;:]/.test(text[to - 1] ?? '') ? to - 1 : to };
}

const part = (
  span: Span,
  own: Pick<AmountPart, 'name' | 'text'> & { ingredient: Ingredient | null } & Partial<
      Omit<AmountPart, 'ingredient'>
    >,
): AmountPart => ({
  ...{ grams: null, percent: null, isRollIn: false, trouble: null, ...span },
  ...own,
  ingredient: own.ingredient?.id ?? null,
});

function ofAmount(
  reading: AmountReading,
  span: Span,
  { amount, name: typed }: { amount: Amount; name: string },
): AmountPart | null {
  const { text, kitchen, language, words } = reading;
  const beside = besideName(typed, language);
  const all = { ...amount, rest: '', values: [...amount.values, ...beside.values] };
  const counted = all.values
    .flat()
    .find(({ unit }) => unit === 'egg' || unit === 'yolk' || unit === 'white')?.unit;
  const egg = counted && (counted === 'egg' ? 'egg' : `egg ${counted}`);
  const typedName = beside.name.trim() === '' ? (egg ?? '') : beside.name;
  // "Fresh" says how it is, and of yeast which it is.
  const { ingredient, name } = nameOf(reading, typedName, amount.remarks.join(' '));
  const body = text.slice(span.from, span.to);
  if (name === '' && !ingredient) return null;
  const isRollIn = words.rollIn.test(body);
  const own = { name, ingredient, text: body, isRollIn };
  const percents = all.values.flat().filter(({ unit }) => unit === '%');
  if (percents[0]) return part(span, { ...own, percent: [percents[0].from, percents[0].to] });
  if (!ingredient) {
    const isCount = all.values.flat().every(({ unit }) => unit === null);
    return part(span, {
      ...own,
      trouble: coded(isCount ? 'recipe.whatIsThis' : 'recipe.unknownIngredient', { name }),
    });
  }
  const weighed = weigh(all, measuringOf(ingredient, kitchen, name));
  if (!weighed.ok) return part(span, { ...own, trouble: weighed.message });
  const { grams, upTo, disagree } = weighed.value;
  return part(span, { ...own, grams: [grams, upTo], trouble: disagree });
}

/** A name without what stands in brackets beside it; a weight in them is another value of the amount. */
function besideName(typed: string, language: AmountLanguage): { name: string; values: Amount['values'] } {
  const bracket = /\(([^)]*)\)/u.exec(typed);
  if (!bracket) return { name: typed, values: [] };
  const read = readAmount(bracket[1] ?? '', language);
  const values = read.ok
    ? read.value.values.filter((sum) =>
        sum.every(({ unit }) => unit !== null && (isMass(unit) || unit !== '%')),
      )
    : [];
  return { name: read.ok ? typed.replace(bracket[0], ' ') : typed, values };
}

/** What the book has for a name as it is written, with what may stand around it left out. */
function nameOf(
  { book, words }: AmountReading,
  typed: string,
  remarks = '',
): { ingredient: Ingredient | null; name: string } {
  const plain = typed
    .replace(/\([^)]*\)/gu, ' ')
    .replace(/^[\s,:.]*(?:of|de|du|des|d['’]|von|vom)(?![\p{L}])\s*|^\s*d['’]\s*/iu, '')
    .replace(/[\s,;:.]+$/u, '')
    .trim();
  const [head = ''] = plain.split(/,|\s(?:for|to|zum|für|pour|à (?=tourer))(?![\p{L}])/iu);
  const bare = (text: string) =>
    text
      .replace(words.beside, ' ')
      .replace(/['’](?=\s|$)/gu, ' ')
      .replace(/[^\p{L}\d'’%\s-]/gu, ' ')
      .replace(/\s+/gu, ' ')
      .trim();
  // "Flour (bread)": what stands in brackets may belong before the name.
  const bracket = /\(([\p{L}\s-]+)\)/u.exec(typed)?.[1]?.trim();
  const turned = bracket ? `${bracket} ${plain}` : plain;
  for (const candidate of [
    `${remarks} ${plain}`.trim(),
    turned,
    plain,
    head.trim(),
    bare(head),
    bare(plain),
  ]) {
    const ingredient = candidate.length > 1 ? book.find(candidate) : undefined;
    if (ingredient) return { ingredient, name: ingredient.name };
  }
  return { ingredient: null, name: head.trim() };
}

/** Parts with their stage as amounts of a recipe, in grams where they are percent of so much flour. */
export function amountOf(
  { percent, grams, from, to, ingredient, name, text, isUncounted }: AmountPart,
  { stage, flourGrams }: { stage: StageKind; flourGrams: number | null },
): RecipeAmount {
  const byFlour: Range | null =
    percent && flourGrams !== null
      ? [(percent[0] * flourGrams) / 100, (percent[1] * flourGrams) / 100]
      : null;
  return {
    ...{ from, to, ingredient, name, text, stage, grams: grams ?? byFlour },
    ...(isUncounted ? { isUncounted } : {}),
  };
}

/** What a part asks of a person; null where it is clear. */
export const askOf = ({ from, to, trouble }: AmountPart): Ask | null =>
  trouble && { from, to, message: trouble };
