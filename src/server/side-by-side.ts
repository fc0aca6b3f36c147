import type { Pool } from 'mysql2/promise';
import { commonGround, isGood } from '@/core/diagnosis/common-ground';
import { summariesOf } from '@/core/diagnosis/summary';
import type { Compared, ComparedBatch } from '@/core/wire/compared';
import { batchSummaries, type KeptSummary } from './store/batch-summaries';
import { batchTemperatures } from './store/batch-temperatures';
import { doughById } from './store/doughs';
import { productOfOutput } from './store/batches';

const DAY = 24 * 3_600_000;
/** How far back good batches are looked for, days. */
const BACK = 120;
/** One batch alone is put beside so many good ones. */
const BESIDE = 3;

/** A batch with the product that it is compared by. */
type Candidate = ComparedBatch & { productId: number };

async function candidates(db: Pool, doughId: number, now: number): Promise<Candidate[]> {
  const dough = await doughById(db, doughId);
  if (!dough) return [];
  const [heard, products] = await Promise.all([
    batchTemperatures(db, dough, now),
    productOfOutput(
      db,
      dough.outputs.map(({ id }) => id),
    ),
  ]);
  return summariesOf(dough, heard).flatMap((summary) => {
    const productId = products.get(summary.outputId);
    return productId === undefined ? [] : [{ summary, dough, productId }];
  });
}

/**
 * Puts batches of one product side by side: the one that is asked for, or the one that most of these doughs have. One batch
 * alone is put beside the last good ones.
 */
export async function sideBySide(
  db: Pool,
  { doughs, product, now }: { doughs: readonly number[]; product?: number; now: number },
): Promise<Compared> {
  const since = now - BACK * DAY;
  const found = (await Promise.all([...new Set(doughs)].map((id) => candidates(db, id, now)))).flat();
  const counted = new Map<number, { id: number; name: string; count: number }>();
  for (const { productId, summary } of found) {
    const { count } = counted.get(productId) ?? { count: 0 };
    counted.set(productId, { id: productId, name: summary.product, count: count + 1 });
  }
  const most = [...counted.values()].sort((a, b) => b.count - a.count)[0];
  const chosen = (product !== undefined && counted.get(product)) || most;
  if (!chosen) return { product: null, batches: [], others: [], ground: [], good: 0, judged: 0, since };
  const { batches: all } = await batchSummaries(db, { from: since, to: now, product: chosen.id }, { now });
  const own = found.filter(({ productId }) => productId === chosen.id);
  const beside = own.length > 1 ? [] : await goodOnes(db, all, { but: own[0]?.summary.outputId, now });
  return {
    product: { id: chosen.id, name: chosen.name },
    batches: [...own, ...beside].map(({ summary, dough }) => ({ summary, dough })),
    others: [...counted.values()].filter(({ id }) => id !== chosen.id),
    ground: commonGround(all),
    good: all.filter((one) => isGood(one) === true).length,
    judged: all.filter((one) => isGood(one) !== null).length,
    since,
  };
}

/** The last good batches but one, the newest first. */
async function goodOnes(
  db: Pool,
  all: readonly KeptSummary[],
  { but, now }: { but: number | undefined; now: number },
): Promise<Candidate[]> {
  const last = all
    .filter((one) => isGood(one) === true && one.outputId !== but)
    .slice(-BESIDE)
    .reverse();
  const found = await Promise.all(last.map(({ doughId }) => candidates(db, doughId, now)));
  return last.flatMap(
    ({ outputId }, i) => found[i]?.filter(({ summary }) => summary.outputId === outputId) ?? [],
  );
}
