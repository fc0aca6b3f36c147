import { type FromFreezer, movedByRecord, stillToMove } from '@/core/demand/frozen';
import type { DoughRecord } from '@/core/record/dough';
import { type Db, rowsOf, write } from '../db/rows';
import { doughById } from './doughs';

/** Shaped pieces of a product in the freezer. */
export interface Frozen {
  productId: number;
  product: string;
  pieces: number;
}

/** What lies shaped in the freezer; products of which there are none are left out. */
export async function frozenStock(db: Db): Promise<Frozen[]> {
  const rows = await rowsOf<Frozen>(
    db,
    `SELECT p.id AS productId, p.name AS product, CAST(SUM(m.pieces) AS SIGNED) AS pieces
     FROM frozen_move m JOIN product p ON p.id = m.product_id GROUP BY p.id, p.name HAVING SUM(m.pieces) > 0`,
  );
  return rows.map((row) => ({ ...row, pieces: Number(row.pieces) }));
}

/** What was taken out of the freezer for orders that are still to come. */
export async function thawedFor(db: Db, now: number): Promise<FromFreezer[]> {
  const rows = await rowsOf<{ productId: number; dueAt: Date; pieces: number }>(
    db,
    `SELECT product_id AS productId, for_due AS dueAt, CAST(-SUM(pieces) AS SIGNED) AS pieces
     FROM frozen_move WHERE for_due >= ? GROUP BY product_id, for_due ORDER BY for_due`,
    [new Date(now)],
  );
  return rows.map(({ dueAt, pieces, ...row }) => ({
    ...row,
    dueAt: dueAt.getTime(),
    pieces: Number(pieces),
  }));
}

/** Products by output, of outputs that go to the freezer or come from it. */
async function freezerOutputs(db: Db, doughId: number | null = null): Promise<Map<number, number>> {
  const rows = await rowsOf<{ outputId: number; productId: number }>(
    db,
    `SELECT o.id AS outputId, v.product_id AS productId FROM dough_output o
     JOIN product_version v ON v.id = o.product_version_id
     WHERE o.way <> 'fresh' ${doughId === null ? '' : 'AND o.dough_id = ?'}`,
    doughId === null ? [] : [doughId],
  );
  return new Map(rows.map(({ outputId, productId }) => [outputId, productId]));
}

/** What lies in the freezer and is promised to no planned batch, by product. */
export async function freeFrozen(db: Db, doughs: readonly DoughRecord[]): Promise<Frozen[]> {
  const [stock, products] = await Promise.all([frozenStock(db), freezerOutputs(db)]);
  const promised = stillToMove(doughs, 'from-freezer');
  return stock.flatMap((one) => {
    const taken = promised.filter(({ outputId }) => products.get(outputId) === one.productId);
    const pieces = one.pieces - taken.reduce((sum, move) => sum + move.pieces, 0);
    return pieces > 0 ? [{ ...one, pieces }] : [];
  });
}

/** Pieces of a product that will be frozen by then, beside what is free already. */
export async function frozenBy(
  db: Db,
  doughs: readonly DoughRecord[],
  { productId, at }: { productId: number; at: number },
): Promise<number> {
  const [free, products] = await Promise.all([freeFrozen(db, doughs), freezerOutputs(db)]);
  const coming = stillToMove(doughs, 'to-freezer').filter(
    ({ outputId, dueAt }) => products.get(outputId) === productId && dueAt < at,
  );
  const here = free.find((one) => one.productId === productId)?.pieces ?? 0;
  return coming.reduce((sum, { pieces }) => sum + pieces, here);
}

/** Brings the freezer's stock to what was recorded of a dough: what is taken back there is taken back here. */
export async function settleFrozen(db: Db, doughId: number, now: number): Promise<void> {
  const products = await freezerOutputs(db, doughId);
  if (products.size === 0) return;
  const dough = await doughById(db, doughId);
  if (!dough) return;
  const wanted = new Map<number, number>();
  for (const [outputId, pieces] of movedByRecord(dough)) {
    const productId = products.get(outputId);
    if (productId !== undefined) wanted.set(productId, (wanted.get(productId) ?? 0) + pieces);
  }
  const known = await rowsOf<{ productId: number; pieces: number }>(
    db,
    `SELECT product_id AS productId, CAST(SUM(pieces) AS SIGNED) AS pieces FROM frozen_move
     WHERE dough_id = ? GROUP BY product_id`,
    [doughId],
  );
  for (const productId of new Set(products.values())) {
    const before = Number(known.find((one) => one.productId === productId)?.pieces ?? 0);
    const pieces = (wanted.get(productId) ?? 0) - before;
    if (pieces !== 0)
      await write(
        db,
        'INSERT INTO frozen_move (product_id, pieces, at, note, dough_id) VALUES (?, ?, ?, ?, ?)',
        [...[productId, pieces, new Date(now), dough.name, doughId]],
      );
  }
}
