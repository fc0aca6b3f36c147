import type { CalledProduct, ProductName } from '@/core/bakery/product-names';
import { upperFirst } from './first-letter';

/** What the bakery's own names are called where they are read, by the name itself and as it stands within a line. */
export type HouseNames = ReadonlyMap<string, ProductName>;

export const NO_NAMES: HouseNames = new Map();

/**
 * Makes names findable by every form in which they reach a message: as the bakery writes them, at the start of a line and
 * within one, and as they are called already.
 *
 * @param inLine - how the language writes a name within a line
 */
export function houseNames(called: readonly CalledProduct[], inLine: (name: string) => string): HouseNames {
  const each = ({ one, many }: ProductName, as: (name: string) => string): ProductName => ({
    ...{ one: as(one), many: as(many) },
  });
  return new Map(
    called.flatMap(([own, name]) => [
      [upperFirst(own), each(name, upperFirst)],
      [inLine(own), each(name, inLine)],
      [inLine(name.one), each(name, inLine)],
      [own, name],
      [name.one, name],
    ]),
  );
}

/** How many of something a message speaks of, where it says so: `pieces`, or else one. */
const countIn = (values: Readonly<Record<string, unknown>>): number =>
  typeof values.pieces === 'number' ? values.pieces : 1;

/**
 * Values of a message with the bakery's names as they are called where it is read; several pieces have the name of several.
 * What the message chooses by stays what it is: the allergen `milk` is not the bakery's milk.
 *
 * @param chosenBy - gives the names of the values that the message counts or chooses by
 */
export function withNames<V>(
  names: HouseNames,
  values: Readonly<Record<string, V>>,
  chosenBy: () => readonly string[],
): Readonly<Record<string, V | string>> {
  if (names.size === 0) return values;
  const count = countIn(values);
  const called = (value: V) => (typeof value === 'string' ? names.get(value) : undefined);
  if (!Object.values(values).some(called)) return values;
  const codes = new Set(chosenBy());
  return Object.fromEntries(
    Object.entries(values).map(([key, value]) => {
      const name = codes.has(key) ? undefined : called(value);
      return [key, name ? (count === 1 ? name.one : name.many) : value];
    }),
  );
}
