import type { BlockWork } from '../process/block-work';
import type { DoughStep } from '../process/expand';
import type { DoughRecord, PlannedTime } from '../record/dough';
import { foldDough, type DoughState } from '../record/state';

/** A dough as the floor sees it: steps with planned times and recorded state. */
export interface DoughForecast {
  id: number;
  name: string;
  lamination?: BlockWork | null;
  steps: (DoughStep & PlannedTime)[];
  state: DoughState;
}

/** Folds a dough of the board for the floor. */
export function forecastDough({ id, name, steps, links, events, lamination }: DoughRecord): DoughForecast {
  return { id, name, steps, lamination, state: foldDough({ steps, links }, events) };
}
