import { UNKNOWN_CONDITIONS } from '@/core/forecast/conditions';
import { forecastDough, type DoughForecast } from '@/core/forecast/forecast';
import type { DoughRecord } from '@/core/record/dough';
import { eventOf, type FlatEvent, type FloorEvent } from '@/core/record/events';
import { expandDough, type Sizes } from '@/core/process/expand';
import { onMachines } from '@/core/process/on-machines';
import { ONE_OF_EACH } from './equipment';
import { CUTTING } from './rolling';
import { SMALL_PRODUCT } from './small-dough';

export const MIN = 60_000;
export const SMALL_SIZES: Sizes = { ovenTrays: 9, bowlKg: 40, carriers: [], cutting: CUTTING };

/** The small product's steps for one output with id 5. */
export const smallDough = (pieces = 40) =>
  onMachines(expandDough([{ id: 5, product: SMALL_PRODUCT, pieces }], SMALL_SIZES), ONE_OF_EACH);

/** The record of a small dough whose steps are planned one after the other, `length` minutes each. */
export function plannedRecord(events: FloorEvent[], length = 60, pieces = 40): DoughRecord {
  const { steps, links, kg, bowls } = smallDough(pieces);
  const timed = steps.map((step, i) => ({
    ...step,
    plannedStart: i * length * MIN,
    plannedEnd: (i + 1) * length * MIN,
  }));
  const { name: product, piece, freshFor } = SMALL_PRODUCT;
  return {
    ...{ id: 1, name: 'Crescent 1', madeAt: 0, kg, bowls, lamination: null, steps: timed, links, events },
    outputs: [{ id: 5, product, piece, pieces, freshFor, dueAt: steps.length * length * MIN, allergens: [] }],
  };
}

/** A record as it is forecast `minute` minutes after midnight, in a bakery of which nothing is known. */
export const forecastAt = (record: DoughRecord, minute: number): DoughForecast =>
  forecastDough(record, UNKNOWN_CONDITIONS, minute * MIN);

/** The same dough, forecast at the minute of what was recorded last. */
export function plannedDough(events: FloorEvent[], length = 60, pieces = 40, minute?: number): DoughForecast {
  const last = Math.max(0, ...events.map(({ at }) => at / MIN));
  return forecastAt(plannedRecord(events, length, pieces), minute ?? last);
}

let made = 0;

/** Something that happened to a step of dough 1, `minute` minutes after midnight of the first day. */
export function did(
  kind: FloorEvent['kind'],
  stepKey: string,
  minute: number,
  more: Partial<FlatEvent> = {},
): FloorEvent {
  return eventOf({
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
  });
}
