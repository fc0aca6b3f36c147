import { approach, type Fermentation, minuteReached, type Profile } from './progress';

/** A leg of a way through the bakery: air of `celsius` around a dough that follows by `settling` minutes. */
export interface Leg {
  celsius: number;
  settling: number;
  minutes: number;
}

/** The dough's own temperature along legs one after the other, from `start` °C. */
export function alongLegs(start: number, legs: readonly Leg[]): Profile {
  const points: { minute: number; celsius: number }[] = [];
  let celsius = start;
  let minute = 0;
  for (const leg of legs) {
    const own = approach(celsius, leg.celsius, { ...leg, from: minute });
    points.push(...(points.length > 0 ? own.slice(1) : own));
    minute += leg.minutes;
    celsius = own.at(-1)?.celsius ?? celsius;
  }
  return points;
}

/** When a rise is ready along a way: minutes from its beginning, null where it does not get there. */
export interface Readiness {
  earliest: number | null;
  best: number | null;
  latest: number | null;
}

/** Ready from `early` to `late` of the progress, 1 at best; after the last leg it stays where it is. */
export function readiness(
  fermentation: Fermentation,
  profile: Profile,
  { early, late }: { early: number; late: number },
): Readiness {
  return {
    earliest: minuteReached(fermentation, profile, { target: early }),
    best: minuteReached(fermentation, profile),
    latest: minuteReached(fermentation, profile, { target: late }),
  };
}

/** Longer than any proof, minutes: the last leg goes on until it is ready. */
const UNTIL_READY = 2 * 24 * 60;

/** The schools of the final proof; temperatures are those of the house where it knows them. */
export type School = 'warm' | 'room' | 'overnight';

/** A school as legs, the last of which lasts until the proof is ready. `settling`: of a piece in still air. */
export function schoolLegs(
  school: School,
  places: { room: number; cold: number; proofer: number },
  settling: { room: number; cold: number; proofer: number },
): Leg[] {
  const leg = (place: keyof typeof places, minutes: number): Leg => {
    return { celsius: places[place], settling: settling[place], minutes };
  };
  if (school === 'warm') return [leg('proofer', UNTIL_READY)];
  if (school === 'room') return [leg('room', UNTIL_READY)];
  // Some minutes at room temperature first, the night in the cold, then warmed while the oven heats.
  return [leg('room', 30), leg('cold', 600), leg('proofer', UNTIL_READY)];
}
