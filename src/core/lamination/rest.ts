import { conduct, minutesUntil, type Exposure, type Warming } from '../heat/conduction';
import { BUTTER, DOUGH } from '../heat/material';

/** A laminated block as it comes to rest: pressed to `mm`, a share of it fat, one temperature throughout. */
export interface RestingBlock {
  mm: number;
  fatFraction: number;
  celsius: number;
}

/** Temperatures of a block in air, by conduction through dough, butter and dough. */
export function blockCourse(
  { mm, fatFraction, celsius }: RestingBlock,
  exposures: readonly Exposure[],
): Warming {
  const dough = { material: DOUGH, mm: (mm * (1 - fatFraction)) / 2 };
  const layers =
    fatFraction > 0 ? [dough, { material: BUTTER, mm: mm * fatFraction }, dough] : [dough, dough];
  return conduct({ shape: 'slab', layers }, celsius, exposures, 1);
}

export interface RestAnswer {
  /** °C now. */
  core: number;
  surface: number;
  /** Minutes from now until the core is cold enough to be rolled; 0 where it is, null where it never comes. */
  readyIn: number | null;
}

const HORIZON = 8 * 60;

/** How cold a resting block is after some minutes, and when its core is at `target`. */
export function restAnswer(
  block: RestingBlock,
  air: Omit<Exposure, 'minutes'>,
  minutes: number,
  target: number,
): RestAnswer {
  const course = blockCourse(block, [{ ...air, minutes: Math.max(1, minutes) + HORIZON }]);
  const now = Math.min(course.core.length - 1, Math.max(0, Math.round(minutes)));
  const at = block.celsius <= target ? 0 : minutesUntil(course, course.core, target);
  return {
    core: course.core[now] ?? block.celsius,
    surface: course.surface[now] ?? block.celsius,
    readyIn: at === null ? null : Math.max(0, Math.ceil(at - minutes)),
  };
}

/** The freezer as a short cut. */
export interface ShortCut {
  minutes: number;
  /** Skin when the core is there, °C. */
  skin: number;
  /** Minutes on the bench afterwards until skin and core differ by less than 3 °C. */
  evenOut: number;
  /** The butter at the edges is too cold to be rolled: it cracks. */
  cracks: boolean;
}

/** Skin colder than this cracks at the edges when it is rolled, °C. */
const CRACKS = 3;
const EVEN = 3;

/** What the freezer would save, and its price at the edges; null where the core never gets there. */
export function freezerShortCut(
  block: RestingBlock,
  freezer: Omit<Exposure, 'minutes'>,
  room: Omit<Exposure, 'minutes'>,
  target: number,
): ShortCut | null {
  if (block.celsius <= target) return null;
  const chill = blockCourse(block, [{ ...freezer, minutes: 120 }]);
  const at = minutesUntil(chill, chill.core, target);
  if (at === null) return null;
  const minutes = Math.ceil(at);
  const skin = chill.surface[minutes] ?? target;
  const after = blockCourse(block, [
    { ...freezer, minutes },
    { ...room, minutes: 60 },
  ]);
  const even = after.core.findIndex(
    (core, i) => i >= minutes && Math.abs(core - (after.surface[i] ?? core)) < EVEN,
  );
  return { minutes, skin, evenOut: even < 0 ? 60 : even - minutes, cracks: skin < CRACKS };
}
