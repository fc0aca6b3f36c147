import type { Rise } from '../process/route';
import type { PieceCount } from '../record/events';
import type { BatchMarks, Score } from '../record/marks';
import type { Verdict } from '../learning/verdicts';
import { chanceOf } from './chance';

/** What eyes, hands and thermometers of a bakery are off by. */
const NOISE = { eye: 0.05, thermometer: 0.3, scale: 0.015, waste: 0.012 };

const tenth = (value: number) => Math.round(value * 10) / 10;

/** What a thermometer in a dough shows, °C. `about` names the look: looked at again, it shows the same. */
export const thermometer = (celsius: number, about: string, seed: number): number =>
  tenth(celsius + NOISE.thermometer * chanceOf(`thermometer, ${about}`, seed).normal());

/** How a rise looks to a baker who has an eye for it. */
export function verdictOn(
  risen: number,
  { early, late }: Pick<Rise, 'early' | 'late'>,
  about: string,
  seed: number,
): Verdict {
  const seen = risen * chanceOf(`eye, ${about}`, seed).factor(NOISE.eye);
  return seen < early ? 'under' : seen > late ? 'over' : 'right';
}

/** What some divided pieces weigh together, g. */
export const weightOf = (pieces: number, grams: number, about: string, seed: number): number =>
  Math.round(pieces * grams * chanceOf(`scale, ${about}`, seed).factor(NOISE.scale));

/**
 * How a load came out. A few pieces of each are dropped or torn; what went in too early or too late is seconds, more of it the
 * farther it was off.
 *
 * @param risen - share of its proof when it went in, 1 at its best
 */
export function countOf(
  pieces: number,
  { risen, early, late }: { risen: number | null } & Pick<Rise, 'early' | 'late'>,
  about: string,
  seed: number,
): PieceCount {
  const chance = chanceOf(`count, ${about}`, seed);
  let waste = 0;
  for (let piece = 0; piece < pieces; piece++) if (chance.happens(NOISE.waste)) waste++;
  const off = risen === null ? 0 : Math.max(0, early - risen, risen - late);
  const second = Math.min(pieces - waste, Math.round(pieces * Math.min(0.8, 2 * off)));
  return { kind: 'counted', good: pieces - waste - second, second, waste };
}

/** How much farther from its best a rise has to be for each mark less. */
const MARK = 0.13;

/** Marks for a batch: its rise by how far the proof was off, all else as good as it mostly is. */
export function marksOf(risen: number | null, about: string, seed: number): BatchMarks['marks'] {
  const chance = chanceOf(`marks, ${about}`, seed);
  const score = (lost: number) => Math.max(1, 5 - Math.floor(lost)) as Score;
  const off = risen === null ? 0 : Math.abs(risen - 1) / MARK;
  return {
    rise: score(off),
    crumb: score(off / 2 + chance.unit()),
    colour: score(1.3 * chance.unit()),
    shape: score(1.3 * chance.unit()),
    taste: score(1.2 * chance.unit()),
  };
}
