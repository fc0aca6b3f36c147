import type { BlockWork } from '@/core/process/block-work';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { FloorEvent, FoldRecord } from '@/core/record/events';
import { laminate, LAMINATE } from '@/core/process/scheme-steps';
import type { Scheme } from '@/core/lamination/scheme';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import { expandDough } from '@/core/process/expand';
import type { ProductSpec, Route } from '@/core/process/route';
import { did, forecastAt, MIN, SMALL_SIZES } from './floor';
import { SMALL_PRODUCT, SMALL_ROUTE } from './small-dough';

/** A shipped scheme by its name. */
export function usualScheme(name: string): Scheme {
  const found = USUAL_SCHEMES.find((one) => one.name === name);
  if (!found) throw new Error(`No scheme is called ${name}.`);
  return found.scheme;
}

const plain = SMALL_ROUTE.dough.steps.filter(({ id }) => id === 'mix' || id === 'retard' || id === 'sheet');

/** Mix, retard, whatever the scheme asks for, sheet. */
export const UNLAMINATED: Route = {
  steps: [...plain, { id: LAMINATE, kind: 'laminate', label: 'Laminate', around: 22, settling: 60 }],
  links: [
    { from: 'mix', to: 'retard', min: 0, max: 0 },
    { from: 'retard', to: LAMINATE, min: 0, max: 0 },
    { from: LAMINATE, to: 'sheet', min: 0, max: 0 },
  ],
};

/** The small product, laminated by a scheme. */
export function laminatedProduct(scheme: Scheme): ProductSpec {
  return { ...SMALL_PRODUCT, route: { ...SMALL_ROUTE, dough: laminate(UNLAMINATED, scheme) } };
}

/** A dough in blocks, with what has happened to it; its steps are planned an hour each. */
export function laminatedDough(
  events: FloorEvent[],
  scheme = 'Three letter folds',
  blocks = 1,
): DoughForecast {
  const own = usualScheme(scheme);
  const { steps, links, kg, bowls } = expandDough(
    [{ id: 5, product: laminatedProduct(own), pieces: 40 }],
    SMALL_SIZES,
  );
  const lamination: BlockWork = {
    ...{ blocks, mm: 4, wide: null, scrap: 0.05, fat: 'butter-82', weights: { dough: 3000, fat: 900 } },
    scheme: { versionId: 1, name: scheme, scheme: own },
  };
  const timed = steps.map((step, i) => ({
    ...step,
    plannedStart: i * 60 * MIN,
    plannedEnd: (i + 1) * 60 * MIN,
  }));
  const record = { id: 1, name: 'Crescent 1', madeAt: 0, kg, bowls, lamination, steps: timed, links, events };
  return forecastAt({ ...record, outputs: [] }, Math.max(0, ...events.map(({ at }) => at / MIN)));
}

/** Folds given during a turn. */
export function turned(key: string, minute: number, data: Partial<FoldRecord>): FloorEvent {
  const whole: FoldRecord = {
    kind: 'turned',
    block: null,
    folds: ['letter'],
    covers: 0,
    ends: true,
    ...data,
  };
  return did('turn', key, minute, { data: whole });
}
