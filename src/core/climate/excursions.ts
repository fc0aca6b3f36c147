import { MINUTE, type Instant } from '../time/local';

/** Between what temperatures a place has to stay, °C, and for how many minutes it may be outside them. */
export interface PlaceLimits {
  place: string;
  label: string;
  low: number | null;
  high: number | null;
  minutes: number;
}

/** A place that has been too warm or too cold for longer than it may. */
export interface Excursion {
  place: string;
  label: string;
  /** The farthest reading beyond the limit, °C, and that limit. */
  celsius: number;
  limit: number;
  since: Instant;
  /** Time of the newest reading; it is out until now. */
  at: Instant;
}

/** One believed reading of a place. */
export interface PlaceReading {
  place: string;
  celsius: number;
  at: Instant;
}

/**
 * Places that are outside their limits now, and have been for longer than they may. `readings` in any order; a place
 * that came back inside, if only for one reading, counts anew from when it left again.
 */
export function excursions(limits: readonly PlaceLimits[], readings: readonly PlaceReading[]): Excursion[] {
  return limits.flatMap(({ place, label, low, high, minutes }) => {
    const own = readings.filter((reading) => reading.place === place).sort((a, b) => b.at - a.at);
    const newest = own[0];
    if (!newest) return [];
    const beyond = (celsius: number) =>
      high !== null && celsius > high ? high : low !== null && celsius < low ? low : null;
    const limit = beyond(newest.celsius);
    if (limit === null) return [];
    const inside = own.findIndex(({ celsius }) => beyond(celsius) !== limit);
    const run = inside < 0 ? own : own.slice(0, inside);
    const since = (run.at(-1) as PlaceReading).at;
    if (newest.at - since < minutes * MINUTE) return [];
    const celsius = run.reduce(
      (far, reading) => (Math.abs(reading.celsius - limit) > Math.abs(far - limit) ? reading.celsius : far),
      newest.celsius,
    );
    return [{ place, label, celsius, limit, since, at: newest.at }];
  });
}
