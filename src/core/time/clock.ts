import type { Instant } from './local';

/** How a clock runs: at `realAt` of the machine it showed `shownAt`; since then `rate` times as fast, or not at all. */
export interface ClockSetting {
  /** True for the demo's own clock, false for the machine's. */
  demo: boolean;
  shownAt: Instant;
  realAt: Instant;
  rate: number;
  paused: boolean;
}

export const RATES = [1, 10, 60] as const;

/** What the clock shows when the machine's clock says `real`. */
export function shownTime({ shownAt, realAt, rate, paused }: ClockSetting, real: Instant): Instant {
  return paused ? shownAt : shownAt + (real - realAt) * rate;
}

/** The machine's own clock as a setting. */
export function machineClock(real: Instant): ClockSetting {
  return { demo: false, shownAt: real, realAt: real, rate: 1, paused: false };
}

/** The same clock started anew at `real`, with what changes; it goes on from what it showed. */
export function adjusted(
  setting: ClockSetting,
  real: Instant,
  change: Partial<Pick<ClockSetting, 'shownAt' | 'rate' | 'paused'>>,
): ClockSetting {
  return { ...setting, shownAt: shownTime(setting, real), realAt: real, ...change };
}
