import type { DoughForecast } from '../forecast/forecast';
import type { Presence } from '../time/shifts';
import { MINUTE, type Instant } from '../time/local';

/** Whoever has recorded something so lately is at work, whatever the shifts say, minutes. */
const AT_WORK = 120;

/**
 * Whether alarms call somebody: who is on shift or has recorded something lately, and everybody where nobody is on shift. A screen that
 * nobody is signed in on (`personId` 0) hangs in the bakery and always calls.
 */
export function isOnCall(
  personId: number,
  now: Instant,
  { presences, doughs }: { presences: readonly Presence[]; doughs: readonly Pick<DoughForecast, 'state'>[] },
): boolean {
  const there = presences.filter(({ start, end }) => start <= now && now < end);
  if (personId === 0 || there.length === 0 || there.some((one) => one.personId === personId)) return true;
  const since = now - AT_WORK * MINUTE;
  return doughs.some(({ state }) =>
    [...state.steps.values()].some(
      ({ startedAt, startedBy, finishedAt, finishedBy }) =>
        (startedBy === personId && (startedAt ?? 0) > since) ||
        (finishedBy === personId && (finishedAt ?? 0) > since),
    ),
  );
}
