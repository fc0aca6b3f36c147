import format, { type CompiledMessage, type FormatOptions, type FormatValues } from 'icu-minify/format';
import type { Coded, CodedValue, Quantity, Words } from '@/core/codes/coded';
import { decimal, METRIC, type ReaderUnits } from '@/core/units/reader';
import type { CalledProduct } from '@/core/bakery/product-names';
import { lowerFirst } from './first-letter';
import { houseNames, NO_NAMES, withNames } from './house-names';
import type { Language, MessageKey, Messages, Value } from './message';
import { shown } from './quantity';
import { timesIn, type Times } from './times';

declare module '@/core/codes/coded' {
  interface Sayable {
    readonly code: MessageKey;
  }
}

/** What stands for a tag in a message: it is given what lies between. */
export type Tag<Part> = (words: (string | Part)[]) => Part;

/**
 * Says a message in a reader's language.
 *
 * @throws {Error} at a message that is in none of the areas at hand, or a value that it asks for and is not given
 * @example
 * say('oven.ofTraysIn', { trays: 3, capacity: 9 }); // "3 of 9 trays in"
 */
export interface Say extends Times {
  (key: MessageKey, values?: Readonly<Record<string, Value>>): string;
  /** Says a message with tags, each of which makes a part of its own of the words in it. */
  parts: <Part>(
    key: MessageKey,
    values: Readonly<Record<string, Value | Tag<Part>>>,
  ) => string | Part | (string | Part)[];
  /** Says what the core or the server has to say, with the messages and quantities in it; a bakery’s own words as they are. */
  coded: (message: Words) => string;
  /** A quantity as this reader reads it. */
  shown: (quantity: Quantity) => string;
  /** A name as it stands within a line: "Core temperature" as "core temperature", "Kerntemperatur" as it is. */
  inLine: (words: string) => string;
  /** A name of the bakery's own as it is called here; where the bakery has none for it, as it is. */
  named: (name: string, pieces?: number) => string;
  /** A number with so many decimals, as this reader writes it: `2.50`, `2,50`. */
  number: (value: number, decimals: number) => string;
  language: Language;
}

/** Formatters are dear to make, and there are few: kept by what they are made with. */
function formatters(): FormatOptions['formatters'] {
  const known = new Map<string, unknown>();
  const keep = <Made>(kind: string, made: () => Made, by: unknown): Made => {
    const key = `${kind} ${JSON.stringify(by)}`;
    if (!known.has(key)) known.set(key, made());
    return known.get(key) as Made;
  };
  return {
    getNumberFormat: (...by) => keep('number', () => new Intl.NumberFormat(...by), by),
    getPluralRules: (...by) => keep('plural', () => new Intl.PluralRules(...by), by),
    getDateTimeFormat: (...by) => keep('date', () => new Intl.DateTimeFormat(...by), by),
  };
}

/** Names that a compiled message asks values for. */
function namesIn(message: Exclude<CompiledMessage, string>): string[] {
  return message.flatMap((node) => (Array.isArray(node) ? [String(node[0])] : []));
}

/** How a language lists: British English has no comma before "and". */
const LIST_LOCALE: Record<Language, string> = { de: 'de', en: 'en-GB', fr: 'fr' };

/** Languages that write names within a line as they write them at its start. */
const KEEPS_CAPITALS: ReadonlySet<Language> = new Set<Language>(['de']);

/** Languages that write decimals after a comma. */
const WITH_COMMA: ReadonlySet<Language> = new Set<Language>(['de', 'fr']);

/** How somebody reads who reads this language. */
export const readerIn = (language: Language, units: ReaderUnits): ReaderUnits => ({
  ...units,
  comma: WITH_COMMA.has(language) || undefined,
});

/** Names that a message counts or chooses by, however deep: those values stay what they are. */
const countedIn = (nodes: CompiledMessage): string[] =>
  typeof nodes === 'string'
    ? []
    : nodes.flatMap((node) => {
        if (!Array.isArray(node) || node.length === 1) return [];
        const forms = node
          .slice(1)
          .flatMap((part) =>
            typeof part === 'object' && part !== null ? (Object.values(part) as unknown[]) : [],
          );
        return [String(node[0]), ...forms.flatMap((form) => countedIn(form as CompiledMessage))];
      });

