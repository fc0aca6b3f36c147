import type { Pool } from 'mysql2/promise';
import { type BatchSummary, summariesOf } from '@/core/diagnosis/summary';
import { type Db, rowsOf, write } from '../db/rows';
import { productOfOutput } from './batches';
import { batchTemperatures } from './batch-temperatures';
import { doughById } from './doughs';

/** A batch in numbers, of which product by its id. */
export type KeptSummary = BatchSummary & { productId: number };

/** Of which batches numbers are asked for. */
export interface SummarySearch {
  /** Finished from and to, ms. */
  from: number;
  to: number;
  product?: number;
}

/** So many doughs are put into numbers while somebody waits for a page; the hourly upkeep does more. */
const AT_ONCE = 10;

/**
 * The finished batches of a time in numbers, the oldest first. What is not worked out yet, or was added to since, is worked
 * out first, the newest before the others.
 *
 * @param most - doughs that are worked out at most
 * @returns `left`: doughs that are still to be worked out
 */
export async function batchSummaries(
  db: Pool,
  search: SummarySearch,
  { now, most = AT_ONCE }: { now: number; most?: number },
): Promise<{ batches: KeptSummary[]; left: number }> {
  const stale = await staleDoughs(db, search);
  for (const { id, events } of stale.slice(0, most)) await summarise(db, id, events, now);
  const rows = await rowsOf<{ productId: number; body: BatchSummary }>(
    db,
    `SELECT s.product_id AS productId, s.body FROM batch_summary s JOIN dough d ON d.id = s.dough_id
     WHERE s.done_at >= ? AND s.done_at < ? AND d.removed_at IS NULL ${search.product ? 'AND s.product_id = ?' : ''}
     ORDER BY s.done_at, s.output_id`,
    [new Date(search.from), new Date(search.to), ...(search.product ? [search.product] : [])],
  );
  const batches = rows.map(({ productId, body }) => ({
    ...body,
    productId,
  }));
  return { batches, left: Math.max(0, stale.length - most) };
}

/** Finished doughs of which the numbers are missing or older than their log, the newest first. */
function staleDoughs(db: Db, { from, to }: SummarySearch): Promise<{ id: number; events: number }[]> {
  return rowsOf(
    db,
    `SELECT d.id, (SELECT COUNT(*) FROM floor_event e WHERE e.dough_id = d.id) AS events FROM dough d
     WHERE d.finished_at >= ? AND d.finished_at < ? AND d.removed_at IS NULL
     HAVING events > COALESCE((SELECT MIN(s.events) FROM batch_summary s WHERE s.dough_id = d.id), 0)
     ORDER BY d.finished_at DESC`,
    [new Date(from), new Date(to)],
  );
}

async function summarise(db: Pool, doughId: number, events: number, now: number): Promise<void> {
  const dough = await doughById(db, doughId);
  if (!dough) return;
  const productOf = await productOfOutput(
    db,
    dough.outputs.map(({ id }) => id),
  );
  const own = summariesOf(dough, await batchTemperatures(db, dough, now));
  await keepSummaries(
    db,
    own.map((one) => ({ ...one, productId: productOf.get(one.outputId) ?? 0, events })),
  );
}

/** Keeps the numbers of batches, each with how many events of its dough it was worked out from. */
export async function keepSummaries(
  db: Db,
  own: readonly (KeptSummary & { events: number })[],
): Promise<void> {
  if (own.length === 0) return;
  await write(
    db,
    'REPLACE INTO batch_summary (output_id, dough_id, product_id, done_at, events, body) VALUES ?',
    [
      own.map(({ productId, events, ...one }) => [
        ...[one.outputId, one.doughId, productId, new Date(one.doneAt), events],
        JSON.stringify(one),
      ]),
    ],
  );
}
