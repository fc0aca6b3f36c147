import type { Instant } from '../time/local';
import type { FloorEvent, Recording } from './events';

/**
 * The events that count, in the order in which they happened: repeats once, what was undone left out.
 * The order of arrival does not matter: events are ordered by time, at one and the same moment an undo after what it
 * undoes, and then by id; an undo reaches only events before it in that order.
 */
export function effectiveEvents(events: readonly FloorEvent[]): FloorEvent[] {
  const unique = [...new Map(events.map((event) => [event.id, event])).values()];
  const byId = new Map(unique.map((event) => [event.id, event]));
  const ordered = unique
    .map((event) => ({ event, depth: undoDepth(event, byId) }))
    .sort((a, b) => a.event.at - b.event.at || a.depth - b.depth || (a.event.id < b.event.id ? -1 : 1))
    .map(({ event }) => event);
  const undone = new Set<string>();
  const counting: FloorEvent[] = [];
  for (const event of ordered.reverse()) {
    if (undone.has(event.id)) continue;
    if (event.kind === 'undo' && event.undoes !== null) undone.add(event.undoes);
    else counting.push(event);
  }
  return counting.reverse();
}

/**
 * The latest event of a person that counts and can be taken back. Of several at one moment it is the one recorded
 * last, so `events` come in the order of recording.
 */
export function lastUndoable(events: readonly FloorEvent[], personId: number): FloorEvent | null {
  const counting = new Set(effectiveEvents(events).map(({ id }) => id));
  const own = events.filter((event) => event.personId === personId && counting.has(event.id));
  return own.reduce<FloorEvent | null>((last, event) => (last && last.at > event.at ? last : event), null);
}

/** What is recorded to take an event back. */
export const undoOf = ({ doughId, stepKey, id }: FloorEvent): Recording => ({
  ...{ doughId, stepKey, kind: 'undo', undoes: id },
});

/** What the team did last that still counts, the latest first: at most `most` of what was done since `since`. */
export function lastActs(
  events: readonly FloorEvent[],
  { since, most }: { since: Instant; most: number },
): FloorEvent[] {
  const counting = new Set(effectiveEvents(events).map(({ id }) => id));
  // The latest first, and of one moment what was recorded last: sorting keeps the order of what is equal.
  return events
    .filter((event) => event.at >= since && counting.has(event.id))
    .reverse()
    .sort((a, b) => b.at - a.at)
    .slice(0, most);
}

/** 0 for what happened, 1 for an undo of it, 2 for an undo of that undo, and so on; circles end. */
function undoDepth(event: FloorEvent, byId: ReadonlyMap<string, FloorEvent>): number {
  const seen = new Set<string>();
  let depth = 0;
  for (let at: FloorEvent | undefined = event; at?.kind === 'undo' && !seen.has(at.id); depth++) {
    seen.add(at.id);
    at = at.undoes === null ? undefined : byId.get(at.undoes);
  }
  return depth;
}
