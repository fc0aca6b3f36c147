import type { Chamber } from '@/core/heat/chamber';

/** The demo house's places that have a machine, as chambers. Powers and leaks of small bakery machines, made up. */
export const CHAMBERS: Record<string, Chamber> = {
  retarder: {
    ...{ holds: 3.6, swing: 0.6, power: -0.6, shut: 240, open: 14 },
    load: { minutes: 90, times: 3 },
  },
  freezer: {
    ...{ holds: -18.2, swing: 0.8, power: -0.9, shut: 300, open: 25 },
    load: { minutes: 120, times: 4 },
  },
  proofer: {
    ...{ holds: 26.2, swing: 0.4, power: 0.8, shut: 90, open: 8 },
    load: { minutes: 40, times: 1 },
    steam: { holds: 78, power: 1.5 },
  },
  oven: {
    ...{ holds: 184, swing: 3, power: 9, shut: 70, open: 6 },
    load: { minutes: 25, times: 2 },
  },
};

const DAY = 24 * 3_600_000;

/** What follows the day alone: mean, how far to either side, °C, and at what hour (UTC) it is warmest. */
const DAYS: Record<string, [mean: number, swing: number, warmest: number]> = {
  bakery: [22, 1.6, 14],
  flour: [19.5, 0.5, 18],
  tap: [12.6, 0.3, 17],
};

export const DAY_PLACES = Object.keys(DAYS);

/** Temperature of a place that follows the day, °C. */
export function dayCelsius(place: string, at: number): number {
  const [mean, swing, warmest] = DAYS[place] ?? [22, 0, 0];
  return mean + swing * Math.cos((2 * Math.PI * (at - warmest * 3_600_000)) / DAY);
}
