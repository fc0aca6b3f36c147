import { coded, type Coded } from '../codes/coded';
import { gramsOf, headUnit, isFruit, isLarge, isMass, isVessel, type EggSize, type Unit } from './measures';
import { headQuantity, plusPart, type HeadNumber } from './number';
import { unitAfter } from './sized-unit';
import { statesBefore, statesIn } from './states';
import {
  ABOUT,
  AND,
  BETWEEN,
  EACH_AFTER,
  EACH_OF,
  LESS,
  OF_EGGS,
  ONE_OF,
  OR,
  OR_SO,
  PART_OF,
  SEEDS_OF,
  TIMES,
  UNCOUNTED,
  UP_TO,
  type AmountLanguage,
} from './words';

/** One term of an amount, `2 to 3 L eggs`: from and to are the same where it is no range. */
export interface Term {
  from: number;
  to: number;
  /** Null where only a number was written. */
  unit: Unit | null;
  size?: EggSize;
  /** Of a fruit: what of it. */
  part?: 'zest' | 'juice';
}

/** Terms that are added up; what is taken away has numbers below nothing. */
export type Sum = Term[];

/**
 * What a baker typed as an amount. `values` has one sum, or several for the same amount (`120 g (1/2 cup)`); none where
 * it is not counted (`to taste`).
 */
export interface Amount {
  values: Sum[];
  approximate: boolean;
  uncounted: boolean;
  /** How it is, in the baker's words: `soft`, `sifted`, `heaped`. */
  remarks: string[];
  /** What was not read: an ingredient's name in `2 tbsp sugar`, or something that nobody may guess. */
  rest: string;
}

export type Read<T> = { ok: true; value: T } | { ok: false; message: Coded };

export const fault = (message: Coded): { ok: false; message: Coded } => ({ ok: false, message });

const NO_NUMBER = coded('amounts.writeAnAmountANumber');
/**
 * Reads an amount as a baker writes it, in English, German or French: weights, cups and spoons, eggs by size, sticks and
 * packets, sums (`1 lb 2 oz`, `1 egg plus 1 yolk`), ranges (`3 1/2 to 4 cups`), numbers in words, a percentage, `about
 * 30 g`, `to taste`, and several values for one amount (`1 cup / 120 g`). What it does not understand stays in `rest`.
 *
 * @param language - of the baker: `2 cc` is 10 ml in French
 * @returns a sentence where there is no amount at all, or where a number can be read two ways
 *
 * @example
 * readAmount('2 sticks + 2 tbsp, soft'); // one sum of two terms, with the remark `soft`
 */
export function readAmount(text: string, language: AmountLanguage = 'en'): Read<Amount> {
  let body = text.trim().replace(/\s+/gu, ' ');
  if (body === '') return fault(NO_NUMBER);
  const uncounted = UNCOUNTED.exec(body);
  if (uncounted) {
    const rest = body.slice(uncounted[0].length).trim();
    return { ok: true, value: { values: [], approximate: true, uncounted: true, remarks: [], rest } };
  }
  const before = statesBefore(body);
  let approximate = false;
  [body, approximate] = dropped(before.rest, ABOUT);
  const first = readSum(body, language);
  if (!first.ok) return first;
  const values = [first.value.sum];
  let rest = first.value.rest;
  for (;;) {
    const mark = /^\s*(?:[(=/]|(?:or|oder|ou)\s+(?=[\d½¼¾]|a ))\s*/iu.exec(rest);
    if (!mark) break;
    let inner = rest.slice(mark[0].length);
    [inner] = dropped(inner, ABOUT);
    const again = readSum(inner, language);
    if (!again.ok || again.value.sum.some(({ unit }) => unit === null)) break;
    const each = EACH_AFTER.exec(again.value.rest.trimStart());
    const [vessel] = values[0] ?? [];
    if (each && vessel && values[0]?.length === 1) values[0] = multiplied(again.value.sum, vessel);
    else values.push(again.value.sum);
    rest = again.value.rest.trimStart().slice(each?.[0].length ?? 0);
    rest = rest.replace(/^\s*(?:in all|total|insgesamt|en tout)\b/iu, '').replace(/^\s*\)/, '');
  }
  if (values.flat().some(({ from, to }) => from > to)) return fault(coded('amounts.aRangeGoesFromThe'));
  const unclear = values.some((sum) => sum.reduce((all, { from }) => all + from, 0) < 0 && sum.length === 1);
  if (unclear) return fault(coded('amounts.anAmountCannotBeNegative'));
  const rough = values.every((sum) => sum.some(({ unit }) => unit !== null && unit !== '%' && !isMass(unit)));
  const [afterSo, orSo] = dropped(rest.trimStart(), OR_SO);
  const { remarks, left } = statesIn(afterSo);
  remarks.unshift(...before.remarks);
  approximate = approximate || rough || orSo;
  return { ok: true, value: { values, approximate, uncounted: false, remarks, rest: left } };
}

