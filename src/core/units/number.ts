/** Fractions that keyboards and recipes have as one character. */
const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** A number at the head of a text: the value, what was typed, and what follows it. */
export interface HeadNumber {
  value: number;
  rest: string;
}

const MIXED = /^([-+−]?\d+)\s+(\d+)\s*\/\s*(\d+)(?![\d.,])/;
const FRACTION = /^([-+−]?\d+)\s*[/⁄]\s*(\d+)(?![\d.,])/;
const GLYPH = /^([-+−]?\d+)?\s*([½⅓⅔¼¾⅛⅜⅝⅞])/;
const GROUPED = /^[-+−]?\d{1,3}(?:[ '’]\d{3})+(?:[.,]\d+)?(?!\d)/;
const DECIMAL = /^[-+−]?(?:\d+(?:[.,]\d+)?|[.,]\d+)/;

/**
 * Reads a number as bakers write it: `1,5`, `.75`, `1/2`, `1 1/2`, `2½`, `1 000`. A comma is a decimal comma, never a
 * thousands mark. Null where the text does not begin with a number, or divides by zero.
 */
export function headNumber(text: string): HeadNumber | null {
  const body = text.trimStart();
  const mixed = MIXED.exec(body);
  if (mixed) return fraction(body, mixed[0], mixed[1], mixed[2], mixed[3]);
  const plain = FRACTION.exec(body);
  if (plain) return fraction(body, plain[0], '0', plain[1], plain[2]);
  const glyph = GLYPH.exec(body);
  if (glyph) {
    const value = toNumber(glyph[1] ?? '0') + (FRACTIONS[glyph[2] ?? ''] ?? 0);
    return { value, rest: body.slice(glyph[0].length) };
  }
  const decimal = GROUPED.exec(body) ?? DECIMAL.exec(body);
  return decimal ? { value: toNumber(decimal[0]), rest: body.slice(decimal[0].length) } : null;
}

/** A number and nothing else, or null. */
export function parseNumber(text: string): number | null {
  const head = headNumber(text);
  return head && head.rest.trim() === '' ? head.value : null;
}

function fraction(body: string, all: string, whole = '0', above = '0', below = '1'): HeadNumber | null {
  if (Number(below) === 0) return null;
  const value = toNumber(whole) + toNumber(above) / Number(below);
  return { value, rest: body.slice(all.length) };
}

const toNumber = (text: string) => Number(text.replace(/[ '’]/g, '').replace('−', '-').replace(',', '.'));
