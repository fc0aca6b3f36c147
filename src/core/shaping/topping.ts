import { coded, type Coded } from '../codes/coded';
import { ALLERGENS, type Allergen } from '../formula/ingredient';
import type { Filling } from './filling';

/** What a piece is brushed with: "whole egg", "milk". */
export interface Wash {
  name: string;
  /** What it brings that has to be declared. */
  allergens?: Allergen[];
}

/** What lies on top, and tells a kind apart from others when it is baked: "sesame, one slit". */
export interface Topping {
  mark: string;
  allergens?: Allergen[];
}

/** What goes on and into a piece beside its dough. */
export interface Dressing {
  filling?: Filling;
  wash?: Wash;
  topping?: Topping;
}

/** Allergens that filling, wash and topping bring, in the order of the labels. */
export function dressingAllergens({ filling, wash, topping }: Dressing): Allergen[] {
  return inLabelOrder([filling, wash, topping].flatMap((part) => part?.allergens ?? []));
}

/** Each once, in the order of the regulation. */
export function inLabelOrder(allergens: readonly Allergen[]): Allergen[] {
  return ALLERGENS.filter((allergen) => allergens.includes(allergen));
}

/** What the next piece on the same table should not get of this one: what is hard to clean off. */
const CROSSING: readonly Allergen[] = ['nuts', 'peanut', 'sesame'];

/** What to mind at the table; null where there is nothing more than elsewhere. */
export function crossContactMessage(allergens: readonly Allergen[]): Coded | null {
  const crossing = CROSSING.filter((allergen) => allergens.includes(allergen));
  if (crossing.length === 0) return null;
  return coded('shaping.afterThePlainOnesThen', { crossing });
}