/** A sum at the head of a text: `1 lb 2 oz`, `2 cups + 3 tbsp`, `1 cup minus 1 tbsp`. */
function readSum(text: string, language: AmountLanguage): Read<{ sum: Sum; rest: string }> {
  const first = readTerm(text, language);
  if (!first.ok) return first;
  const sum: Sum = [...first.value.terms];
  let rest = first.value.rest;
  for (;;) {
    const plus = AND.exec(rest);
    const less = plus ? null : LESS.exec(rest);
    const joined = plus ?? less;
    const next = readTerm(joined ? rest.slice(joined[0].length) : rest, language);
    if (!next.ok) break;
    const [term] = next.value.terms;
    const last = sum.at(-1);
    if (!term || !last) break;
    // "1 kg 200": what stands alone behind kilograms is grams.
    if (!joined && term.unit === null && last.unit === 'kg' && term.from >= 10 && term.from < 1000)
      term.unit = 'g';
    // Side by side only where the second is the smaller part of the first: "1 lb 2 oz", "1 cup 2 tbsp".
    if (term.unit === null || (!joined && !continues(last.unit, term.unit))) break;
    sum.push(...next.value.terms.map((one) => (less ? { ...one, from: -one.to, to: -one.from } : one)));
    rest = next.value.rest;
  }
  return { ok: true, value: { sum, rest } };
}

const SMALLER: Partial<Record<Unit, Unit[]>> = {
  kg: ['g'],
  lb: ['oz'],
  pfund: ['g'],
  l: ['ml', 'cl', 'dl'],
  cup: ['tbsp', 'tsp', 'cup'],
  tbsp: ['tsp'],
  egg: ['yolk', 'white'],
  stick: ['tbsp', 'tsp'],
};
const continues = (unit: Unit | null, next: Unit) => (unit && SMALLER[unit]?.includes(next)) ?? false;

/** One term: a quantity or range, how it is, a size, a unit; `2 x 400 g`, `1 (8-oz) package`, `3 sachets of 7 g`. */
function readTerm(text: string, language: AmountLanguage): Read<{ terms: Term[]; rest: string }> {
  let body = text.trimStart();
  const between = BETWEEN.exec(body);
  if (between) body = body.slice(between[0].length);
  if (ONE_OF.test(body)) body = `1 ${body}`;
  body = body.replace(SEEDS_OF, '').trimStart();
  for (const [words, of] of OF_EGGS) {
    const match = words.exec(body);
    const eggs = match && readTerm(body.slice(match[0].length), language);
    if (eggs?.ok && eggs.value.terms[0]?.unit === 'egg')
      return {
        ok: true,
        value: { ...eggs.value, terms: eggs.value.terms.map((one) => ({ ...one, unit: of })) },
      };
  }
  let part: Term['part'];
  for (const [words, of] of PART_OF) {
    const match = words.exec(body);
    if (!match) continue;
    [part, body] = [of, body.slice(match[0].length)];
    // "Zest and juice of a lemon" is more than one part.
    if (AND.test(body)) return fault(NO_NUMBER);
  }
  const head = headQuantity(body);
  if (!head) return noNumber(text);
  const packed = inEach(head, body, language);
  if (packed) return packed;
  let { rest } = head;
  let high: HeadNumber | null = null;
  const upTo = UP_TO.exec(rest) ?? (between ? AND.exec(rest) : null) ?? orNumber(rest);
  if (upTo) {
    high = headQuantity(rest.slice(upTo[0].length));
    if (high) rest = high.rest;
  }
  const named = unitAfter(rest, language);
  const { unit, size } = named;
  rest = named.rest;
  const value = resolved(head, high ? (unitAfter(high.rest, language).unit ?? unit) : unit, language);
  const most = high ? resolved(high, unit, language) : value;
  if (!value.ok) return value;
  if (!most.ok) return most;
  // "200 g to 250 g": the second end has its own unit.
  const second = high ? null : secondEnd(rest, unit, language);
  const extra = unit === null ? { value: 0, rest } : plusPart(rest);
  const term: Term = {
    from: value.value + extra.value,
    to: second ? second.value : most.value + extra.value,
    unit: part && unit === null && named.unit === null ? 'fruit' : unit,
    ...(size ? { size } : {}),
    ...(part ? { part } : {}),
  };
  if (second) rest = second.rest;
  else rest = extra.rest;
  const zested = !part && unit && isFruit(unit) ? /^\s*(zest|juice)s?(?!\p{L})/iu.exec(rest) : null;
  if (zested) {
    term.part = zested[1]?.toLowerCase() === 'zest' ? 'zest' : 'juice';
    rest = rest.slice(zested[0].length);
  }
  // "7 g sachet": the weight says it all.
  if (unit !== null && isMass(unit)) rest = vesselAfter(rest, language) ?? rest;
  const each = isVessel(unit) ? EACH_OF.exec(rest) : null;
  if (each) {
    const holds = readSum(rest.slice(each[0].length), language);
    if (holds.ok && holds.value.sum.every((one) => one.unit && isMass(one.unit)))
      return { ok: true, value: { terms: multiplied(holds.value.sum, term), rest: holds.value.rest } };
  }
  return { ok: true, value: { terms: [term], rest } };
}

