import type { StageKind } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import type { Kitchen } from '../units/measures';
import type { AmountLanguage } from '../units/words';
import { amountOf, type AmountPart, type AmountReading, amountsWithin, askOf } from './amount-parts';
import { amountAsks, lengthAsks, turnAsks } from './checks';
import { type Sentence, sentenceOf } from './clauses';
import { layoutOf, type RecipeLine } from './layout';
import { sentencesOf } from './lines';
import { readMethod } from './method';
import { piecesIn } from './pieces';
import type { Ask, Mark, RecipeAmount, RecipeReading, Span } from './reading';
import { recipeText } from './recipe-text';
import { overlap, segments, trimmed, withoutSpans } from './spans';
import { tinsIn } from './tins';
import { turnRuns } from './turn-runs';
import { languageOf, RECIPE_WORDS } from './words';
import type { RecipeWords } from './words/recipe-words';

/** What the house knows that a recipe is read by. */
export interface RecipeHouse {
  book: IngredientBook;
  /** Whose cups and eggs, where the recipe shows no other. */
  kitchen: Kitchen;
  /** Longest sheet that its bench takes, cm. */
  benchCm: number;
}

/** Where a method has no list before it, fewer listed amounts than these are no list. */
const LISTED = 3;

/**
 * Reads a recipe as people write it: lists and prose, in English, German or French; a schema.org Recipe; a table. Every part of
 * the text is marked by what it became, what was not understood stays without a mark, and what contradicts itself is asked.
 * Nothing is invented: what is not said is not there.
 *
 * @throws {Fault} where the text is too long, or none
 *
 * @example
 * readRecipeText('500 g bread flour\n260 g water\n\nMix. Bulk 1 h at 24 °C.', house).steps;
 * // [{ kind: 'mix', … }, { kind: 'bulk', minutes: [60, 60], celsius: [24, 24], … }]
 */
export function readRecipeText(raw: string, { book, kitchen, benchCm }: RecipeHouse): RecipeReading {
  const text = recipeText(raw);
  const language = languageOf(text);
  const words = RECIPE_WORDS[language];
  const reading = { text, language, words, book, kitchen: kitchenIn(text, language) ?? kitchen };
  const lines = layoutOf(reading);
  const sentences = lines
    .filter(({ is }) => is === 'method')
    .flatMap((line) => sentencesOf(text, line, words))
    .map((sentence) => sentenceOf(text, sentence, words));
  const method = readMethod(text, sentences, words);
  const steps = withoutSheetsOfTurns(turnRuns(method.steps));
  const turns = steps.flatMap(({ kind, fold }) => (kind === 'turn' && fold ? [fold] : []));
  const listed = listedAmounts(lines);
  const isList = listed.length >= LISTED;
  const parts = isList ? listed : [...listed, ...proseAmounts(reading, sentences)];
  // Amounts of the list that the method names again.
  const named = isList ? sentences.flatMap((sentence) => amountsWithin(reading, sentence)) : [];
  const flourGrams = flourOf(reading, lines);
  const amounts = withRollIn(
    parts.map(({ part, stage }) => amountOf(part, { stage, flourGrams })),
    { book, isLaminated: turns.length > 0 },
  );
  const names = lines.filter(({ is }) => is === 'title' || is === 'other' || is === 'heading');
  const tins = tinsIn(text, sentences, words);
  const pieces = piecesIn(withoutSpans(text, tins.tins), {
    sentences,
    names: [...names, ...headsOf(lines)],
    words,
  });
  const title = lines.find(({ is }) => is === 'title');
  const marks = marksOf(
    lines,
    [...parts.map(({ part }) => part), ...named],
    [...method.marks, ...pieces.marks, ...tins.marks],
  );
  return {
    ...{ text, language, amounts, turns, steps },
    title: title ? titleOf(text.slice(title.from, title.to), words) : null,
    ...{
      lockIn: method.lockIn,
      doughCelsius: method.doughCelsius,
      bake: method.bake,
      pieces: pieces.pieces,
      tins: tins.tins,
      sheetMm: sheetMmOf(text, sentences),
    },
    marks,
    unread: unreadIn(text, [...lines.filter(({ is }) => is !== 'method'), ...sentences], marks),
    asks: inOrder([
      ...parts.flatMap(({ part }) => askOf(part) ?? []),
      ...[...method.asks, ...pieces.asks, ...lengthAsks(text, benchCm)],
      ...turnAsks(text, names, { words, turns: turns.length }),
      ...amountAsks(named, amounts, book),
    ]),
  };
}