/** Values of a message, decimals that it shows as they are as their reader writes them. */
function written<V>(
  message: CompiledMessage,
  values: Readonly<Record<string, V>>,
  reader: ReaderUnits,
): Readonly<Record<string, V | string>> {
  const broken = ([, value]: [string, V]) => typeof value === 'number' && !Number.isInteger(value);
  if (!reader.comma || !Object.entries(values).some(broken)) return values;
  const counted = new Set(countedIn(message));
  const shown = Object.entries(values).filter((one) => broken(one) && !counted.has(one[0]));
  return {
    ...values,
    ...Object.fromEntries(shown.map(([name, value]) => [name, decimal(String(value), reader)])),
  };
}

const isCoded = (value: Coded | Quantity): value is Coded => 'code' in value && 'values' in value;

/** How a reader reads: in which units, and how the bakery's own names are called there. */
interface Reading {
  units?: ReaderUnits;
  called?: readonly CalledProduct[];
}

/** Makes what says these messages. */
export function sayer(
  language: Language,
  messages: Messages,
  { units = METRIC, called = [] }: Reading = {},
): Say {
  const options = { formatters: formatters() };
  const small = (words: string) => (KEEPS_CAPITALS.has(language) ? words : lowerFirst(words));
  const names = called.length === 0 ? NO_NAMES : houseNames(called, small);
  const [reader, times] = [readerIn(language, units), timesIn(language)];
  const message = (key: MessageKey, values: object = {}) => {
    const dot = key.indexOf('.');
    const found = messages[key.slice(0, dot) as keyof Messages]?.[key.slice(dot + 1)];
    if (found === undefined) throw new Error(`There are no words for ${key} here.`);
    if (typeof found !== 'string' && Object.keys(values).length === 0)
      throw new Error(`${key} asks for ${namesIn(found).join(', ')}.`);
    return found;
  };
  const read = <V>(found: CompiledMessage, values: Readonly<Record<string, V>>) =>
    written(
      found,
      withNames(names, values, () => countedIn(found)),
      reader,
    );
  const say = (key: MessageKey, values: FormatValues<string> = {}) =>
    format<string>(message(key, values), language, read(message(key, values), values), options) as string;
  const parts = <Part>(key: MessageKey, values: FormatValues<Part>) =>
    format<Part>(message(key, values), language, read(message(key, values), values), options);
  const named = (name: string, pieces = 1) => {
    const own = names.get(name);
    return own ? (pieces === 1 ? own.one : own.many) : name;
  };
  const inLine = (words: string) => small(named(words));
  const quantity = (one: Quantity) => shown(one, reader, times);
  const number = (value: number, decimals: number) => decimal(value.toFixed(decimals), reader);
  const listed = (words: readonly Words[], type: 'conjunction' | 'disjunction') =>
    new Intl.ListFormat(LIST_LOCALE[language], { type }).format(words.map(coded));
  const value = (one: CodedValue): Value => {
    if (typeof one !== 'object') return one;
    if (Array.isArray(one)) return listed(one as readonly Words[], 'conjunction');
    const single = one as Exclude<typeof one, readonly Words[]>;
    if ('oneOf' in single) return listed(single.oneOf, 'disjunction');
    if ('each' in single) return single.each.map(coded).join('; ');
    if ('inLine' in single) return inLine(coded(single.inLine));
    return isCoded(single) ? coded(single) : quantity(single);
  };
  const coded = (message: Words): string => {
    if (typeof message === 'string') return named(message);
    const values = Object.entries(message.values).map(([name, own]) => [name, value(own)] as const);
    return say(message.code, Object.fromEntries(values));
  };
  return Object.assign(say, { parts, coded, shown: quantity, number, inLine, named, language, ...times });
}
