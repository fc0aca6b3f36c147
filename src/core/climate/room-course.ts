import { atLocalMinute, localMidnight, MINUTE, type Instant } from '../time/local';

/** What a room is expected to have, °C: the mean of each hour, the first of them beginning at `from`. */
export interface RoomCourse {
  from: Instant;
  hours: readonly number[];
}

/** A temperature at a moment, °C. */
export interface Temperature {
  at: Instant;
  celsius: number;
}

/** What somebody expects of a room on a day: its coolest and warmest, °C. `day` is any moment of that day. */
export interface RoomDay {
  day: Instant;
  coolest: number;
  warmest: number;
}

/** What is known of the days to come, the first that says anything of an hour counting. */
export interface RoomOutlook {
  /** What somebody has told of days. */
  told: readonly RoomDay[];
  /** Temperatures outdoors, about one an hour, in order. */
  outdoors: readonly Temperature[];
  /** What the room's own probe said, about one an hour, in order. */
  probe: readonly Temperature[];
}

/** By how much a room follows the weather, 0 to 1, and after how many hours: values of the house. */
export interface RoomHabit {
  follows: number;
  lag: number;
}

const HOUR = 60 * MINUTE;
/** So far ahead a course reaches, hours: the longest that a dough of tomorrow lies in a room. */
const AHEAD = 60;
/** A room is coolest before the sun is up and warmest when it has been on the roof, minutes of the day. */
const COOLEST = 5 * 60;
const WARMEST = 16 * 60;
/** What the room has now differs from what was expected of now; that fades within so many hours. */
const FADES = 4;
/** So far apart, ms, two readings still say what was between them. */
const GAP = 3 * HOUR;

/**
 * The course of a room from `now` on: as it was told, else as the weather makes it, else as on the day before; each beginning
 * at what the room has now. Null where nothing of that is known: then it is taken to stay as it is.
 */
export function roomCourse(
  { told, outdoors, probe }: RoomOutlook,
  { now, celsius, zone, habit }: { now: Instant; celsius: number; zone: string; habit: RoomHabit },
): RoomCourse | null {
  const from = Math.floor(now / HOUR) * HOUR;
  const sources = [
    (at: Instant) => asTold(told, at, zone),
    (at: Instant) => byWeather(outdoors, at, habit),
    (at: Instant) => dayBefore(probe, at, now),
  ];
  const expected = (at: Instant) => {
    for (const [nth, source] of sources.entries()) {
      const value = source(at);
      if (value !== null) return { nth, value };
    }
    return null;
  };
  const hours = Array.from({ length: AHEAD }, (_, i) => {
    const at = from + (i + 0.5) * HOUR;
    const found = expected(at);
    if (!found) return null;
    // Weather says how it changes; what was told or seen before says how it is, and gives way to what is.
    const here = sources[found.nth]?.(now) ?? null;
    const off = here === null ? 0 : celsius - here;
    const fades = found.nth === 1 ? 1 : Math.exp(-Math.max(0, at - now) / HOUR / FADES);
    return found.value + off * fades;
  });
  if (hours.every((hour) => hour === null)) return null;
  return { from, hours: hours.map((hour) => hour ?? celsius) };
}

/**
 * The mean of a course over a span, °C; before and after what it knows it is taken to stay as it is there.
 *
 * @example
 * meanOf({ from: 0, hours: [22, 26] }, 30 * MINUTE, 90 * MINUTE); // 24
 */
export function meanOf({ from, hours }: RoomCourse, start: Instant, end: Instant): number {
  const last = hours.length - 1;
  const at = (hour: number) => hours[Math.min(last, Math.max(0, hour))] ?? NaN;
  if (end <= start) return at(Math.floor((start - from) / HOUR));
  let sum = 0;
  for (let a = start; a < end;) {
    const hour = Math.floor((a - from) / HOUR);
    const b = Math.min(end, from + (hour + 1) * HOUR);
    sum += at(hour) * (b - a);
    a = b;
  }
  return sum / (end - start);
}

/** Between the coolest and the warmest of a day it goes as a wave does. */
function asTold(told: readonly RoomDay[], at: Instant, zone: string): number | null {
  const midnight = localMidnight(at, zone);
  const of = (shift: number) =>
    told.find(
      ({ day }) => localMidnight(day, zone) === localMidnight(midnight + shift * 24 * HOUR + 2 * HOUR, zone),
    );
  const today = of(0);
  if (!today) return null;
  const [low, high] = [atLocalMinute(midnight, COOLEST, zone), atLocalMinute(midnight, WARMEST, zone)];
  const between = (a: number, b: number, share: number) =>
    a + ((b - a) * (1 - Math.cos(Math.PI * share))) / 2;
  if (at < low) {
    const before = of(-1)?.warmest ?? today.warmest;
    const since = low - (24 * HOUR - (high - low));
    return between(before, today.coolest, (at - since) / (low - since));
  }
  if (at <= high) return between(today.coolest, today.warmest, (at - low) / (high - low));
  const until = high + (24 * HOUR - (high - low));
  return between(today.warmest, of(1)?.coolest ?? today.coolest, (at - high) / (until - high));
}

/** How warm it is outdoors, as far as the room feels it, °C. */
function byWeather(
  outdoors: readonly Temperature[],
  at: Instant,
  { follows, lag }: RoomHabit,
): number | null {
  const out = between(outdoors, at - lag * HOUR);
  return out === null ? null : follows * out;
}

/** What the probe said at the same hour of the last whole day before `now`. */
function dayBefore(probe: readonly Temperature[], at: Instant, now: Instant): number | null {
  const back = Math.ceil(Math.max(1, at - now) / (24 * HOUR)) * 24 * HOUR;
  return between(probe, at - (at > now ? back : 0));
}

/** What lies between two temperatures, where they are near enough in time. */
function between(known: readonly Temperature[], at: Instant): number | null {
  const next = known.findIndex((one) => one.at >= at);
  const [a, b] = [known[next - 1], known[next]];
  if (b && b.at === at) return b.celsius;
  if (!a || !b || b.at - a.at > GAP) return null;
  return a.celsius + ((b.celsius - a.celsius) * (at - a.at)) / (b.at - a.at);
}
