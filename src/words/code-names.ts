import type { Allergen, FlourStrength, IngredientKind } from '@/core/formula/ingredient';
import type { StageKind } from '@/core/formula/formula';
import type { Say } from './say';

/** An allergen as labels call it. */
export const allergenName = (say: Say, allergen: Allergen): string => say('names.allergen', { allergen });

/** Allergens as a label lists them. */
export const allergenNames = (say: Say, allergens: readonly Allergen[]): string =>
  allergens.map((allergen) => allergenName(say, allergen)).join(', ');

/** A part of a formula. */
export const stageName = (say: Say, kind: StageKind): string =>
  say('names.stage', { stage: kind.replace(/[ -]/g, '_') });

/** A unit of a setting: a word is said, a sign stands as it is. */
export const settingUnitName = (say: Say, unit: string): string =>
  unit === '' ? '' : say('names.settingUnit', { unit: unit.replace(/\W/g, '_'), shown: unit });

/** How strong a flour is. */
export const strengthName = (say: Say, strength: FlourStrength): string =>
  say('names.strength', { strength });

/** A kind of ingredient. */
export const ingredientKindName = (say: Say, kind: IngredientKind): string =>
  say('names.ingredientKind', { kind });