/** `or` makes a range only between two bare numbers: `1 or 2 eggs`. */
function orNumber(rest: string): RegExpExecArray | null {
  const or = OR.exec(rest);
  return or && /^\d+\s+\p{L}/u.test(rest.slice(or[0].length)) ? or : null;
}

/** `2 x 400 g`, `1 400 g tin`, `2 (400 g) tins`: a count of what weighs the same; null where it is none. */
function inEach(
  head: HeadNumber,
  body: string,
  language: AmountLanguage,
): Read<{ terms: Term[]; rest: string }> | null {
  const times = TIMES.exec(head.rest);
  if (times) {
    const one = readTerm(head.rest.slice(times[0].length), language);
    if (!one.ok || one.value.terms.some(({ unit }) => unit === null || unit === '%')) return null;
    const after = vesselAfter(one.value.rest, language) ?? one.value.rest;
    return { ok: true, value: { terms: scaled(one.value.terms, head.value), rest: after } };
  }
  // "1 400 g tin" is no 1400 g tin.
  const apart = /^(\d+)\s+(?=\d{1,4}[\s-]*\p{L})/u.exec(body);
  const count = apart ? Number(apart[1]) : head.value;
  const inside = (apart ? body.slice(apart[0].length) : head.rest).replace(/^\s*\(?\s*/, '');
  const each = /^\d/.test(inside) ? headQuantity(inside) : null;
  const weight = each && headUnit(each.rest, language);
  if (!each || !weight || !isMass(weight.unit)) return null;
  const after = vesselAfter(weight.rest.replace(/^\s*\)/, ''), language);
  if (after === null) return null;
  const all = count * each.value;
  return { ok: true, value: { terms: [{ from: all, to: all, unit: weight.unit }], rest: after } };
}

function vesselAfter(text: string, language: AmountLanguage): string | null {
  const named = headUnit(text.replace(/^\s*-?\s*/, ''), language);
  return named && isVessel(named.unit) ? named.rest : null;
}

const scaled = (terms: readonly Term[], by: number) =>
  terms.map((one) => ({ ...one, from: one.from * by, to: one.to * by }));

/** As many times as there are vessels; of a range of vessels, from the fewest to the most. */
const multiplied = (sum: Sum, vessels: Term) =>
  sum.map((one) => ({ ...one, from: one.from * vessels.from, to: one.to * vessels.to }));

/** The upper end where both ends of a range have units; grams and kilograms of each other are brought together. */
function secondEnd(
  rest: string,
  unit: Unit | null,
  language: AmountLanguage,
): { value: number; rest: string } | null {
  const upTo = UP_TO.exec(rest);
  if (!upTo || unit === null) return null;
  const head = headQuantity(rest.slice(upTo[0].length));
  const named = head && unitAfter(head.rest, language);
  if (!head || !named?.unit) return null;
  const value = resolved(head, named.unit, language);
  if (!value.ok) return null;
  const factor = named.unit === unit ? 1 : ratio(named.unit, unit);
  return factor === null ? null : { value: value.value * factor, rest: named.rest };
}

function ratio(of: Unit, to: Unit): number | null {
  const water = { kitchen: 'metric', name: '', density: 1 } as const;
  const [a, b] = [gramsOf(of, water), gramsOf(to, water)];
  return a === null || b === null || isMass(of) !== isMass(to) ? null : a / b;
}

/**
 * A number with three digits behind its mark: in grams and millilitres English commas and German points are thousands,
 * in kilograms and litres marks are decimal; what could be either is not guessed.
 */
function resolved(head: HeadNumber, unit: Unit | null, language: AmountLanguage): Read<number> {
  if (head.grouped === undefined || unit === '%') return { ok: true, value: head.value };
  const thousands = language === 'de' ? '.' : ',';
  if (unit === null && head.mark !== thousands) return { ok: true, value: head.value };
  if (isLarge(unit) && (head.mark !== thousands || language === 'fr')) return { ok: true, value: head.value };
  if (unit !== null && !isLarge(unit) && head.mark === thousands && language !== 'fr')
    return { ok: true, value: head.grouped };
  const shown = (value: number) => `${value} ${unit ?? ''}`.trim();
  const [small, large] = [shown(head.value), shown(head.grouped)];
  return fault(coded('amounts.isItOrWriteWithout', { small, large }));
}

function dropped(text: string, words: RegExp): [string, boolean] {
  const match = words.exec(text);
  return match && match[0] !== '' ? [text.slice(match[0].length), true] : [text, false];
}

function noNumber(text: string): { ok: false; message: Coded } {
  return /^\s*[-+]?\s*\p{L}/u.test(text) || text.trim() === ''
    ? fault(NO_NUMBER)
    : fault(coded('amounts.isNotANumber', { text: text.trim().slice(0, 40) }));
}
