import type { Exposure } from '../heat/conduction';
import { conduct, minutesUntil } from '../heat/conduction';
import { BUTTER, DOUGH } from '../heat/material';
import { films } from '../heat/places';
import { type FatKind, WORKABLE } from './butter-window';
import { blockCourse } from './rest';

/** A sheet as it is rolled: how thick, mm, what share of it is fat, how warm it comes to the table, °C, and how long it is there. */
export interface RolledSheet {
  mm: number;
  fatFraction: number;
  celsius: number;
  fat: FatKind;
  /** Minutes of work until it is back in the cold. */
  work: number;
}

/** Longer than this no block lies on a table, minutes. */
const HORIZON = 4 * 60;
/** Rooms that dough is laminated in, °C; in a warmer one nobody does. */
const ROOMS = [10, 45] as const;

const table = (celsius: number, minutes: number): Exposure => ({
  ...{ celsius, minutes },
  ...films('room', 'rack'),
});

/**
 * Minutes in a room of so many °C until its butter is too soft to be rolled; null where that never comes. Both faces take
 * heat: a table that is rolled on is warm.
 */
export function firmFor({ mm, fatFraction, celsius, fat }: RolledSheet, room: number): number | null {
  const { high } = WORKABLE[fat];
  if (celsius >= high) return 0;
  if (room <= high) return null;
  const warming = blockCourse({ mm, fatFraction, celsius }, [table(room, HORIZON)]);
  return minutesUntil(warming, warming.core, high);
}

/**
 * The warmest room in which it can be rolled while its butter is firm, to half a degree: higher for a fat that
 * rolls warmer, for a thicker sheet and for quicker work.
 */
export function warmestRoom(sheet: RolledSheet): number {
  const holds = (room: number) => (firmFor(sheet, room) ?? Infinity) >= sheet.work;
  let [low, high]: [number, number] = [...ROOMS];
  if (!holds(low)) return low;
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return Math.floor(low * 2) / 2;
}

/** Minutes that a block of this thickness must be in the freezer until all of it is so cold, °C. */
export function chillTo(
  { mm, fatFraction, celsius }: Pick<RolledSheet, 'mm' | 'fatFraction' | 'celsius'>,
  to: number,
  freezer: number,
): number | null {
  if (celsius <= to) return 0;
  const stay = { celsius: freezer, minutes: HORIZON, ...films('freezer', 'tray') };
  const dough = { material: DOUGH, mm: (mm * (1 - fatFraction)) / 2 };
  const layers = [dough, { material: BUTTER, mm: mm * fatFraction }, dough];
  const cooling = conduct({ shape: 'slab', layers }, celsius, [stay], 1);
  const at = minutesUntil(cooling, cooling.core, to);
  return at === null ? null : Math.ceil(at);
}
