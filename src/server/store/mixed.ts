import { effectiveEvents } from '@/core/record/undo';
import type { FloorEvent } from '@/core/record/events';
import { actualMix, type MixChange } from '@/core/formula/actual';
import { scale } from '@/core/formula/scale';
import type { ExpandedDough } from '@/core/process/expand';
import { formulaOfDough, ingredientsAndFormulas } from './formulas';
import { type Db } from '../db/rows';

/** What a dough really weighs, grams: dough as it was mixed, and its roll-in with all that is creamed into it. */
export interface MixedWeights {
  dough: number;
  rollIn: number;
}

const isChange = (data: FloorEvent['data']): data is MixChange =>
  data?.kind === 'weighed' || data?.kind === 'adjusted' || data?.kind === 'swapped';

/** What was done differently while a dough was mixed, as far as it still counts. */
export const mixChanges = (events: readonly FloorEvent[]): MixChange[] =>
  effectiveEvents(events).flatMap(({ data }) => (isChange(data) ? [data] : []));

/**
 * What doughs weigh that were mixed otherwise than their sheets say, by dough. Those of which nothing of this is recorded
 * are left out, and cost nothing.
 */
export async function reallyMixed(
  db: Db,
  events: ReadonlyMap<number, readonly FloorEvent[]>,
  expanded: ReadonlyMap<number, Pick<ExpandedDough, 'kg' | 'bowls'>>,
): Promise<Map<number, MixedWeights>> {
  const touched = [...events].flatMap(([id, all]) => {
    const size = expanded.get(id);
    if (!size || !all.some(({ data }) => isChange(data))) return [];
    const changes = mixChanges(all);
    return changes.length > 0 ? [{ id, size, changes }] : [];
  });
  if (touched.length === 0) return new Map();
  const book = await ingredientsAndFormulas(db);
  const found = touched.map(async ({ id, size, changes }): Promise<[number, MixedWeights][]> => {
    const version = await formulaOfDough(db, id);
    if (!version) return [];
    const planned = scale(version.formula, book, { by: 'finished', grams: size.kg * 1000 });
    const mix = actualMix(
      { planned, changes, bowls: size.bowls, doughCelsius: version.formula.doughCelsius },
      book,
    );
    const { doughGrams, rollInGrams } = mix.scaled;
    return mix.differs ? [[id, { dough: doughGrams, rollIn: rollInGrams }]] : [];
  });
  return new Map((await Promise.all(found)).flat());
}
