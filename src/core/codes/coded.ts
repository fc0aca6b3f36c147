/**
 * What of the codes can be said. Whoever has words for them adds their names here, so that the compiler finds a code
 * without words; the core by itself knows none.
 */
export interface Sayable {
  readonly codes?: unknown;
}

/** A code that there are words for. */
export type Code = Sayable extends { readonly code: infer Known extends string } ? Known : string;

/**
 * A measured value as it is kept, in SI; whoever says it shows it in the units of the reader. `difference` is one of
 * temperatures; `clock`, `dayTime` and `dayMonth` are ms since 1970 in UTC, shown as the wall clock of the zone shows them.
 */
export type Quantity =
  | { minutes: number }
  | { celsius: number }
  | { difference: number }
  | { kg: number }
  | { grams: number }
  | { mm: number }
  | { cm: number }
  | { percent: number }
  | { clock: number; zone: string }
  | { dayTime: number; zone: string }
  | { dayMonth: number; zone: string };

/** Words of the bakery's own, or a message. */
export type Words = string | Coded;

/**
 * What stands in a message: a word or number, a quantity, another message. `inLine`: a name as it stands within a line;
 * a list: all of them, "a, b and c"; `oneOf`: one of them, "a, b or c"; `each`: what is too long for a comma, "a; b; c".
 */
export type CodedValue =
  | string
  | number
  | boolean
  | Quantity
  | Coded
  | readonly Words[]
  | { oneOf: readonly Words[] }
  | { each: readonly Words[] }
  | { inLine: Words };

/** Something to be said, before anybody knows to whom: a code and the values that it speaks of. */
export interface Coded {
  code: Code;
  values: Readonly<Record<string, CodedValue>>;
}

/**
 * Makes a message of a code.
 *
 * @example
 * coded('alarms.heatTheOvenToGoes', { name: 'Crescent 7', celsius: { celsius: 185 }, time: { clock: at, zone } });
 */
export const coded = (code: Code, values: Coded['values'] = {}): Coded => ({ code, values });
