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
  /** It is for the wash, or goes on at the end. */
  isFinish: boolean;
  trouble: Coded | null;
}

/** Between the ingredients of one line. */
const LIST =
  /\s*[;·•|]\s*|(?<!(?:ca|env|approx|min))\.\s+(?=\d)|,\s+(?=[\d½¼¾⅓⅔])|,?\s+(?:and|und|et|&)\s+(?=[\d½¼¾⅓⅔])|,\s+(?:and|und|et)\s+(?=\d)/giu;
const ADDED = /\s*\+\s*(?=[\d½¼¾])|,?\s+(?:beaten |verquirlt |battu )?(?:with|mit|avec)\s+(?=[\d½¼¾])/giu;
const BULLET = /^(?:[-–—*•·▢☐]|\d{1,2}[.)](?=\s))\s*/u;
/** Words that begin an amount without a digit. */
const LEADING =
  /^(?:[\d½¼¾⅓⅔]|(?:an?|one|two|three|half|about|approx\.?|eine?|zwei|drei|etwas|etwa|ca\.?|une?|deux|trois|environ|un peu|le zeste|le jus|pinch|dash|zest|juice|handful|prise|saft|schale|abrieb|abgeriebene|pincée|zeste|jus)\s)/iu;
/** A number behind a name. */
const NUMBER_WITHIN = /(?<![\p{L}\d.,/])(?:about |ca\. |env\. )?[\d½¼¾⅓⅔]/giu;
/** What follows it says how an ingredient is, or what it is for. */
const NO_NAME =
  /,|\s(?:for|to|but|that|which|not|at|in|zum|zur|für|aber|nicht|pour|mais|qui|à (?=tourer|température))(?![\p{L}])/iu;
const UNCOUNTED =
  /^(?![\d½¼¾⅓⅔])(.*?\p{L}.*?),?\s+(?:to taste|as needed|for dusting|nach (?:geschmack|bedarf|belieben)|à volonté|selon le goût|q\.?\s?s\.?)\s*$/iu;

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
  // "Water (cold), 260 g": its amount stands last.
  const whole = LEADING.test(text.slice(body.from, body.to)) ? null : readPart(reading, body);
  if (whole?.ingredient && !whole.trouble) return [whole];
  const parts = split(text, body, LIST).flatMap((one) => inSums(reading, one));
  return parts.every((one) => one !== null) ? parts : null;
}

/** A part, or what is added up in it: `1 egg beaten with 1 tbsp milk`, `1 yolk + 1 tbsp cream`. `1 cup + 2 tbsp flour` is one. */
function inSums(reading: AmountReading, whole: Span): (AmountPart | null)[] {
  // "1 cup" alone names nothing: only what names something on both sides is two things.
  const apart = split(reading.text, whole, ADDED).map((one) => readPart(reading, one));
  return apart.length > 1 && apart.every((one) => one?.ingredient) ? apart : [readPart(reading, whole)];
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
  if (LEADING.test(body)) {
    const read = readAmount(body.replace(/(?<!\p{L})Bio-(?=\p{L})/giu, ''), language);
    return read.ok ? ofAmount(reading, span, { amount: read.value, name: read.value.rest }) : null;
  }
  // "Beurre sec 82 % : 300 g": the first number from which all that follows is one amount.
  for (const { index } of body.matchAll(NUMBER_WITHIN)) {
    const amount = readAmount(body.slice(index), language);
    if (!amount.ok || amount.value.rest.replace(/[()\s.]/g, '') !== '') continue;
    if (amount.value.values.flat().every(({ unit }) => unit === null)) continue;
    const name = body.slice(0, index).replace(/[\s:,.…–—-]+$/u, '');
    return ofAmount(reading, span, { amount: amount.value, name });
  }
  return null;
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
  ...{ grams: null, percent: null, isRollIn: false, isFinish: false, trouble: null, ...span },
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
  const fruit = all.values.flat().find(({ part: of }) => of !== undefined);
  const egg = counted && (counted === 'egg' ? 'egg' : `egg ${counted}`);
  const ofItself = fruit ? `${String(fruit.unit)} ${String(fruit.part)}` : egg;
  // "Fresh" says how it is, and of yeast which it is.
  const typedName = nameOf(reading, beside.name, amount.remarks.join(' '));
  // "1 egg, for the wash": what is counted is what it is of; yeast in cubes is fresh.
  const isCube = all.values.flat().some(({ unit }) => unit === 'cube');
  const itself = ofItself ?? (isCube ? 'fresh yeast' : undefined);
  const { ingredient, name } = typedName.ingredient || !itself ? typedName : nameOf(reading, itself);
  const body = text.slice(span.from, span.to);
  if (!ingredient && !/\p{L}/u.test(name)) return null;
  const isRollIn = words.rollIn.test(body);
  const isFinish = words.finishing.test(body);
  const own = { name, ingredient, text: body, isRollIn, isFinish };
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
    .replace(/\d+(?:[.,]\d+)?\s*(?:°\s*[CF]?(?!\p{L})|%)/giu, ' ')
    .replace(/^[\s,:.]*(?:of|de|du|des|d['’]|von|vom)(?![\p{L}])\s*|^\s*d['’]\s*/iu, '')
    .replace(/[\s,;:.]+$/u, '')
    .trim();
  const [head = ''] = plain.split(NO_NAME);
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
    remarks && `${remarks} ${plain}`,
    remarks && `${remarks} ${head.trim()}`,
    turned,
    plain,
    head.trim(),
    bare(head),
    bare(plain),
    plain.replace(/,/gu, ''),
    (plain.split(':').at(-1) ?? '').trim(),
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
