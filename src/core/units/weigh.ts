import { coded, type Coded } from '../codes/coded';
import { fault, readAmount, type Amount, type Read, type Sum, type Term } from './amount';
import { eggPart, gramsOf, isMass, isVessel, type Measuring, type Unit } from './measures';
import { JOINING, type AmountLanguage } from './words';

/** Two values for one amount may differ by this share before they are said to disagree: weighed, and by volume or count. */
const AGREE = { mass: 0.02, rough: 0.12 };
/** Most eggs that a bare number counts; more of them are a weight without its unit. */
const MOST_EGGS = 60;

/** An amount in grams. Of a range the lower end is weighed, and the rest stands ready. */
export interface WeightRange {
  grams: number;
  /** The upper end of a range; as `grams` where it is none. */
  upTo: number;
  approximate: boolean;
  /** Said where two values for the amount disagree. */
  disagree: Coded | null;
}

/**
 * Turns an amount into grams, the weighed value first where there are several. Percentages are not for this function.
 * Whatever was not understood is a fault that names it, and so is a bare number, but for a few whole eggs.
 */
export function weigh(amount: Amount, measuring: Measuring): Read<WeightRange> {
  const unread = unreadIn(amount, measuring);
  if (unread !== null) return fault(coded('amounts.wasNotUnderstoodWriteThe', { unread }));
  const values: { low: number; high: number; mass: boolean; sum: Sum }[] = [];
  let missing: Coded | null = null;
  for (const sum of amount.values) {
    const read = sumGrams(sum, measuring);
    if (read.ok) values.push({ ...read.value, sum });
    else missing ??= read.message;
  }
  const weighed = values.find(({ mass }) => mass) ?? values[0];
  if (!weighed)
    return amount.uncounted ? { ok: true, value: NOTHING } : fault(missing ?? coded('amounts.writeAnAmount'));
  // "2 tins (400 g)": each, or both together?
  const vessels = amount.values.flat().find(({ unit, to }) => isVessel(unit) && to !== 1);
  const other = values.find((value) => value !== weighed);
  const disagree = other ? disagreement(weighed, other) : null;
  if (vessels && values.length > 0 && (missing !== null || disagree !== null))
    return fault(coded('amounts.isThatTheWeightOf', { unit: vessels.unit ?? '', to: vessels.to }));
  if (weighed.low < 0) return fault(coded('amounts.anAmountCannotBeNegative'));
  return {
    ok: true,
    value: {
      grams: weighed.low,
      upTo: weighed.high,
      approximate: amount.approximate,
      disagree,
    },
  };
}

/** Reads a typed amount and weighs it in one go: `2 cups + 3 tbsp` of flour. */
export function weighText(text: string, measuring: Measuring, language?: AmountLanguage): Read<WeightRange> {
  const read = readAmount(text, language);
  return read.ok ? weigh(read.value, measuring) : read;
}

const NOTHING: WeightRange = { grams: 0, upTo: 0, approximate: true, disagree: null };

/** What of an amount is neither read nor part of the ingredient's own name; null where all is read. */
export function unreadIn(amount: Amount, measuring: Pick<Measuring, 'name' | 'also'>): string | null {
  const known = new Set([measuring.name, ...(measuring.also ?? [])].flatMap((name) => wordsOf(name)));
  const left = amount.rest
    .split(/\s+/)
    .filter((text) => !JOINING.test(text.replace(/[^\p{L}]/gu, '')))
    .filter((text) => !wordsOf(text).every((one) => known.has(one)));
  return left.join(' ').trim() === '' ? null : left.join(' ');
}

/** Words as they are compared: small letters, without a plural s. */
const wordsOf = (text: string) =>
  (text.toLowerCase().match(/[\p{L}\d]+/gu) ?? []).map((one) =>
    one.length > 3 ? one.replace(/s$/, '') : one,
  );

function sumGrams(sum: Sum, measuring: Measuring): Read<{ low: number; high: number; mass: boolean }> {
  let [low, high] = [0, 0];
  for (const term of sum) {
    const unit = unitOf(term, measuring);
    if (unit === null) return fault(coded('amounts.ofWhatWriteTheUnit', { from: term.from }));
    const one = gramsOf(unit, measuring, term.size, term.part);
    if (one === null) return fault(noWeight(unit, measuring));
    low += term.from * one;
    high += term.to * one;
  }
  return { ok: true, value: { low, high, mass: sum.every(({ unit }) => unit === null || isMass(unit)) } };
}

/** The unit of a term; of a bare number what the field is for, or eggs where they are counted and few. */
function unitOf({ unit, from, to, size }: Term, measuring: Measuring): Unit | null {
  if (unit !== null) return unit;
  const egg = eggPart(measuring);
  if (egg && (size || (Number.isInteger(from) && Number.isInteger(to) && to <= MOST_EGGS))) return egg;
  return size ? null : (measuring.bare ?? null);
}

function disagreement(
  weighed: { low: number; high: number; mass: boolean },
  other: typeof weighed,
): Coded | null {
  const allowed = other.mass && weighed.mass ? AGREE.mass : AGREE.rough;
  // The nearest ends of two ranges.
  const gap = Math.max(weighed.low - other.high, other.low - weighed.high, 0);
  const apart = gap / Math.max(weighed.low, other.low, 1e-9);
  return apart > allowed
    ? coded('amounts.theTwoValuesDisagreeAnd', {
        weighed: plainGrams(weighed.low),
        other: plainGrams(other.low),
        percent: Math.round(apart * 100),
      })
    : null;
}

function noWeight(unit: Unit, { name }: Measuring): Coded {
  const what = name || 'this';
  if (
    ['tin', 'piece', 'packet', 'cube', 'stick', 'pod', 'leaf', 'fruit', 'lemon', 'lime', 'orange'].includes(
      unit,
    )
  )
    return coded('amounts.whatDoesOneOfWeigh', { unit, what });
  if (['egg', 'yolk', 'white'].includes(unit))
    return coded('amounts.isNotCountedInS', { ingredient: upper(what), unit });
  return coded('amounts.hasNoDensitySoA', { ingredient: upper(what), unit });
}

const upper = (text: string) => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;
const plainGrams = (grams: number) =>
  grams < 10 ? `${Math.round(grams * 10) / 10} g` : `${Math.round(grams)} g`;
