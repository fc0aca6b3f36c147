import { coded, type Coded } from '../codes/coded';
import type { Analysis } from './analysis';

/** From and to, percent; house values to begin with. Outside is said, never forbidden. */
export interface FormulaRanges {
  salt: [number, number];
  sugar: [number, number];
  yeast: [number, number];
  hydration: [number, number];
  rollIn: [number, number];
  /** Above this much sugar on flour ordinary yeast is slowed. */
  osmotolerantFrom: number;
  /** Butter in the dough from which it counts as brioche, and its usual upper end. */
  richFat: [number, number];
}

export const USUAL_RANGES: FormulaRanges = {
  salt: [1.6, 2.4],
  sugar: [5, 20],
  yeast: [0.7, 2.5],
  hydration: [42, 62],
  rollIn: [22, 35],
  osmotolerantFrom: 12,
  richFat: [24, 66],
};

/** A value that is unusual, and why that matters. `about` names the value it belongs to. */
export interface Advice {
  about: 'hydration' | 'fat' | 'sugar' | 'salt' | 'yeast' | 'roll-in' | 'flour';
  message: Coded;
}

/** What is outside the usual ranges of yeasted, mostly laminated doughs. None without flour. */
export function advise(
  analysis: Analysis,
  ranges: FormulaRanges,
  kinds: { osmotolerant: boolean; levain: boolean },
): Advice[] {
  const found: Advice[] = [];
  const say = (about: Advice['about'], message: Coded) => found.push({ about, message });
  const { flour, hydration, fat, sugar, salt, yeast, rollInOfDough } = analysis;
  if (flour <= 0) return [];
  const laminated = rollInOfDough > 0;
  const doughFat = laminated ? fat - analysis.rollInOfFlour * 0.82 : fat;
  const rich = !laminated && doughFat >= ranges.richFat[0];
  if (salt < ranges.salt[0] && !analysis.uncountedKinds.includes('salt'))
    say('salt', coded('formulas.saltIsLowTheDough', { percent: { percent: salt } }));
  if (salt > ranges.salt[1]) say('salt', coded('formulas.saltIsHighItSlows', { percent: { percent: salt } }));
  if (sugar < ranges.sugar[0] && !analysis.uncountedKinds.includes('sugar'))
    say('sugar', coded('formulas.sugarIsLowPaleCrust', { percent: { percent: sugar } }));
  if (sugar > ranges.sugar[1])
    say('sugar', coded('formulas.sugarIsHighItSlows', { percent: { percent: sugar } }));
  if (sugar > ranges.osmotolerantFrom && yeast > 0 && !kinds.osmotolerant)
    say(
      'yeast',
      coded('formulas.aboveSugarOsmotolerantYeastRises', { percent: { percent: ranges.osmotolerantFrom } }),
    );
  if (yeast === 0 && !kinds.levain) say('yeast', coded('formulas.noYeastAndNoLevain'));
  if (yeast > 0 && yeast < ranges.yeast[0] && !kinds.levain)
    say('yeast', coded('formulas.yeastAsInstantIsLow', { percent: { percent: yeast } }));
  if (yeast > ranges.yeast[1])
    say('yeast', coded('formulas.yeastAsInstantIsHigh', { percent: { percent: yeast } }));
  // Rich dough is softened by its fat, so it takes less water than its softness suggests.
  if (hydration < ranges.hydration[0])
    say('hydration', coded('formulas.hydrationIsLowStiffIt', { percent: { percent: hydration } }));
  if (hydration > ranges.hydration[1])
    say('hydration', coded('formulas.hydrationIsHighSoftThe', { percent: { percent: hydration } }));
  if (laminated && rollInOfDough < ranges.rollIn[0])
    say('roll-in', coded('formulas.rollInOfTheDough3', { percent: { percent: rollInOfDough } }));
  if (laminated && rollInOfDough > ranges.rollIn[1])
    say('roll-in', coded('formulas.rollInOfTheDough4', { percent: { percent: rollInOfDough } }));
  if (rich && doughFat > ranges.richFat[1])
    say('fat', coded('formulas.fatOfFlourIsVery', { percent: { percent: doughFat } }));
  return found;
}
