import type { Kitchen, Measuring } from '../units/measures';

/** The fourteen allergens of EU labels, in the order of the regulation. */
export const ALLERGENS = [
  'gluten',
  'crustaceans',
  'egg',
  'fish',
  'peanut',
  'soya',
  'milk',
  'nuts',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'molluscs',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

export type FlourStrength = 'weak' | 'medium' | 'strong';

export const INGREDIENT_KINDS = [
  'flour',
  'water',
  'dairy',
  'egg',
  'fat',
  'sugar',
  'salt',
  'yeast',
  'starter',
  'other',
] as const;
export type IngredientKind = (typeof INGREDIENT_KINDS)[number];

/** What the house knows of an ingredient. Shares are parts of its weight, 0 to 1. */
export interface Ingredient {
  id: string;
  name: string;
  /** Other names a baker may type. */
  also: string[];
  kind: IngredientKind;
  /** g/ml as measured in a cup or spoon; null where nobody measures it so. */
  density: number | null;
  water: number;
  fat: number;
  /** Sugar that is added; the milk sugar of milk is not. */
  sugar: number;
  salt: number;
  /** Flour inside: 1 for flour, 0.5 for a levain of equal parts. */
  flour: number;
  /** Its strength as yeast against instant dry yeast: instant 1, active dry 0.825, fresh 0.33. */
  yeast: number;
  /** Specific heat, kJ/(kg·K). */
  heat: number;
  allergens: Allergen[];
  /** Nobody has said yet what it contains, not even that it is none of the fourteen. */
  allergensUnknown?: true;
  /** Flours: protein in percent, and what the mill or the house says of the strength. */
  protein?: number;
  strength?: FlourStrength;
  note?: string;
}

/** What an amount of an ingredient is weighed by; of one that is not known, by the name that was typed alone. */
export function measuringOf(
  ingredient: Pick<Ingredient, 'name' | 'also' | 'density'> | null | undefined,
  kitchen: Kitchen,
  typed = '',
): Measuring {
  return {
    kitchen,
    name: ingredient?.name ?? typed,
    also: [...(ingredient?.also ?? []), typed],
    density: ingredient?.density ?? null,
  };
}

/** The ingredients of a house, found by id or by what a baker types. */
export interface IngredientBook {
  all: readonly Ingredient[];
  get(id: string): Ingredient | undefined;
  /**
   * By name or another name, whatever its case, accents and plural; else the only ingredient whose name begins with
   * these whole words. A house formula is found by its whole name alone.
   */
  find(typed: string): Ingredient | undefined;
  /** What might be meant by a name that is not found: of `yeast` every kind of it. Ingredients only, a few. */
  like(typed: string): Ingredient[];
}

/** Most that are offered for a name that is not found. */
const OFFERED = 5;

export function ingredientBook(all: readonly Ingredient[]): IngredientBook {
  const byId = new Map(all.map((ingredient) => [ingredient.id, ingredient]));
  const byName = new Map<string, Ingredient>();
  for (const ingredient of [...all].reverse()) {
    for (const name of [...ingredient.also, ingredient.name]) byName.set(plain(name), ingredient);
  }
  const named = [...byName].filter(([, { id }]) => !id.startsWith('formula:'));
  const holding = (test: (name: string) => boolean) => [
    ...new Set(named.filter(([name]) => test(name)).map(([, found]) => found)),
  ];
  return {
    all,
    get: (id) => byId.get(id),
    find(typed) {
      const key = plain(typed);
      if (key === '') return undefined;
      const beginning = byName.get(key) ? [] : holding((name) => name.startsWith(`${key} `));
      return byName.get(key) ?? (beginning.length === 1 ? beginning[0] : undefined);
    },
    like(typed) {
      const words = plain(typed).split(' ').filter(Boolean);
      if (words.length === 0) return [];
      return holding((name) => words.every((word) => ` ${name}`.includes(` ${word}`))).slice(0, OFFERED);
    },
  };
}

/** Names as they are compared: small letters without accents, single spaces, no plural s. */
function plain(name: string): string {
  return name
    .trim()
    .toLowerCase()
    .replace(/œ/g, 'oe')
    .replace(/ß/g, 'ss')
    .replace(/’/g, "'")
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/\s+/g, ' ')
    .replace(/(?<=[a-z]{3})s$/, '');
}
