import type { PoolConnection } from 'mysql2/promise';
import { write } from '../db/rows';

/** A new version of a product: the newest one, laminated by another version of a scheme. Returns its id. */
export async function newProductVersion(
  db: PoolConnection,
  productId: number,
  { schemeVersionId, at }: { schemeVersionId: number; at: number },
): Promise<number> {
  const { id } = await write(
    db,
    `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
     SELECT product_id, version + 1, formula_version_id, ?, body, ? FROM product_version
     WHERE product_id = ? ORDER BY version DESC LIMIT 1`,
    [schemeVersionId, new Date(at), productId],
  );
  return id;
}
