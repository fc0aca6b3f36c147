import { coded, type Coded } from '@/core/codes/coded';
import { addLocalDays } from '@/core/time/local';

const HOUR = 3_600_000;
/** How many hours a plan can show, from one hour to a fortnight. */
const SPANS = [1, 3, 6, 12, 24, 48, 96, 168, 336];

/** A stretch of time on the screen. */
export interface TimeWindow {
  from: number;
  hours: number;
}

/** Where one looks first: from noon of yesterday where days are shown, with now near the left where hours are. */
export function homeWindow(now: number, hours: number, zone: string): TimeWindow {
  const from =
    hours >= 96 ? addLocalDays(now, 0, zone) - 12 * HOUR : now - (hours * HOUR) / (hours > 24 ? 8 : 4);
  return { from, hours };
}

/** An eighth of the screen earlier or later. */
export function moved({ from, hours }: TimeWindow, steps: number): TimeWindow {
  return { from: from + (steps * hours * HOUR) / 8, hours };
}

/** One step closer (`by` -1) or wider (1), about the middle; the same where there is no further. */
export function zoomed({ from, hours }: TimeWindow, by: 1 | -1): TimeWindow {
  const next = SPANS[SPANS.indexOf(hours) + by] ?? hours;
  return { from: from + ((hours - next) * HOUR) / 2, hours: next };
}

/** "4 days", "6 hours". */
export const spanWords = (hours: number): Coded =>
  hours >= 48 ? coded('plan.days', { count: hours / 24 }) : coded('plan.hours', { count: hours });

export const canZoom = (hours: number, by: 1 | -1): boolean => SPANS[SPANS.indexOf(hours) + by] !== undefined;
