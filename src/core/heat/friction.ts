/** How a dough is mixed. */
export const MIXING_WAYS = ['hand', 'planetary', 'spiral'] as const;
export type MixingWay = (typeof MIXING_WAYS)[number];

/** Degrees a minute at first and at second speed; by hand, in all. Usual values, until a house has measured its own. */
const WARMS: Record<Exclude<MixingWay, 'hand'>, { slow: number; fast: number }> = {
  planetary: { slow: 0.15, fast: 0.5 },
  spiral: { slow: 0.25, fast: 0.7 },
};
const BY_HAND = 1.5;

/**
 * By how much mixing warms a whole dough, °C, before anybody has measured it.
 *
 * @param minutes - at first and at second speed; by hand they do not count
 * @example riseByMixing('spiral', { slow: 4, fast: 6 }) // 5.2
 */
export function riseByMixing(way: MixingWay, minutes: { slow: number; fast: number }): number {
  if (way === 'hand') return BY_HAND;
  const { slow, fast } = WARMS[way];
  return slow * minutes.slow + fast * minutes.fast;
}
