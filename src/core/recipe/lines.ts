import type { Span } from './reading';
import { split, trimmed } from './spans';
import type { RecipeWords } from './words/recipe-words';

/** Lines of a text that are not empty. */
export function linesOf(text: string): Span[] {
  return split(text, { from: 0, to: text.length }, /\n/gu);
}

/** Sentences of a line, each with what ends it. Behind a short form ("2 Std.") none ends. */
export function sentencesOf(text: string, line: Span, { short }: Pick<RecipeWords, 'short'>): Span[] {
  const sentences: Span[] = [];
  let { from } = line;
  for (const { index } of text
    .slice(line.from, line.to)
    .matchAll(/[.!?;](?=\s+[\p{Lu}\d½¼¾(]|$)|;(?=\s)/gu)) {
    const end = line.from + index + 1;
    if (short.test(text.slice(Math.max(from, end - 9), end))) continue;
    sentences.push({ from, to: end });
    from = end;
  }
  sentences.push({ from, to: line.to });
  return sentences.map((sentence) => trimmed(text, sentence)).filter(({ from: a, to }) => to > a);
}
