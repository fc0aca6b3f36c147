import { addLocalDays, atLocalMinute, weekday, MINUTE, type Instant } from './local';

/**
 * A weekly shift: on `weekday` (1 Monday to 7 Sunday) from one local minute of the day to another; an end at or
 * before the start is on the next day.
 */
export interface Shift {
  personId: number;
  weekday: number;
  startMinute: number;
  endMinute: number;
}

export interface Presence {
  personId: number;
  start: Instant;
  end: Instant;
}

/** Who is there when between two moments, from the weekly shifts; cut to that span, in order of start. */
export function presences(shifts: readonly Shift[], from: Instant, to: Instant, zone: string): Presence[] {
  const found: Presence[] = [];
  // A night shift of the day before may reach into the span.
  for (let day = addLocalDays(from, -1, zone), tomorrow = day; day < to; day = tomorrow) {
    const today = weekday(day, zone);
    tomorrow = addLocalDays(day, 1, zone);
    for (const shift of shifts.filter((s) => s.weekday === today)) {
      const start = minuteOf(day, shift.startMinute, tomorrow, zone);
      const overnight = shift.endMinute <= shift.startMinute;
      const end = overnight
        ? atLocalMinute(tomorrow, shift.endMinute, zone)
        : minuteOf(day, shift.endMinute, tomorrow, zone);
      if (end > from && start < to) {
        found.push({ personId: shift.personId, start: Math.max(start, from), end: Math.min(end, to) });
      }
    }
  }
  return found.sort((a, b) => a.start - b.start || a.end - b.end);
}

const DAY = 24 * 60 * MINUTE;

/** A minute of a day that begins at midnight `day`; the calendar is asked only where the clocks change, since that is slow. */
function minuteOf(day: Instant, minute: number, tomorrow: Instant, zone: string): Instant {
  return tomorrow - day === DAY ? day + minute * MINUTE : atLocalMinute(day, minute, zone);
}

/**
 * Who is there when the weekly pattern has exceptions: shifts more, and stretches in which somebody is away. A person who is
 * there twice at once counts once.
 */
export function withExceptions(
  pattern: readonly Presence[],
  more: readonly Presence[],
  away: readonly Presence[],
): Presence[] {
  const byPerson = new Map<number, Presence[]>();
  for (const there of [...pattern, ...more]) {
    byPerson.set(there.personId, [...(byPerson.get(there.personId) ?? []), there]);
  }
  const left = [...byPerson].flatMap(([personId, all]) => {
    const gone = away.filter((a) => a.personId === personId);
    return staffedSpans([...all].sort((a, b) => a.start - b.start))
      .flatMap((span) => without(span, gone))
      .map((span) => ({ personId, ...span }));
  });
  return left.sort((a, b) => a.start - b.start || a.end - b.end);
}

interface Span {
  start: Instant;
  end: Instant;
}

function without(span: Span, gone: readonly Span[]): Span[] {
  return gone.reduce<Span[]>(
    (rest, { start, end }) =>
      rest.flatMap((part) =>
        [
          { start: part.start, end: Math.min(part.end, start) },
          { start: Math.max(part.start, end), end: part.end },
        ].filter((piece) => piece.start < piece.end),
      ),
    [span],
  );
}

/** What is left of a pool over time while some of its units are out: capacity steps in whole minutes from `origin`. */
export function capacitySteps(
  capacity: number,
  out: readonly (Span & { units: number | null })[],
  origin: Instant,
): [from: number, amount: number][] {
  const minute = (at: Instant) => Math.max(0, Math.round((at - origin) / MINUTE));
  const spans = out
    .map(({ start, end, units }) => ({ from: minute(start), to: minute(end), units: units ?? capacity }))
    .filter(({ from, to }) => from < to);
  const edges = [...new Set([0, ...spans.flatMap(({ from, to }) => [from, to])])].sort((a, b) => a - b);
  return edges
    .map((at): [number, number] => {
      const gone = spans.filter(({ from, to }) => from <= at && at < to);
      return [at, Math.max(0, capacity - gone.reduce((sum, { units }) => sum + units, 0))];
    })
    .filter(([, amount], i, all) => i === 0 || amount !== all[i - 1]?.[1]);
}

/** Number of people there over time, as capacity steps in whole minutes from `origin`. */
export function crewSteps(there: readonly Presence[], origin: Instant): [from: number, amount: number][] {
  const changes = new Map<number, number>([[0, 0]]);
  const change = (at: Instant, by: number) => {
    const minute = Math.max(0, Math.round((at - origin) / MINUTE));
    changes.set(minute, (changes.get(minute) ?? 0) + by);
  };
  for (const { start, end } of there) {
    change(start, 1);
    change(end, -1);
  }
  let amount = 0;
  return [...changes]
    .sort(([a], [b]) => a - b)
    .map(([minute, by]): [number, number] => [minute, (amount += by)])
    .filter(([, now], i, all) => i === 0 || now !== all[i - 1]?.[1]);
}

/** Stretches in which anybody is there, for light and dark hours. */
export function staffedSpans(there: readonly Presence[]): { start: Instant; end: Instant }[] {
  const spans: { start: Instant; end: Instant }[] = [];
  for (const { start, end } of there) {
    const last = spans.at(-1);
    if (last && start <= last.end) last.end = Math.max(last.end, end);
    else spans.push({ start, end });
  }
  return spans;
}
