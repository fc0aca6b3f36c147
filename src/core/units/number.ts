import { AND_A_PART, DOZEN, NUMBER_WORDS } from './words';

/** Fractions that keyboards and recipes have as one character. */
const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const GLYPHS = Object.keys(FRACTIONS).join('');

/** A number at the head of a text, and what follows it. */
export interface HeadNumber {
  value: number;
  rest: string;
  /** The other reading of three digits behind a comma or point, as thousands: of `1,500`, 1500. */
  grouped?: number;
  /** The mark in front of these three digits. */
  mark?: ',' | '.';
}

const MIXED = /^([-+−]?\d+)(?:\s+|-|\s*(?:&|and|und|et)\s+)(\d+)\s*[/⁄]\s*(\d+)(?![\d.,])/iu;
const FRACTION = /^([-+−]?\d+)\s*[/⁄]\s*(\d+)(?![\d.,])/;
const GLYPH = new RegExp(`^([-+−]?\\d+)?(?:\\s*|-|\\s+and\\s+)([${GLYPHS}])`, 'u');
const GROUPED = /^[-+−]?\d{1,3}(?:[ '’]\d{3})+(?:[.,]\d+)?(?!\d)/;
/** Marks that come twice can only be thousands. */
const GROUPED_TWICE = /^[-+−]?\d{1,3}(?:(?:,\d{3}){2,}(?:\.\d+)?|(?:\.\d{3}){2,}(?:,\d+)?)(?!\d)/;
const BOTH_MARKS = /^[-+−]?\d{1,3}(?:,\d{3}\.\d+|\.\d{3},\d+)(?!\d)/;
const DECIMAL = /^[-+−]?(?:\d+(?:[.,]\d+)?|[.,]\d+)/;
const THREE = /^[-+−]?[1-9]\d{0,2}([.,])\d{3}$/;

/**
 * Reads a number as bakers write it: `1,5`, `.75`, `1/2`, `1 1/2`, `1-1/2`, `2½`, `1 000`. Three digits behind a comma or a
 * point can be read two ways: `grouped` has the other one. Null where the text does not begin with a number, or divides
 * by zero.
 */
export function headNumber(text: string): HeadNumber | null {
  const body = text.trimStart();
  const mixed = MIXED.exec(body);
  if (mixed) return fraction(body, mixed);
  const plain = FRACTION.exec(body);
  if (plain) return fraction(body, [plain[0], '0', ...plain.slice(1)]);
  const glyph = GLYPH.exec(body);
  if (glyph) {
    const value = toNumber(glyph[1] ?? '0') + (FRACTIONS[glyph[2] ?? ''] ?? 0);
    return { value, rest: body.slice(glyph[0].length) };
  }
  const both = GROUPED_TWICE.exec(body) ?? BOTH_MARKS.exec(body);
  if (both) return { value: grouped(both[0]), rest: body.slice(both[0].length) };
  const decimal = GROUPED.exec(body) ?? DECIMAL.exec(body);
  if (!decimal) return null;
  const found = { value: toNumber(decimal[0]), rest: body.slice(decimal[0].length) };
  const mark = THREE.exec(decimal[0])?.[1] as ',' | '.' | undefined;
  return mark ? { ...found, mark, grouped: toNumber(decimal[0].replace(mark, '')) } : found;
}

/**
 * Reads how many, in digits or in words of three languages: `3 and a half`, `half a`, `two thirds of a`, `anderthalb`,
 * `une demi-`, `a dozen`.
 */
export function headQuantity(text: string): HeadNumber | null {
  const body = text.trimStart();
  const head = headNumber(body) ?? inWords(body);
  if (!head) return null;
  const more = plusPart(head.rest);
  const value = head.value + more.value;
  const dozen = DOZEN.exec(more.rest.trimStart());
  const rest = dozen ? more.rest.trimStart().slice(dozen[0].length) : more.rest;
  if (!dozen && more.value === 0) return { ...head, rest };
  return { value: dozen ? value * 12 : value, rest: withoutOf(rest) };
}

/** What `and a half` adds to a number or a unit before it, and what follows. */
export function plusPart(text: string): { value: number; rest: string } {
  const body = text.trimStart();
  for (const [words, value] of AND_A_PART) {
    const match = words.exec(body);
    if (match) return { value, rest: body.slice(match[0].length) };
  }
  return { value: 0, rest: text };
}

function inWords(body: string): HeadNumber | null {
  for (const [words, value] of NUMBER_WORDS) {
    const match = words.exec(body);
    if (!match) continue;
    const rest = body.slice(match[0].length);
    return { value, rest: value < 1 ? withoutOf(rest) : rest };
  }
  const dozen = DOZEN.exec(body);
  return dozen ? { value: 12, rest: body.slice(dozen[0].length) } : null;
}

/** "half a cup", "three quarters of a cup", "une demi-cuillère", "une douzaine d’œufs": what stands between. */
const withoutOf = (rest: string) =>
  rest.replace(/^(?:-|\s+(?:of )?an?(?= )|\s+(?:of|de|von)(?= )|\s+d[’'])/i, '');

/** A number and nothing else, or null. Of three digits behind a comma or point, they are decimals. */
export function parseNumber(text: string): number | null {
  const head = headNumber(text);
  return head && head.rest.trim() === '' ? head.value : null;
}

/** The value of what matched: all of it, whole part, numerator, denominator. */
function fraction(
  body: string,
  [all = '', whole = '0', above = '0', below = '1']: readonly string[],
): HeadNumber | null {
  if (Number(below) === 0) return null;
  const value = toNumber(whole) + toNumber(above) / Number(below);
  return { value, rest: body.slice(all.length) };
}

const toNumber = (text: string) => Number(text.replace(/[ '’]/g, '').replace('−', '-').replace(',', '.'));

/** With two kinds of marks, or one kind twice, the last kind that comes once is the decimal mark. */
function grouped(text: string): number {
  const last = Math.max(text.lastIndexOf(','), text.lastIndexOf('.'));
  const mark = text[last] ?? '';
  const once = text.split(mark).length === 2;
  const plain = once
    ? `${text.slice(0, last).replace(/[.,]/g, '')}.${text.slice(last + 1)}`
    : text.replace(/[.,]/g, '');
  return Number(plain.replace('−', '-'));
}
