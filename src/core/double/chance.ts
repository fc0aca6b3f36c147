import { seeded } from '../solver/random';

/** What chance decides of one thing of the simulated bakery: the same thing under the same seed is always the same. */
export interface Chance {
  /** From 0 up to, but not including, 1. */
  unit(): number;
  /** Normally distributed about 0, with a standard deviation of 1. */
  normal(): number;
  /** About 1, and seldom more than twice `spread` away: a factor that may be as much below as above. */
  factor(spread: number): number;
  /** True so often of one. */
  happens(share: number): boolean;
}

/** A small hash of a text (FNV-1a, 32 bits): things that are next to one another get seeds that are not. */
function hash(text: string): number {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193);
  return value >>> 0;
}

/**
 * The chance of one thing, by its name.
 *
 * @example
 * chanceOf('dough 7', 1).unit() === chanceOf('dough 7', 1).unit(); // true
 */
export function chanceOf(name: string, seed: number): Chance {
  const random = seeded(hash(`${seed}/${name}`));
  // The first draws of neighbouring seeds are alike.
  random.unit();
  const normal = () => Math.sqrt(-2 * Math.log(1 - random.unit())) * Math.cos(2 * Math.PI * random.unit());
  return {
    unit: () => random.unit(),
    normal,
    factor: (spread) => Math.exp(spread * Math.max(-2.5, Math.min(2.5, normal()))),
    happens: (share) => random.unit() < share,
  };
}
