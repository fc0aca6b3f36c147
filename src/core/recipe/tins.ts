import { headQuantity } from '../units/number';
import type { Mark, RecipeTin, Span } from './reading';
import type { RecipeWords } from './words/recipe-words';

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const UNIT = String.raw`cm|mm|inch(?:es)?|in|zoll|pouces?|["″”]`;
/** “30 × 11 cm”, “9 x 13 x 2 in”, “24 cm”, “9-inch”. */
const SIZE = new RegExp(
  `(${NUMBER})(?:\\s*[x×]\\s*(${NUMBER}))?(?:\\s*[x×]\\s*(${NUMBER}))?[\\s-]*(${UNIT})(?!\\p{L})`,
  'iu',
);
/** “12-hole”, “12er”, “à 12 empreintes”. */
const HOLES = /(\d{1,2})(?:[\s-]*(?:hole|cup|cavity|well|mulden|empreintes|alvéoles)|er)(?!\p{L})/iu;
/** How far from its word a tin's size and number may stand, characters. */
const NEAR = 46;
const CM: Readonly<Record<string, number>> = { cm: 1, mm: 0.1 };
const INCH = 2.54;

/**
 * Tins, moulds and pans that a method bakes in, with their sizes in cm, their holes, and how many of them.
 *
 * @example
 * tinsIn('Bake in two buttered 9-inch round tins.', [sentence], EN); // [{ kind: 'round', count: 2, size: [22.86], … }]
 */
export function tinsIn(
  text: string,
  sentences: readonly Span[],
  words: RecipeWords,
): { tins: RecipeTin[]; marks: Mark[] } {
  const tins = sentences.flatMap((sentence) => {
    const said = text.slice(sentence.from, sentence.to);
    const found = words.tins.flatMap(([kind, expression]) =>
      [...said.matchAll(expression)].map((match) => ({
        kind,
        from: match.index,
        to: match.index + match[0].length,
      })),
    );
    // “Muffin tin” is a tin as well: the first kind of the list that is there is what it is.
    return found
      .filter((one, i) => !found.slice(0, i).some((other) => one.from < other.to && other.from < one.to))
      .map((one) => tinAt(said, one, sentence.from));
  });
  return { tins, marks: tins.map(({ from, to }) => ({ from, to, as: 'pieces' as const })) };
}

function tinAt(said: string, { kind, from, to }: Span & Pick<RecipeTin, 'kind'>, offset: number): RecipeTin {
  const start = Math.max(0, from - NEAR, said.lastIndexOf(';', from) + 1);
  const before = said.slice(start, from);
  const behind = said.slice(to, to + NEAR);
  const size = lastOf(SIZE, before) ?? SIZE.exec(behind);
  const isBehind = size !== null && !before.includes(size[0]);
  const holes = lastOf(HOLES, before) ?? HOLES.exec(behind);
  const unit = (size?.[4] ?? '').toLowerCase();
  const sides = size ? size.slice(1, 4).flatMap((side) => (side ? [centimetres(side, unit)] : [])) : [];
  const counted = countBefore(
    size && !isBehind ? before.slice(0, before.lastIndexOf(size[0])) : before,
    holes,
  );
  const begins = Math.min(
    from,
    ...(size && !isBehind ? [start + before.lastIndexOf(size[0])] : []),
    ...(holes && before.includes(holes[0]) ? [start + before.lastIndexOf(holes[0])] : []),
    ...(counted.at === null ? [] : [start + counted.at]),
  );
  const ends = size && isBehind ? to + size.index + size[0].length : to;
  return {
    ...{ kind, count: counted.count, from: offset + begins, to: offset + ends },
    ...(sides.length > 0 ? { size: sides } : {}),
    ...(holes?.[1] ? { holes: Number(holes[1]) } : {}),
  };
}

const centimetres = (side: string, unit: string) =>
  Number((Number(side.replace(',', '.')) * (CM[unit] ?? INCH)).toFixed(2));

function lastOf(expression: RegExp, text: string): RegExpExecArray | null {
  let found: RegExpExecArray | null = null;
  for (let at = 0; at < text.length;) {
    const match = expression.exec(text.slice(at));
    if (!match) break;
    found = match;
    at += match.index + match[0].length;
  }
  return found;
}

/** The number of tins that stands before them, in digits or words; one where none does. */
function countBefore(before: string, holes: RegExpExecArray | null): { count: number; at: number | null } {
  const plain = holes ? before.replace(holes[0], ' '.repeat(holes[0].length)) : before;
  const words = [...plain.matchAll(/(?<![\p{L}\d.,])[\p{L}\d]+(?![\p{L}\d])/gu)].slice(-4);
  for (const word of words.reverse()) {
    const quantity = headQuantity(word[0]);
    if (!quantity || quantity.rest.trim() !== '' || !Number.isInteger(quantity.value) || quantity.value < 1)
      continue;
    return quantity.value <= 60 ? { count: quantity.value, at: word.index } : { count: 1, at: null };
  }
  return { count: 1, at: null };
}
