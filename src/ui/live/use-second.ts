'use client';

import { useClock } from './clock';

/** The house's time in full seconds, for timers of the oven. */
export function useSecond(): number {
  return Math.floor(useClock().now / 1000) * 1000;
}
