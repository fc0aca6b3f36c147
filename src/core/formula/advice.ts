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
  sentence: string;
}

const percent = (value: number) => `${Math.round(value * 10) / 10} %`;

/** Quiet sentences on what is outside the usual ranges of yeasted, mostly laminated doughs. None without flour. */
export function advise(
  analysis: Analysis,
  ranges: FormulaRanges,
  kinds: { osmotolerant: boolean; levain: boolean },
): Advice[] {
  const found: Advice[] = [];
  const say = (about: Advice['about'], sentence: string) => found.push({ about, sentence });
  const { flour, hydration, fat, sugar, salt, yeast, rollInOfDough } = analysis;
  if (flour <= 0) return [];
  const laminated = rollInOfDough > 0;
  const doughFat = laminated ? fat - analysis.rollInOfFlour * 0.82 : fat;
  const rich = !laminated && doughFat >= ranges.richFat[0];
  if (salt < ranges.salt[0] && !analysis.uncountedKinds.includes('salt'))
    say('salt', `Salt ${percent(salt)} is low: the dough rises fast, stays slack and tastes flat.`);
  if (salt > ranges.salt[1])
    say('salt', `Salt ${percent(salt)} is high: it slows the yeast, and the goods taste of it.`);
  if (sugar < ranges.sugar[0] && !analysis.uncountedKinds.includes('sugar'))
    say('sugar', `Sugar ${percent(sugar)} is low: pale crust, little sweetness.`);
  if (sugar > ranges.sugar[1])
    say('sugar', `Sugar ${percent(sugar)} is high: it slows the yeast and browns early.`);
  if (sugar > ranges.osmotolerantFrom && yeast > 0 && !kinds.osmotolerant)
    say('yeast', `Above ${percent(ranges.osmotolerantFrom)} sugar, osmotolerant yeast rises better.`);
  if (yeast === 0 && !kinds.levain) say('yeast', 'No yeast and no levain: this dough will not rise.');
  if (yeast > 0 && yeast < ranges.yeast[0] && !kinds.levain)
    say('yeast', `Yeast ${percent(yeast)} (as instant) is low: proofs will be long.`);
  if (yeast > ranges.yeast[1])
    say(
      'yeast',
      `Yeast ${percent(yeast)} (as instant) is high: it ferments while it is laminated and tastes of it.`,
    );
  // Rich dough is softened by its fat, so it takes less water than its softness suggests.
  if (hydration < ranges.hydration[0])
    say('hydration', `Hydration ${percent(hydration)} is low: stiff, it tears when sheeted.`);
  if (hydration > ranges.hydration[1])
    say('hydration', `Hydration ${percent(hydration)} is high: soft, the butter may break through.`);
  if (laminated && rollInOfDough < ranges.rollIn[0])
    say('roll-in', `Roll-in ${percent(rollInOfDough)} of the dough is low: thin butter layers merge.`);
  if (laminated && rollInOfDough > ranges.rollIn[1])
    say(
      'roll-in',
      `Roll-in ${percent(rollInOfDough)} of the dough is high: it may leak; danish goes up to 50 %.`,
    );
  if (rich && doughFat > ranges.richFat[1])
    say(
      'fat',
      `Fat ${percent(doughFat)} of flour is very rich: mix cold, and let it rise by sight, not by the clock.`,
    );
  return found;
}
