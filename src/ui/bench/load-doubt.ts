import type { Machine } from '@/core/bakery/machines';
import type { Coded } from '@/core/codes/coded';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { ovenLoads } from '@/core/shopfloor/oven-loads';
import { loadBehind, ovenDoubt } from '@/core/shopfloor/oven-room';

/** What is asked before a load goes into its oven, as it is by all doughs; null where nothing is. */
export function loadDoubt(
  { dough, step }: Pick<AgendaItem, 'dough' | 'step'>,
  { doughs, machines, now }: { doughs: readonly DoughForecast[]; machines: readonly Machine[]; now: number },
): Coded | null {
  const { coming, in: inside } = ovenLoads(doughs, now);
  const load = loadBehind(dough, step, coming);
  return load && ovenDoubt(load, inside, machines);
}
