import type { StageKind } from '../formula/formula';
import { type AmountPart, type AmountReading, readAmountLine } from './amount-parts';
import { cuesIn } from './clauses';
import { durationsIn } from './durations';
import { linesOf } from './lines';
import type { Span } from './reading';
import { trimmed } from './spans';
import { temperaturesIn } from './temperatures';
import type { RecipeWords } from './words/recipe-words';

/** What a line of a recipe is. */
export type RecipeLine = Span &
  (
    | { is: 'amounts'; parts: AmountPart[]; stage: StageKind | null; heading: Span | null }
    | { is: 'heading'; stage: StageKind | null }
    | { is: 'title' | 'method' | 'other' }
  );

const MOST_HEADING_WORDS = 5;
const MOST_TITLE_WORDS = 9;
/** A line of something that nobody knows is an ingredient only where it is short, characters. */
const LONGEST_UNKNOWN = 48;

/** What each line of a recipe is: its title, headings of parts, ingredients, the method, or none of these. */
export function layoutOf(reading: AmountReading): RecipeLine[] {
  const { text, words } = reading;
  const spans = linesOf(text);
  const amounts = spans.map((span) => amountsOf(reading, span));
  const isKnown = (at: number) => amounts[at]?.parts.some(({ ingredient }) => ingredient !== null) ?? false;
  return spans.map((span, at): RecipeLine => {
    const own = amounts[at];
    const isBeside = isKnown(at - 1) || isKnown(at + 1);
    const isShort = span.to - span.from <= LONGEST_UNKNOWN;
    if (own && (isKnown(at) || (at > 0 && isBeside && isShort && own.parts.every(hasAmount))))
      return { ...span, is: 'amounts', ...own };
    const heading = headingOf(text, span, words);
    const isOver = heading === 'method' || heading === 'ingredients' || isKnown(at + 1);
    if (heading !== null && (isOver || text[span.to - 1] === ':'))
      return {
        ...span,
        is: 'heading',
        stage: heading === 'method' || heading === 'ingredients' ? null : heading,
      };
    const body = text.slice(span.from, span.to);
    if (at === 0 && isTitle(body, words)) return { ...span, is: 'title' };
    return { ...span, is: isMethod(body, words) ? 'method' : 'other' };
  });
}

const hasAmount = ({ trouble, grams }: AmountPart) => trouble !== null || grams !== null;

/** The ingredients of a line, behind the heading of a part or a number of pieces that it may begin with. */
function amountsOf(
  reading: AmountReading,
  line: Span,
): { parts: AmountPart[]; stage: StageKind | null; heading: Span | null } | null {
  const { text, words } = reading;
  const body = text.slice(line.from, line.to);
  const plain = readAmountLine(reading, line);
  if (plain) return { parts: plain, stage: null, heading: null };
  const colon = /^([^:]{2,40}?)\s*:\s+(?=\S)/u.exec(body);
  if (!colon?.[1]) return null;
  const heading = { from: line.from, to: line.from + colon[0].trimEnd().length };
  const stage = headingOf(text, { from: line.from, to: line.from + colon[1].length }, words);
  const parts = readAmountLine(reading, trimmed(text, { from: line.from + colon[0].length, to: line.to }));
  // "Tourierfett: 250 g Butter": whatever it is called, what follows is plain.
  const isPlain = parts?.every(({ ingredient, trouble }) => ingredient !== null && trouble === null);
  if (stage === null && !isPlain && !words.makes.test(colon[1])) return null;
  const isStage = stage !== null && stage !== 'method' && stage !== 'ingredients';
  return parts && { parts, stage: isStage ? stage : null, heading };
}

/** The part of a recipe that a line is the heading of; null where it is none. */
function headingOf(
  text: string,
  span: Span,
  words: RecipeWords,
): StageKind | 'method' | 'ingredients' | null {
  const body = text.slice(span.from, span.to).replace(/:$/u, '');
  if (body.split(/\s+/u).length > MOST_HEADING_WORDS || /[\d.;]/u.test(body)) return null;
  return words.headings.find(([, expression]) => expression.test(body))?.[0] ?? null;
}

const isTitle = (body: string, words: RecipeWords) =>
  body.split(/\s+/u).length <= MOST_TITLE_WORDS &&
  !/[.!?]$/u.test(body) &&
  // "Overnight crescents" is a name.
  !durationsIn(body, words).some(({ from, to }) => /\d/u.test(body.slice(from, to))) &&
  temperaturesIn(body, words).length === 0;

/** A line that says what is done; one that only names its turns is a name. */
function isMethod(body: string, words: RecipeWords): boolean {
  const cues = cuesIn(body, words);
  const isTimed = durationsIn(body, words).length + temperaturesIn(body, words).length > 0;
  const isName =
    !/[.!?]$/u.test(body) &&
    !isTimed &&
    cues.every(({ act, times }) => act === 'turn' && times !== undefined);
  return (cues.length > 0 && !isName) || isTimed || (words.filling.test(body) && words.cook.test(body));
}
