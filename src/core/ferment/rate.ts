/** Lowest, best and highest temperature of a yeast or levain, °C. */
export interface Cardinal {
  lowest: number;
  best: number;
  highest: number;
}

/** Gas production, which goes on below the growth minimum. */
export const BAKERS_YEAST: Cardinal = { lowest: -3, best: 34, highest: 46 };
/** Rise and ripeness of levain, which all but sleeps in the cold: at 31 °C it is ripe in about half the time of 22 °C. */
export const LEVAIN: Cardinal = { lowest: 8, best: 32, highest: 40 };

/**
 * Rate of fermentation at a temperature against its best, 0 to 1: the cardinal model with inflection (Rosso 1993).
 * 0 at and outside the lowest and highest temperature.
 */
export function fermentationRate({ lowest, best, highest }: Cardinal, celsius: number): number {
  if (!(celsius > lowest && celsius < highest)) return 0;
  const above = (celsius - highest) * (celsius - lowest) ** 2;
  const below =
    (best - lowest) * ((best - lowest) * (celsius - best) - (best - highest) * (best + lowest - 2 * celsius));
  return above / below;
}
