import { coded } from '../codes/coded';
import { headQuantity } from '../units/number';
import type { Sentence } from './clauses';
import type { Ask, Mark, RecipePieces, Span } from './reading';
import type { Act, RecipeWords } from './words/recipe-words';

interface Found {
  pieces: RecipePieces;
  marks: Mark[];
  asks: Ask[];
}

const SIZE = /(\d+(?:[.,]\d+)?)\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*(cm|in)/iu;
const PIECE_ACTS: ReadonlySet<Act> = new Set(['cut', 'shape', 'divide', 'sheet']);
/** Weight of a piece: "10 pieces of 80 g". */
const WEIGHS = /(?:of|à|de|von|zu(?: je)?|je|@)\s*(\d{2,4})\s*g(?![\p{L}])/iu;
/** A number of whatever is made: not of minutes, centimetres or turns. */
const ANY_PIECES =
  /(?:^|\s)(\d{1,3})\s+(?!(?:min|h|heures?|minutes?|stunden?|hours?|hrs?|cm|mm|g|kg|ml|inch|in|tours?|touren|turns?|folds?|mal|times|fois|x)(?!\p{L}))\p{L}{4,}/iu;
const EACH = /^\s*(?:each|je|chacun)(?![\p{L}])/iu;
const DOZEN = /(\d+|one|two|three|four|a|eine?|zwei|une|deux)\s+(?:dozen|dutzend|douzaines?)/iu;
const dozens = (word = '') => headQuantity(word)?.value ?? 1;
const numberOf = (text: string | undefined) => Number((text ?? '').replace(',', '.'));

/** What is not said is not there. */
const withoutUnsaid = ({ count, shape, grams, size }: RecipePieces): RecipePieces => ({
  ...(count === undefined ? {} : { count }),
  ...(shape === undefined ? {} : { shape }),
  ...(grams === undefined ? {} : { grams }),
  ...(size === undefined ? {} : { size }),
});

/** How many pieces of which shape and size: as the method cuts them, else as the recipe says what it makes. */
export function piecesIn(
  text: string,
  { sentences, names, words }: { sentences: readonly Sentence[]; names: readonly Span[]; words: RecipeWords },
): Found {
  const made = names.flatMap((span) => {
    const match = words.makes.exec(text.slice(span.from, span.to));
    const dozen = DOZEN.exec(text.slice(span.from, span.to));
    if (dozen)
      return [
        {
          from: span.from + dozen.index,
          to: span.from + dozen.index + dozen[0].length,
          count: 12 * dozens(dozen[1]),
        },
      ];
    const count = match && Number(match.slice(1).find((group) => group !== undefined));
    return match && count
      ? [{ from: span.from + match.index, to: span.from + match.index + match[0].length, count }]
      : [];
  });
  const pieces: RecipePieces = {};
  let given: number | undefined;
  let weak: number | undefined;
  for (const sentence of sentences) {
    const acts = sentence.clauses.flatMap(({ cues }) => cues.map(({ act }) => act));
    const said = text.slice(sentence.from, sentence.to);
    const gives = words.gives
      .exec(said)
      ?.slice(1)
      .find((group) => group !== undefined);
    if (gives !== undefined) given ??= Number(gives);
    if (!acts.some((act) => PIECE_ACTS.has(act))) continue;
    const shape = words.shapes.find(([, expression]) => expression.test(said))?.[0];
    // A sheet may be rolled to a square: only triangles are always pieces.
    const isCut = acts.some((act) => act !== 'sheet' && PIECE_ACTS.has(act));
    if (isCut || shape === 'triangle') pieces.shape ??= shape;
    if (!isCut) continue;
    const match = words.pieces.exec(said) ?? (acts.includes('sheet') ? null : ANY_PIECES.exec(said));
    // "12 wedges each": of how many is said elsewhere.
    const isEach = match !== null && EACH.test(said.slice(match.index + match[0].length));
    // What a dough is divided into may be strands of one braid: what the recipe says it makes counts before that.
    const isWeak = !acts.includes('cut') && !acts.includes('shape');
    if (match?.[1] && !isEach && isWeak) weak ??= Number(match[1]);
    else if (match?.[1] && !isEach) pieces.count ??= Number(match[1]);
    const weighs = match?.[2] ?? WEIGHS.exec(said)?.[1];
    if (weighs !== undefined && isCut) pieces.grams ??= Number(weighs);
    const size = pieces.shape && SIZE.exec(said);
    if (size) {
      const factor = size[3]?.toLowerCase() === 'in' ? 2.54 : 1;
      pieces.size ??= [numberOf(size[1]) * factor, numberOf(size[2]) * factor];
    }
  }
  const [first] = made;
  const { count } = pieces;
  const isOther = first !== undefined && count !== undefined && first.count !== count;
  pieces.count ??= given ?? first?.count ?? weak;
  return {
    pieces: withoutUnsaid(pieces),
    marks: made.map(({ from, to }) => ({ from, to, as: 'pieces' })),
    asks: isOther ? [{ from: first.from, to: first.to, message: coded('recipe.otherCount', { count }) }] : [],
  };
}
