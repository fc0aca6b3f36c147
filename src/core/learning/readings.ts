import { believe, type Belief } from './grid';

/** A number learnt from readings, with what it rests on. */
export interface Learnt extends Belief {
  /** Readings taken into account. */
  readings: number;
  /** Places in the list of readings that lie too far off to be believed; a person may confirm or decline them. */
  questioned: number[];
}

/** How far off a reading may be, in spreads of what was expected of it, before it is questioned. */
const FAR = 3;

/**
 * Learns a number from readings that scatter by `noise`, beginning from what the house assumes. Student's t with three
 * degrees of freedom stands for the scatter, so that a wild reading counts for little. Without readings it is the start.
 */
export function learnFromReadings(start: Belief, readings: readonly number[], noise: number): Learnt {
  const belief = believe(start, (value) =>
    readings.reduce((sum, reading) => sum - 2 * Math.log1p(((reading - value) / noise) ** 2 / 3), 0),
  );
  const questioned = readings.flatMap((reading, i) => (isFar(belief, reading, noise) ? [i] : []));
  return { ...belief, readings: readings.length, questioned };
}

/** True for a reading that what is believed so far does not account for. */
export function isFar(belief: Belief, reading: number, noise: number): boolean {
  return Math.abs(reading - belief.mean) > FAR * Math.hypot(noise, belief.spread);
}
