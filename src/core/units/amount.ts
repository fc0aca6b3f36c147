import { gramsOf, headUnit, isMass, type EggSize, type Measuring, type Unit } from './measures';
import { headNumber } from './number';

/** One value that was typed: `1 1/2 cup`, `2 L eggs`, `54 %`. A range such as `10-12 g` is its middle. */
export interface Measured {
  value: number;
  /** Null where only a number was typed. */
  unit: Unit | null;
  size?: EggSize;
}

/**
 * What a baker typed as an amount. `measured` has one value, or two for the same amount (`120 g (1/2 cup)`); none where
 * it is not counted (`to taste`).
 */
export interface Amount {
  measured: Measured[];
  approximate: boolean;
  uncounted: boolean;
  /** What follows the amount: an ingredient's name in `2 tbsp sugar`. */
  rest: string;
}

export type Read<T> = { ok: true; value: T } | { ok: false; message: string };

const UNCOUNTED =
  /^(?:to taste|as needed|as required|q\.?\s?s\.?|some|a little|for dusting|uncounted|n\/a)(?![a-z])/i;
const ABOUT = /^(?:about|around|approx\.?|approximately|circa|ca?\.|~|≈)\s*/i;
const EGG_SIZE = /^(XL|extra large|large|medium|small|[LMS])(?![a-z])/i;
const SIZE_AFTER = /^\(?(XL|extra large|large|medium|small|[LMS])\)?(?![a-z])/i;
const NO_NUMBER =
  'Give an amount: a number with a unit, such as 54 %, 540 g, 1/2 tbsp or 2 eggs, or “to taste”.';

/**
 * Reads an amount as a baker writes it: grams, ounces, cups and spoons, eggs by size, sticks, packets, a percentage,
 * `about 30 g`, `to taste`, and two values for one amount (`1 cup / 120 g`). What is wrong comes back as a sentence.
 */
export function readAmount(text: string): Read<Amount> {
  let body = text.trim().replace(/\s+/g, ' ');
  if (body === '') return fault(NO_NUMBER);
  const uncounted = UNCOUNTED.exec(body);
  if (uncounted) {
    const rest = body.slice(uncounted[0].length).trim();
    return { ok: true, value: { measured: [], approximate: true, uncounted: true, rest } };
  }
  const about = ABOUT.exec(body);
  if (about) body = body.slice(about[0].length);
  const first = readMeasured(body);
  if (!first.ok) return first;
  const measured = [first.value.measured];
  let rest = first.value.rest;
  const second = /^\s*(?:[(=/]|or )\s*/i.exec(rest);
  if (second) {
    const again = readMeasured(rest.slice(second[0].length));
    if (!again.ok) return fault(`“${rest.trim()}” is not a second value for the same amount.`);
    measured.push(again.value.measured);
    rest = again.value.rest.replace(/^\s*\)/, '');
  }
  if (measured.some(({ value }) => value < 0)) return fault('An amount cannot be below nothing.');
  const rough = measured.every(({ unit }) => unit !== null && unit !== '%' && !isMass(unit));
  const approximate = about !== null || rough || /^\s*(?:or so|about)\b/i.test(rest);
  return {
    ok: true,
    value: { measured, approximate, uncounted: false, rest: rest.replace(/^\s*(?:of|or so)\b/i, '').trim() },
  };
}

