import { type HeardSpan, probeSpans } from '@/core/diagnosis/temperatures';
import type { DoughRecord } from '@/core/record/dough';
import { placeCurve } from './place-curve';
import { type Db, rowsOf } from '../db/rows';

/** What probes have said of a batch until `now`, stay by stay; a place that the house has no more is left out. */
export async function batchTemperatures(db: Db, dough: DoughRecord, now: number): Promise<HeardSpan[]> {
  const places = await rowsOf<{ id: string; label: string }>(db, 'SELECT id, label FROM place', []);
  const labels = new Map(places.map(({ id, label }) => [id, label]));
  const heard = await Promise.all(
    probeSpans(dough, now).map(async (stay) => {
      const label = labels.get(stay.probe);
      if (label === undefined) return [];
      return [{ ...stay, label, points: await placeCurve(db, stay.probe, stay.from, stay.to) }];
    }),
  );
  return heard.flat();
}
