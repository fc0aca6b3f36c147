import { type HeardSpan, probeSpans } from '@/core/diagnosis/temperatures';
import type { DoughRecord } from '@/core/record/dough';
import { placeCurve } from './place-curve';
import { type Db, rowsOf } from '../db/rows';

/** What probes have said of a batch until `now`, span by span; a place that the house has no more is left out. */
export async function batchTemperatures(db: Db, dough: DoughRecord, now: number): Promise<HeardSpan[]> {
  const places = await rowsOf<{ id: string; label: string }>(db, 'SELECT id, label FROM place', []);
  const labels = new Map(places.map(({ id, label }) => [id, label]));
  const heard = await Promise.all(
    probeSpans(dough, now).map(async (span) => {
      const label = labels.get(span.probe);
      if (label === undefined) return [];
      return [{ ...span, label, points: await placeCurve(db, span.probe, span.from, span.to) }];
    }),
  );
  return heard.flat();
}
