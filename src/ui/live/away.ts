'use client';

import { useLine } from './live';
import { useUnanswered } from './outbox';

/** True while the bakery's computer cannot be reached: the feed is broken off, or what was sent last was not answered. */
export function useAway(): boolean {
  const line = useLine();
  const unanswered = useUnanswered();
  return line === 'away' || unanswered;
}
