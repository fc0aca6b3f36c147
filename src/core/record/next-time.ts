import { MINUTE, type Instant } from '../time/local';
import type { FloorEvent } from './events';

/** By how much a tablet's clock may be behind what it has heard, without anybody having set the house's clock. */
const BEHIND = 2 * MINUTE;

/**
 * The time of what is recorded of a dough next: now, but never before what is known of it already. A tablet's clock goes by when its
 * page was made, so it is often some seconds behind what the house has stored a moment ago; of two words on one thing the later one
 * counts, and that is the one that was said later.
 *
 * @param events - what is known of the dough
 *
 * @example
 * nextTime([{ at: 37_000, … }], 0); // 37_000
 */
export function nextTime(events: readonly Pick<FloorEvent, 'at'>[], now: Instant): Instant {
  const latest = Math.max(...events.map(({ at }) => at), -Infinity);
  return latest > now && latest <= now + BEHIND ? latest : now;
}
