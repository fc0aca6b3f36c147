import type { ProductSpec } from '@/core/process/route';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

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

/** Products in use that are made by this very version of a formula, by name. */
export const productsMadeBy = (db: Db, formulaVersionId: number): Promise<{ id: number; name: string }[]> =>
  rowsOf(
    db,
    `SELECT p.id, p.name FROM product p JOIN product_version v ON v.product_id = p.id
     WHERE v.formula_version_id = ? AND p.removed_at IS NULL
       AND v.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id) ORDER BY p.name`,
    [formulaVersionId],
  );

/** A new version of each of these products, made by version `to` of its formula. */
export async function makeByNewFormula(
  db: Db,
  productIds: readonly number[],
  { to, now }: { to: number; now: number },
): Promise<void> {
  if (productIds.length === 0) return;
  await write(
    db,
    `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
       SELECT product_id, version + 1, ?, scheme_version_id, body, ? FROM product_version v
       WHERE product_id IN (?) AND version = (SELECT MAX(version) FROM product_version WHERE product_id = v.product_id)`,
    [to, new Date(now), productIds],
  );
}

/** What of a product's version is kept as one: its piece, its way and how it rises. */
export type ProductBody = Pick<ProductSpec, 'piece' | 'route' | 'freshFor' | 'lateness' | 'rises'>;

/** A product by its number, with its newest version; null where there is none, or it is out of use and such are not meant. */
export function productById(
  db: Db,
  id: number,
  { removedToo = false }: { removedToo?: boolean } = {},
): Promise<{
  name: string;
  doughName: string;
  versionId: number;
  version: number;
  by: string | null;
} | null> {
  return rowOf(
    db,
    `SELECT p.name, p.dough_name AS doughName, v.id AS versionId, v.version, person.name AS \`by\`
     FROM product p JOIN product_version v ON v.product_id = p.id LEFT JOIN person ON person.id = v.person_id
     WHERE p.id = ? AND (? OR p.removed_at IS NULL) ORDER BY v.version DESC LIMIT 1`,
    [id, removedToo],
  );
}

/** The product of a name, whether it is in use or not. */
export const productCalled = (db: Db, name: string): Promise<{ id: number; isRemoved: 0 | 1 } | null> =>
  rowOf(db, 'SELECT id, removed_at IS NOT NULL AS isRemoved FROM product WHERE name = ?', [name]);

export const insertProduct = (db: Db, { name, doughName }: { name: string; doughName: string }) =>
  write(db, 'INSERT INTO product (name, dough_name) VALUES (?, ?)', [name, doughName]);

export const renameProduct = (db: Db, id: number, { name, doughName }: { name: string; doughName: string }) =>
  write(db, 'UPDATE product SET name = ?, dough_name = ? WHERE id = ?', [name, doughName, id]);

export const setProductRemoved = (db: Db, id: number, at: number | null) =>
  write(db, 'UPDATE product SET removed_at = ? WHERE id = ?', [at === null ? null : new Date(at), id]);

/** A product's next version; its first where it has none. */
export function insertProductVersion(
  db: Db,
  version: {
    productId: number;
    version: number;
    formulaVersionId: number;
    schemeVersionId: number | null;
    body: ProductBody;
    at: number;
    personId: number | null;
  },
) {
  return write(
    db,
    `INSERT INTO product_version
       (product_id, version, formula_version_id, scheme_version_id, body, created_at, person_id)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[version.productId, version.version, version.formulaVersionId, version.schemeVersionId],
      ...[JSON.stringify(version.body), new Date(version.at), version.personId],
    ],
  );
}

/** Customers who have ordered a product for every week. */
export const standingFor = (db: Db, productId: number): Promise<{ customer: string }[]> =>
  rowsOf(
    db,
    `SELECT DISTINCT c.name AS customer FROM standing_order s JOIN customer c ON c.id = s.customer_id
     WHERE s.product_id = ? ORDER BY c.name`,
    [productId],
  );