function readMeasured(text: string): Read<{ measured: Measured; rest: string }> {
  // "zest of 2" and "juice of": the word comes before the number.
  const zest = /^zests?(?: of)?\s+(?=\d|[½¼¾])/i.exec(text);
  const head = headNumber(zest ? text.slice(zest[0].length) : text);
  if (!head)
    return /^\s*[-+]?\s*[A-Za-z]/.test(text) || text === ''
      ? fault(NO_NUMBER)
      : fault(`“${text}” is not a number.`);
  let { value, rest } = head;
  if (!Number.isFinite(value)) return fault(`“${text}” is not a number.`);
  if (zest) return { ok: true, value: { measured: { value, unit: 'zest of' }, rest } };
  const upTo = /^\s*(?:-|–|to)\s*(?=[\d.,½¼¾])/.exec(rest);
  if (upTo) {
    const high = headNumber(rest.slice(upTo[0].length));
    if (high) [value, rest] = [(value + high.value) / 2, high.rest];
  }
  const size = EGG_SIZE.exec(rest.trimStart());
  const afterSize = size ? rest.trimStart().slice(size[0].length) : rest;
  const sizedUnit = size ? headUnit(afterSize) : null;
  if (size && sizedUnit && ['egg', 'yolk', 'white'].includes(sizedUnit.unit)) {
    return {
      ok: true,
      value: { measured: { value, unit: sizedUnit.unit, size: eggSize(size[1]) }, rest: sizedUnit.rest },
    };
  }
  const unit = headUnit(rest);
  if (!unit) return { ok: true, value: { measured: { value, unit: null }, rest } };
  const after = SIZE_AFTER.exec(unit.rest.trimStart());
  if (after && ['egg', 'yolk', 'white'].includes(unit.unit)) {
    return {
      ok: true,
      value: {
        measured: { value, unit: unit.unit, size: eggSize(after[1]) },
        rest: unit.rest.trimStart().slice(after[0].length),
      },
    };
  }
  return { ok: true, value: { measured: { value, unit: unit.unit }, rest: unit.rest } };
}

function eggSize(word = 'M'): EggSize {
  const upper = word.toUpperCase();
  if (upper === 'XL' || upper.startsWith('EXTRA')) return 'XL';
  return upper[0] as EggSize;
}

/** Two values for one amount may differ by this share before they are said to disagree: weighed, and by volume or count. */
const AGREE = { mass: 0.02, rough: 0.12 };

/** An amount in grams, and a sentence where two values for it disagree. */
export interface Weighed {
  grams: number;
  approximate: boolean;
  disagree: string | null;
}

/**
 * Turns an amount into grams, the weighed value first where there are two. A bare number is grams. Percentages are not
 * for this function. A fault says what is missing: a density, the size of a tin.
 */
export function weigh(amount: Amount, measuring: Measuring): Read<Weighed> {
  const values: { grams: number; unit: Unit }[] = [];
  for (const { value, unit, size } of amount.measured) {
    const one = gramsOf(unit ?? 'g', measuring, size);
    if (one === null) return fault(noWeight(unit ?? 'g', measuring));
    values.push({ grams: value * one, unit: unit ?? 'g' });
  }
  const weighed = values.find(({ unit }) => isMass(unit)) ?? values[0];
  if (!weighed) return { ok: true, value: { grams: 0, approximate: true, disagree: null } };
  const other = values.find((value) => value !== weighed);
  const allowed = other && isMass(other.unit) && isMass(weighed.unit) ? AGREE.mass : AGREE.rough;
  const apart = other
    ? Math.abs(other.grams - weighed.grams) / Math.max(weighed.grams, other.grams, 1e-9)
    : 0;
  const disagree =
    other && apart > allowed
      ? `The two values disagree: ${plainGrams(weighed.grams)} and ${plainGrams(other.grams)}, ${Math.round(apart * 100)} % apart.`
      : null;
  return { ok: true, value: { grams: weighed.grams, approximate: amount.approximate, disagree } };
}

function noWeight(unit: Unit, { name }: Measuring): string {
  const what = name || 'this';
  if (unit === 'tin' || unit === 'piece' || unit === 'packet' || unit === 'stick') {
    return `Nothing says what a ${unit} of ${what} weighs; give grams as well.`;
  }
  return `${what[0]?.toUpperCase() ?? ''}${what.slice(1)} has no density, so a ${unit} of it has no weight; give grams, or its density.`;
}

const plainGrams = (grams: number) =>
  grams < 10 ? `${Math.round(grams * 10) / 10} g` : `${Math.round(grams)} g`;

function fault(message: string): { ok: false; message: string } {
  return { ok: false, message };
}
