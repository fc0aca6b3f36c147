import type { FloorEvent } from '@/core/record/events';

const listeners = new Set<(events: FloorEvent[]) => void>();

/** Tells this page's screens of what was recorded on other tablets. */
export function hear(events: FloorEvent[]): void {
  if (events.length > 0) for (const listener of listeners) listener(events);
}

/** Calls `listener` with what is heard from now on; returns how to stop. */
export function onHeard(listener: (events: FloorEvent[]) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
