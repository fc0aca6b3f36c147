import type { Mark, Span } from './reading';

/** Whether two parts of a text share a character. */
export const overlap = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to;

/** A part of a text without the blanks around it. */
export function trimmed(text: string, { from, to }: Span): Span {
  const part = text.slice(from, to);
  const start = from + (part.length - part.trimStart().length);
  return { from: start, to: Math.max(start, to - (part.length - part.trimEnd().length)) };
}

/** A text with blanks in place of some parts, so that every other part stays where it was. */
export const withoutSpans = (text: string, spans: readonly Span[]): string =>
  spans.reduce((left, { from, to }) => left.slice(0, from) + ' '.repeat(to - from) + left.slice(to), text);

/** The parts that a separator leaves, in order, without blanks around them and without empty ones. */
export function split(text: string, whole: Span, separator: RegExp): Span[] {
  const parts: Span[] = [];
  let from = whole.from;
  for (const match of text.slice(whole.from, whole.to).matchAll(separator)) {
    const at = whole.from + match.index;
    parts.push({ from, to: at });
    from = at + match[0].length;
  }
  parts.push({ from, to: whole.to });
  return parts.map((part) => trimmed(text, part)).filter((part) => part.to > part.from);
}

/** Parts of a text in order, marked or not, that together are all of it. */
export function segments(text: string, marks: readonly Mark[]): (Span & { as: Mark['as'] | null })[] {
  const inOrder = [...marks].sort((a, b) => a.from - b.from || b.to - a.to);
  const parts: (Span & { as: Mark['as'] | null })[] = [];
  let at = 0;
  for (const mark of inOrder) {
    const from = Math.max(at, mark.from);
    if (mark.to <= from) continue;
    if (from > at) parts.push({ from: at, to: from, as: null });
    parts.push({ from, to: mark.to, as: mark.as });
    at = mark.to;
  }
  if (at < text.length) parts.push({ from: at, to: text.length, as: null });
  return parts;
}
