import type { Demand } from '@/core/demand/orders';
import { dayOf } from '@/core/demand/orders';
import { delivered, type Made, type Outcome } from '@/core/demand/delivered';
import { forecastDough } from '@/core/forecast/forecast';
import { promisesOf } from '@/core/forecast/promises';
import { goesToStock } from '@/core/process/output-way';
import type { DoughRecord, OutputRecord } from '@/core/record/dough';
import { piecesLeft } from '@/core/record/frozen';
import { stateOf } from '@/core/record/dough';
import { addLocalDays } from '@/core/time/local';
import { conditions } from './conditions';
import { doughsDueFrom } from './doughs';
import { house } from './house';
import { productsOfOutputs, wantedIn } from './orders';
import { thawedFor } from './stock';
import { type Db, rowsOf, write } from '../db/rows';

/** How far back orders are shown, days. */
export const PAST_DAYS = 7;

type PastSource = Demand['source'];
const dayOfOrder = (source: PastSource, dueAt: number, zone: string): string =>
  source.kind === 'standing' ? source.day : dayOf(dueAt, zone);

/** A bakery that has kept none yet had its first orders no longer ago than this, ms: what it takes down today is no order of last week. */
const FIRST = 12 * 3_600_000;
const since = (newest: number | undefined, now: number): number => newest ?? now - FIRST;

/** Keeps the orders whose time has come as they were then, since what was kept last. */
export async function keepPastOrders(db: Db, now: number): Promise<void> {
  const { zone } = await house(db);
  const [last] = await rowsOf<{ at: Date | null }>(db, 'SELECT MAX(due_at) AS at FROM past_order');
  const { wanted } = await wantedIn(db, { from: since(last?.at?.getTime(), now), to: now, zone });
  for (const { source, customer, productId, dueAt, pieces } of wanted)
    await write(
      db,
      `INSERT IGNORE INTO past_order (kind, source_id, day, customer_id, product_id, due_at, pieces)
       SELECT ?, ?, ?, id, ?, ?, ? FROM customer WHERE name = ?`,
      [
        ...[source.kind, source.id, dayOfOrder(source, dueAt, zone), productId],
        ...[new Date(dueAt), pieces, customer],
      ],
    );
}

/** What became of the orders of the last days, the newest first. */
export async function pastOrders(db: Db, now: number): Promise<Outcome[]> {
  const { zone } = await house(db);
  const from = addLocalDays(now, -PAST_DAYS, zone);
  const [orders, doughs, thawed, bakery] = await Promise.all([
    ordersPast(db, from, now, zone),
    doughsDueFrom(db, from),
    thawedFor(db, from),
    conditions(db, now),
  ]);
  const productOf = await productsOfOutputs(db, doughs);
  const made = doughs.flatMap((dough) =>
    promisesOf(forecastDough(dough, bakery, now), dough)
      .filter(({ output, readyAt }) => readyAt <= now && !goesToStock(output.way))
      .map(({ output, readyAt }): Made => ({
        ...{ doughId: dough.id, dough: dough.name, productId: productOf.get(output.id) ?? 0, readyAt },
        ...{ pieces: goodOf(dough, output), freshFor: output.freshFor },
        isUnrecorded: stateOf(dough).closed !== null || dough.finished === undefined,
      })),
  );
  return delivered(orders, made, thawed).sort((a, b) => b.order.dueAt - a.order.dueAt);
}

/** Pieces of an output that came out good, by the count of its loads; where nobody counted, those that were planned and not lost. */
function goodOf(dough: DoughRecord, output: OutputRecord): number {
  const state = stateOf(dough);
  const { steps } = state;
  const counts = dough.steps
    .filter(({ outputId }) => outputId === output.id)
    .flatMap(({ key }) => steps.get(key)?.records ?? [])
    .flatMap(({ data }) => (data.kind === 'counted' ? [data.good + data.second] : []));
  const planned = piecesLeft(state, output);
  return counts.length === 0
    ? planned
    : Math.min(
        planned,
        counts.reduce((sum, good) => sum + good, 0),
      );
}

/** Orders that were kept as they were, and those of the last hours that were not kept yet. */
async function ordersPast(db: Db, from: number, now: number, zone: string): Promise<Demand[]> {
  const rows = await rowsOf<{
    kind: 'standing' | 'single';
    id: number;
    day: string;
    customer: string;
    productId: number;
    dueAt: Date;
    pieces: number;
  }>(
    db,
    `SELECT o.kind, o.source_id AS id, DATE_FORMAT(o.day, '%Y-%m-%d') AS day, c.name AS customer, o.product_id AS productId,
       o.due_at AS dueAt, o.pieces FROM past_order o JOIN customer c ON c.id = o.customer_id
     WHERE o.due_at > ? AND o.due_at <= ?`,
    [new Date(from), new Date(now)],
  );
  const kept = rows.map(({ kind, id, day, dueAt, ...row }): Demand => ({
    ...row,
    dueAt: dueAt.getTime(),
    source: kind === 'standing' ? { kind, id, day, usual: row.pieces } : { kind, id },
  }));
  const newest = kept.length > 0 ? Math.max(...kept.map(({ dueAt }) => dueAt)) : undefined;
  const { wanted } = await wantedIn(db, { from: since(newest, now), to: now, zone });
  return [...kept, ...wanted];
}
