/** How a product is called: one piece of it, and several. A formula has the same name in both. */
export interface ProductName {
  one: string;
  many: string;
}

/** Names of a product or a formula by language, as far as the bakery wants some of its own: `{ de: { one, many } }`. */
export type NamesByLanguage = Readonly<Partial<Record<string, ProductName>>>;

/** A product or a formula of the bakery by the name that its plans and records use, and what it is called elsewhere. */
export interface NamedProduct {
  name: string;
  names: NamesByLanguage;
}

/** An own name, and how what bears it is called in one language. */
export type CalledProduct = readonly [own: string, called: ProductName];

/**
 * What products and formulas are called in a language, those that have a name of their own there. What is left empty is as the bakery
 * calls it.
 *
 * @example
 * calledIn([{ name: 'Sugared bun', names: { en: { one: '', many: 'Sugared buns' } } }], 'en');
 * // [['Sugared bun', { one: 'Sugared bun', many: 'Sugared buns' }]]
 */
export const calledIn = (products: readonly NamedProduct[], language: string): CalledProduct[] =>
  products.flatMap(({ name, names }): CalledProduct[] => {
    const own = names[language];
    if (!own) return [];
    const one = own.one || name;
    return [[name, { one, many: own.many || one }]];
  });