/** Whose measures a recipe is in, by words that only one kitchen has; null where it shows none. */
function kitchenIn(text: string, language: AmountLanguage): Kitchen | null {
  if (language === 'fr') return 'france';
  if (language === 'de') return 'metric';
  if (/\b(?:cups?|sticks?|all-purpose|confectioners)\b|°\s?F\b/iu.test(text)) return 'us';
  return /\b(?:caster|strong white|plain flour|gas(?: mark)? \d)\b/iu.test(text) ? 'uk' : null;
}

interface Staged {
  part: AmountPart;
  stage: StageKind;
}

/** Amounts of the lists, each in the stage that stands over it. */
function listedAmounts(lines: readonly RecipeLine[]): Staged[] {
  let section: StageKind = 'dough';
  return lines.flatMap((line) => {
    if (line.is === 'heading') section = line.stage ?? 'dough';
    if (line.is !== 'amounts') return [];
    return line.parts.map((part) => ({
      part,
      stage: part.isRollIn ? 'roll-in' : part.isFinish ? 'finish' : (line.stage ?? section),
    }));
  });
}

/** Amounts that a method names as it goes: of what is being made where they are named. */
function proseAmounts(reading: AmountReading, sentences: readonly Sentence[]): Staged[] {
  const { text, words, book } = reading;
  return sentences.flatMap((sentence) => {
    const said = text.slice(sentence.from, sentence.to);
    const preferment = words.preferments.find(([, expression]) => expression.test(said))?.[0];
    const isRollIn = sentence.clauses.some(({ cues }) =>
      cues.some(({ act }) => act === 'butter' || act === 'lock-in'),
    );
    return amountsWithin(reading, sentence).map((part) => {
      const isFat = part.ingredient !== null && book.get(part.ingredient)?.kind === 'fat';
      return { part, stage: isFat && isRollIn ? 'roll-in' : (preferment ?? 'dough') };
    });
  });
}

/** The flour that percentages are of, grams, where a line outside the list names it. */
function flourOf(reading: AmountReading, lines: readonly RecipeLine[]): number | null {
  const outside = lines.filter(({ is }) => is === 'title' || is === 'other');
  const flour = outside
    .flatMap((line) => amountsWithin(reading, line))
    .find(({ ingredient }) => ingredient !== null && reading.book.get(ingredient)?.kind === 'flour');
  return flour?.grams?.[0] ?? null;
}

/** Fat in the list that nobody says is rolled in, of at least so much of the flour, is it where the dough is laminated. */
const ROLL_IN_FROM = 0.2;

function withRollIn(
  amounts: readonly RecipeAmount[],
  { book, isLaminated }: { book: IngredientBook; isLaminated: boolean },
): RecipeAmount[] {
  const kindOf = ({ ingredient }: RecipeAmount) => (ingredient === null ? null : book.get(ingredient)?.kind);
  // Only fat is rolled in: "grated zest" stays where it is.
  const own = amounts.map((one) =>
    one.stage === 'roll-in' && kindOf(one) !== 'fat' && kindOf(one) !== 'flour'
      ? { ...one, stage: 'dough' as const }
      : one,
  );
  if (!isLaminated || own.some(({ stage }) => stage === 'roll-in')) return own;
  const grams = (one: RecipeAmount) => one.grams?.[0] ?? 0;
  const flour = own.filter((one) => kindOf(one) === 'flour').reduce((sum, one) => sum + grams(one), 0);
  const [most] = own
    .filter((one) => kindOf(one) === 'fat' && one.stage === 'dough')
    .toSorted((a, b) => grams(b) - grams(a));
  if (!most || grams(most) < ROLL_IN_FROM * flour) return own;
  return own.map((one) => (one === most ? { ...one, stage: 'roll-in' } : one));
}

