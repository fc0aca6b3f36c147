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
  /** Flours: protein in percent, and what the mill or the house says of the strength. */
  protein?: number;
  strength?: 'weak' | 'medium' | 'strong';
  note?: string;
}

/** The ingredients of a house, found by id or by what a baker types. */
export interface IngredientBook {
  all: readonly Ingredient[];
  get(id: string): Ingredient | undefined;
  /** By name or another name, case and plural aside; else the only one whose name begins so. */
  find(typed: string): Ingredient | undefined;
}

export function ingredientBook(all: readonly Ingredient[]): IngredientBook {
  const byId = new Map(all.map((ingredient) => [ingredient.id, ingredient]));
  const byName = new Map<string, Ingredient>();
  for (const ingredient of [...all].reverse()) {
    for (const name of [...ingredient.also, ingredient.name]) byName.set(plain(name), ingredient);
  }
  return {
    all,
    get: (id) => byId.get(id),
    find(typed) {
      const key = plain(typed);
      if (key === '') return undefined;
      const exact = byName.get(key);
      if (exact) return exact;
      const beginning = new Set(
        [...byName].filter(([name]) => name.startsWith(key)).map(([, found]) => found),
      );
      return beginning.size === 1 ? [...beginning][0] : undefined;
    },
  };
}

/** Names as they are compared: small letters, single spaces, no plural s. */
function plain(name: string): string {
  return name
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/(?<=[a-z]{3})s$/, '');
}
