import type { DoughForecast } from '@/core/forecast/forecast';
import type { FloorEvent } from '@/core/record/events';
import { foldDough } from '@/core/record/state';
import { expandDough, type Sizes } from '@/core/process/expand';
import { CUTTING } from './rolling';
import { SMALL_PRODUCT } from './small-dough';

export const MIN = 60_000;
export const SMALL_SIZES: Sizes = { ovenTrays: 9, bowlKg: 40, carriers: [], cutting: CUTTING };

/** The small product's steps for one output with id 5. */
export const smallDough = (pieces = 40) =>
  expandDough([{ id: 5, product: SMALL_PRODUCT, pieces }], SMALL_SIZES);

/** A small dough whose steps are planned one after the other, `length` minutes each. */
export function plannedDough(events: FloorEvent[], length = 60, pieces = 40): DoughForecast {
  const { steps, links } = smallDough(pieces);
  const timed = steps.map((step, i) => ({
    ...step,
    plannedStart: i * length * MIN,
    plannedEnd: (i + 1) * length * MIN,
  }));
  return { id: 1, name: 'Crescent 1', steps: timed, state: foldDough({ steps, links }, events) };
}

let made = 0;

/** Something that happened to a step of dough 1, `minute` minutes after midnight of the first day. */
export function did(
  kind: FloorEvent['kind'],
  stepKey: string,
  minute: number,
  more: Partial<FloorEvent> = {},
): FloorEvent {
  return {
    ...{
      id: `e${String(++made).padStart(4, '0')}`,
      doughId: 1,
      stepKey,
      kind,
      at: minute * MIN,
      personId: 1,
    },
    ...{ celsius: null, text: null, undoes: null, data: null },
    ...more,
  };
}
