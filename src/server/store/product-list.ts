import type { ListedProduct } from '@/core/wire/listed-product';
import { type Db, rowsOf } from '../db/rows';

/** Every product in use, by name. */
export function listedProducts(db: Db, now: number): Promise<ListedProduct[]> {
  return rowsOf(
    db,
    `SELECT p.id AS productId, p.name, p.dough_name AS doughName, f.name AS formula, s.name AS scheme,
       (SELECT COUNT(DISTINCT o.dough_id) FROM dough_output o JOIN product_version ov ON ov.id = o.product_version_id
        JOIN dough d ON d.id = o.dough_id
        WHERE ov.product_id = p.id AND d.removed_at IS NULL AND o.due_at > ?) AS planned
     FROM product p JOIN product_version v ON v.product_id = p.id
     JOIN formula_version fv ON fv.id = v.formula_version_id JOIN formula f ON f.id = fv.formula_id
     LEFT JOIN scheme_version sv ON sv.id = v.scheme_version_id LEFT JOIN scheme s ON s.id = sv.scheme_id
     WHERE p.removed_at IS NULL AND v.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id)
     ORDER BY p.name`,
    [new Date(now)],
  );
}

/** Products that were taken out of use, by name. */
export const removedProducts = (db: Db): Promise<{ productId: number; name: string }[]> =>
  rowsOf(db, 'SELECT id AS productId, name FROM product WHERE removed_at IS NOT NULL ORDER BY name');

/** The names of all products there ever were, by number. */
export async function productNames(db: Db): Promise<[number, string][]> {
  const rows = await rowsOf<{ id: number; name: string }>(db, 'SELECT id, name FROM product');
  return rows.map(({ id, name }) => [id, name]);
}
