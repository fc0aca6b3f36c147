import type { FromFreezer } from '@/core/demand/frozen';
import { type Db, rowsOf } from '../db/rows';

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
