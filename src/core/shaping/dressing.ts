import { coded, type Coded } from '../codes/coded';
import { ALLERGENS, type Allergen } from '../formula/ingredient';
import type { Filling, FillingMoment } from './filling';
import type { DressingPart } from './part';

/** When a piece is brushed. */
export const WASH_MOMENTS = {
  shaped: coded('shaping.beforeProof'),
  proofed: coded('shaping.afterProof'),
  baked: coded('shaping.afterTheBake'),
} as const;
export type WashMoment = keyof typeof WASH_MOMENTS;

/** What a piece is brushed with, and when. Two coats are two washes. */
export interface Wash extends DressingPart {
  moment: WashMoment;
}

/** When something is strewn or laid on. */
export const TOPPING_MOMENTS = {
  proofed: coded('shaping.beforeTheBake'),
  baked: coded('shaping.afterTheBake'),
} as const;
export type ToppingMoment = keyof typeof TOPPING_MOMENTS;

/** What lies on top; before the bake it tells a kind apart from others as well. */
export interface Topping extends DressingPart {
  moment: ToppingMoment;
}

/** What goes on and into a piece beside its dough, each in the order in which it is done. */
export interface Dressing {
  fillings?: Filling[];
  washes?: Wash[];
  toppings?: Topping[];
}

/** All parts of a dressing, in the order in which they come to the piece by kind. */
export const dressingParts = ({ fillings = [], washes = [], toppings = [] }: Dressing): DressingPart[] => [
  ...fillings,
  ...washes,
  ...toppings,
];

/** Allergens that fillings, washes and toppings bring of themselves, in the order of the labels. */
export function dressingAllergens(dressing: Dressing): Allergen[] {
  return inLabelOrder(dressingParts(dressing).flatMap(({ allergens = [] }) => allergens));
}

/** What tells a kind apart until it is baked: its toppings of before the bake, in words; null where there is none. */
export function markOf({ toppings = [] }: Dressing): string | null {
  const marks = toppings.flatMap(({ moment, name }) => (moment === 'proofed' ? [name] : []));
  return marks.length > 0 ? marks.join(', ') : null;
}

/** Steps at which something goes into or onto it. */
export type DressedAt = 'sheet' | 'shape' | 'wash' | 'load' | 'finish';

/** The step before which a filling must be there. */
export const FILLED_AT: Record<FillingMoment, DressedAt> = {
  ...{ overlaid: 'sheet', spread: 'shape', laid: 'shape', between: 'shape' },
  ...{ proofed: 'load', baked: 'finish' },
};

/**
 * What of a dressing belongs to one step of the piece. Brushed and strewn on is at a wash or at finishing, each by what the
 * piece has behind it then; what is deposited after proof, at finishing before the bake or at loading.
 *
 * @param past - what the piece has behind it when the step begins
 */
export function dressingAt(
  { fillings = [], washes = [], toppings = [] }: Dressing,
  kind: string,
  past: WashMoment,
): Required<Dressing> {
  const isCoat = kind === 'wash' || kind === 'finish';
  const isDeposit = kind === 'finish' && past === 'proofed';
  const isFinish = kind !== 'finish' || past === 'baked';
  return {
    fillings: fillings.filter(({ moment }) =>
      isDeposit ? moment === 'proofed' : isFinish && FILLED_AT[moment] === kind,
    ),
    washes: isCoat && !isDeposit ? washes.filter(({ moment }) => moment === past) : [],
    toppings: isCoat && !isDeposit ? toppings.filter(({ moment }) => moment === past) : [],
  };
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
  return coded('shaping.afterThePlainOnesThen', {
    crossing: crossing.map((allergen) => coded('names.allergen', { allergen })),
  });
}
