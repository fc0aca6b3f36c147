import type { DoughForecast, StepForecast } from '../forecast/forecast';
import { cutsShort } from '../forecast/early';
import { isHandsOn } from '../record/state';
import type { PieceCount, Recording } from '../record/events';
import type { Instant } from '../time/local';

type Dough = Pick<DoughForecast, 'id' | 'links' | 'state' | 'steps'>;

/** The racking of what a bake gives: the first work after it. Null where there is none. */
export function rackOf({ links, steps }: Dough, bake: Pick<StepForecast, 'key'>): StepForecast | null {
  let key = bake.key;
  for (;;) {
    const to = links.find(({ from }) => from === key)?.to;
    const next = steps.find((step) => step.key === to);
    if (!next || isHandsOn(next)) return next?.step.kind === 'finish' ? next : null;
    key = next.key;
  }
}

/** The bake whose pieces are racked in a step; null where it racks none. */
export function bakeBefore(dough: Dough, rack: Pick<StepForecast, 'key'>): StepForecast | null {
  const bakes = dough.steps.filter(({ step }) => step.kind === 'bake');
  return bakes.find((bake) => rackOf(dough, bake)?.key === rack.key) ?? null;
}

/**
 * What is recorded when somebody counts what came out: the count, and that it is racked where it has cooled for long enough.
 * Nobody counts what they leave on the trays.
 */
export function rackAndCount(
  dough: Dough,
  bake: Pick<StepForecast, 'key'>,
  data: PieceCount,
  now: Instant,
): Recording[] {
  const count: Recording = { doughId: dough.id, stepKey: bake.key, kind: 'count', data };
  const rack = rackOf(dough, bake);
  const state = rack && dough.state.steps.get(rack.key);
  if (!rack || !state) return [count];
  const racked = (kind: 'start' | 'finish'): Recording => ({ doughId: dough.id, stepKey: rack.key, kind });
  if (state.status === 'running') return [count, racked('finish')];
  const isCool = state.startable && cutsShort(dough, rack, now) === null;
  return isCool ? [count, racked('start'), racked('finish')] : [count];
}