/** Rolling out before a turn, a lock-in or a filling is part of it; the sheet that is cut is a step. */
function withoutSheetsOfTurns(steps: RecipeReading['steps']): RecipeReading['steps'] {
  return steps.filter(({ kind }, at) => {
    const next = steps[at + 1]?.kind;
    return (
      kind !== 'sheet' || !(next === 'turn' || next === 'lock-in' || next === 'butter' || next === 'sheet')
    );
  });
}

/** Thickness that the method rolls to last, mm. */
function sheetMmOf(text: string, sentences: readonly Sentence[]): number | null {
  const said = sentences.filter(({ clauses }) =>
    clauses.some(({ cues }) => cues.some(({ act }) => act === 'sheet')),
  );
  const all = said.flatMap(({ from, to }) => [...text.slice(from, to).matchAll(/(\d+(?:[.,]\d+)?)\s*mm/giu)]);
  const last = all.at(-1)?.[1];
  return last === undefined ? null : Number(last.replace(',', '.'));
}

/** A name without what it says of how many. */
const titleOf = (line: string, { makes }: RecipeWords) =>
  line
    .replace(makes, '')
    .replace(/\(\s*\)/u, '')
    .replace(/[\s,.:;(–-]+$/u, '')
    .trim() || line;

const headsOf = (lines: readonly RecipeLine[]): Span[] =>
  lines.flatMap((line) => (line.is === 'amounts' && line.heading ? [line.heading] : []));

/** Numbers that need not come to anything: of a list, and sizes of a sheet. */
const COUNTED =
  /^\d{1,2}[.)]|\d+(?:[.,]\d+)?\s*(?:mm|cm|in\b|inch(?:es)?\b|")|\d+(?:[.,]\d+)?\s*[x×]\s*\d+(?:[.,]\d+)?/giu;

/** What of these lines and sentences nothing was made of: all of one without a mark, else what has a number in it. */
function unreadIn(text: string, parts: readonly Span[], marks: readonly Mark[]): Span[] {
  return parts.flatMap(({ from, to }) => {
    const own = marks.filter((mark) => overlap(mark, { from, to }));
    if (own.length === 0) return [{ from, to }];
    return segments(text, own)
      .filter((part) => part.as === null && overlap(part, { from, to }))
      .map((part) => trimmed(text, { from: Math.max(part.from, from), to: Math.min(part.to, to) }))
      .filter((part) => /\d/u.test(text.slice(part.from, part.to).replace(COUNTED, '')));
  });
}

function marksOf(
  lines: readonly RecipeLine[],
  parts: readonly AmountPart[],
  others: readonly Mark[],
): Mark[] {
  const own = lines.flatMap((line): Mark[] => {
    const { from, to } = line;
    if (line.is === 'title') return [{ from, to, as: 'title' }];
    if (line.is === 'heading') return [{ from, to, as: 'heading' }];
    return line.is === 'amounts' && line.heading ? [{ ...line.heading, as: 'heading' }] : [];
  });
  const read = parts.filter(({ ingredient }) => ingredient !== null);
  return inOrder([...own, ...others, ...read.map(({ from, to }): Mark => ({ from, to, as: 'amount' }))]);
}

const inOrder = <T extends Span | Ask>(spans: readonly T[]): T[] => spans.toSorted((a, b) => a.from - b.from);
