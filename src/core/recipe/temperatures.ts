import { headNumber } from '../units/number';
import { fromFahrenheit } from '../units/temperature';
import type { Range, Span } from './reading';
import type { RecipeWords } from './words/recipe-words';

/** A temperature in a text, with every value that is given for it. */
export interface Temperature extends Span {
  /** The first value that is not for a fan alone, °C. */
  celsius: Range;
  isFan?: true;
  /** Two values for the same are so far apart that one of them is wrong. */
  isUnclear?: true;
}

/** Gas marks 1 to 9, and thermostats of French ovens, °C. */
const GAS = [140, 150, 170, 180, 190, 200, 220, 230, 240] as const;
const THERMOSTAT = 30;
/** How far two scales may be apart: ovens are rounded to tens of degrees, doughs to one. */
const APART = { oven: 8, dough: 1.5 };
const OVEN_FROM = 80;
const NUMBER = /(?<![\p{L}\d.,/])[-−–]?\d/gu;
const BETWEEN_SCALES = /^\s*[/(,]\s*|^\s*\/\s*/u;

/** Every temperature in a text: `24 °C`, `75F`, `200C/180C fan/gas 6`, `180 °C (th. 6)`. One given in two ways is one. */
export function temperaturesIn(text: string, words: RecipeWords): Temperature[] {
  const found: Temperature[] = [];
  for (const { index } of text.matchAll(NUMBER)) {
    if (found.some(({ from, to }) => index >= from && index < to)) continue;
    const one = temperatureAt(text, index, words);
    if (one) found.push(one);
  }
  return found.map((one) => withGas(text, one, words));
}

interface Value extends Span {
  celsius: Range;
  isFan: boolean;
}

function temperatureAt(text: string, from: number, words: RecipeWords): Temperature | null {
  const first = valueAt(text, from, words);
  if (!first) return null;
  const values = [first];
  let to = first.to;
  for (;;) {
    const between = BETWEEN_SCALES.exec(text.slice(to));
    const start = to + (between?.[0].length ?? 0);
    const next = between && valueAt(text, start, words);
    if (!next) break;
    values.push(next);
    to = next.to + (text[next.to] === ')' ? 1 : 0);
  }
  const plain = values.filter(({ isFan }) => !isFan);
  const shown = plain[0] ?? first;
  const allowed = shown.celsius[0] >= OVEN_FROM ? APART.oven : APART.dough;
  const isUnclear = plain.some(({ celsius }) => Math.abs(celsius[0] - shown.celsius[0]) > allowed);
  return {
    ...{ from, to, celsius: shown.celsius },
    ...(plain.length === 0 ? { isFan: true as const } : {}),
    ...(isUnclear ? { isUnclear: true as const } : {}),
  };
}

function valueAt(text: string, from: number, words: RecipeWords): Value | null {
  const before = new RegExp(`^(?:${words.fan.source})\\s*`, 'iu').exec(text.slice(from))?.[0] ?? '';
  const body = text.slice(from + before.length).replace(/^[−–]/u, '-');
  const low = headNumber(body);
  if (!low) return null;
  const lowUnit = words.degrees.exec(low.rest);
  const upTo = words.upTo.exec(lowUnit ? low.rest.slice(lowUnit[0].length) : low.rest);
  const afterLow = lowUnit ? low.rest.slice(lowUnit[0].length) : low.rest;
  const high = upTo && headNumber(afterLow.slice(upTo[0].length));
  const highUnit = high && words.degrees.exec(high.rest);
  const unit = highUnit ?? lowUnit;
  if (!unit) return null;
  const rest = high && highUnit ? high.rest.slice(highUnit[0].length) : afterLow;
  const isF = unit.slice(1).some((letter) => letter?.toUpperCase() === 'F');
  const celsius = (value: number) => (isF ? fromFahrenheit(value) : value);
  const to = text.length - rest.length;
  const fan = new RegExp(`^\\s*(?:${words.fan.source})`, 'iu').exec(rest);
  return {
    ...{ from, to: to + (fan?.[0].length ?? 0), isFan: fan !== null || before !== '' },
    celsius: [celsius(low.value), celsius(high && highUnit ? high.value : low.value)],
  };
}

/** Takes a gas mark beside a temperature into it. */
function withGas(text: string, one: Temperature, words: RecipeWords): Temperature {
  const beside = /^\s*[/(,]?\s*/u.exec(text.slice(one.to))?.[0].length ?? 0;
  const gas = new RegExp(`^${words.gas.source}`, 'iu').exec(text.slice(one.to + beside));
  if (!gas) return one;
  const to = one.to + beside + gas[0].length;
  const mark = Number(gas[1]);
  const celsius = gas[0].toLowerCase().startsWith('th') ? mark * THERMOSTAT : GAS[mark - 1];
  const isUnclear = celsius !== undefined && Math.abs(celsius - one.celsius[0]) > 2 * APART.oven;
  return { ...one, to: to + (text[to] === ')' ? 1 : 0), ...(isUnclear ? { isUnclear: true as const } : {}) };
}
