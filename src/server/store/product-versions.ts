import { type Db, write } from '../db/rows';

/** A new version of a product with another scheme. */
export function copyVersionWithScheme(
  db: Db,
  productId: number,
  { schemeVersionId, at }: { schemeVersionId: number; at: number },
) {
  return write(
    db,
    `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
     SELECT product_id, version + 1, formula_version_id, ?, body, ? FROM product_version
     WHERE product_id = ? ORDER BY version DESC LIMIT 1`,
    [schemeVersionId, new Date(at), productId],
  );
}

/** A new version of each product that is made by version `from` of a formula: by version `to`. */
export async function makeByNewFormula(
  db: Db,
  { from, to, now }: { from: number; to: number; now: number },
): Promise<void> {
  await write(
    db,
    `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
       SELECT product_id, version + 1, ?, scheme_version_id, body, ? FROM product_version v
       WHERE formula_version_id = ? AND version = (SELECT MAX(version) FROM product_version WHERE product_id = v.product_id)`,
    [to, new Date(now), from],
  );
}
