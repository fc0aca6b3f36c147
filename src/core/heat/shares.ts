import type { Mixing, PartGroup } from './mixing';
import { ICE_HEAT, ICE_MELTS, WATER_HEAT, waterAnswer } from './water';

/** One cause of a dough's temperature. */
export interface HeatShare {
  part: PartGroup | 'liquid' | 'ice' | 'mixing';
  /** By how many °C it warms the whole dough against its target; below 0 it cools it. */
  degrees: number;
  /** As it goes into the bowl, °C, the mean of several; null for mixing. */
  celsius: number | null;
}

/**
 * What warms and what cools a dough against the temperature that is wanted, with the liquid as `waterAnswer` has it: each
 * part's heat against the target, m·c·(T − target), shared out over the heat capacity of the whole dough. They add up to 0
 * where the target is met, and else to what the dough is apart from it. Ice takes its melting too.
 *
 * Parts of one group are one share, in the order: flour, preferment, cold, rest, liquid, ice, mixing. Those that are not
 * there are left out.
 *
 * @example
 * // 10 kg flour of 22 °C with 5 kg water for a dough of 24 °C that mixing warms by 6 °C:
 * heatShares(mixing); // [{ part: 'flour', degrees: -1.0, … }, { part: 'liquid', degrees: -5.0, … }, { part: 'mixing', degrees: 6 }]
 */
export function heatShares({ question, groups, flour }: Mixing): HeatShare[] {
  const { parts, liquid, target, rise, ice: frozen, warmest } = question;
  const answer = waterAnswer(question, flour);
  const iceKg = 'iceKg' in answer ? answer.iceKg : 0;
  const celsius = answer.kind === 'too-hot' ? warmest : answer.celsius;
  const whole = parts.reduce((sum, { kg, heat }) => sum + kg * heat, 0) + liquid.kg * liquid.heat;
  const of = (group: PartGroup): HeatShare[] => {
    const alike = parts.filter((_, i) => groups[i] === group);
    const own = alike.reduce((sum, { kg, heat }) => sum + kg * heat, 0);
    if (own === 0) return [];
    const warmth = alike.reduce((sum, part) => sum + part.kg * part.heat * part.celsius, 0);
    return [{ part: group, degrees: (warmth - own * target) / whole, celsius: warmth / own }];
  };
  const rest = Math.max(0, liquid.kg - iceKg);
  const melted = iceKg * (WATER_HEAT * target - ICE_HEAT * frozen + ICE_MELTS);
  return [
    ...(['flour', 'preferment', 'cold', 'rest'] as const).flatMap(of),
    ...(rest > 0
      ? [{ part: 'liquid' as const, degrees: (rest * liquid.heat * (celsius - target)) / whole, celsius }]
      : []),
    ...(iceKg > 0 ? [{ part: 'ice' as const, degrees: -melted / whole, celsius: frozen }] : []),
    { part: 'mixing', degrees: rise, celsius: null },
  ];
}
