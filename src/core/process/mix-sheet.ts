import type { BowlTemperatures } from '../heat/mixing';
import type { Learnt } from '../learning/readings';
import type { RoundedFormula } from '../formula/bowls';
import type { Formula } from '../formula/formula';
import type { Ingredient } from '../formula/ingredient';
import type { ScaledFormula } from '../formula/scale';

/** All there is to know for mixing a dough: plain data, from the house to the bench. */
export interface MixSheet {
  formula: { id: number; formulaId: number; name: string; version: number; formula: Formula };
  /** The formula in weights for the whole dough, exact. */
  whole: ScaledFormula;
  bowls: number;
  /** One bowl as it is weighed, and what rounding changed. */
  bowl: RoundedFormula;
  /** The ingredients that the formula has, then all others, to take instead. */
  ingredients: Ingredient[];
  temperatures: BowlTemperatures;
  rise: Learnt;
  factor: Learnt;
}
