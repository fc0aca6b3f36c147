import { rowsOf, type Db } from '../db/rows';

/** Shaped pieces in the freezer, by product name; products of which there are none are left out. */
export async function frozenStock(db: Db): Promise<Map<string, number>> {
  const rows = await rowsOf<{ product: string; pieces: number }>(
    db,
    `SELECT p.name AS product, CAST(SUM(m.pieces) AS SIGNED) AS pieces
     FROM frozen_move m JOIN product p ON p.id = m.product_id GROUP BY p.id, p.name HAVING SUM(m.pieces) > 0`,
  );
  return new Map(rows.map(({ product, pieces }) => [product, Number(pieces)]));
}
