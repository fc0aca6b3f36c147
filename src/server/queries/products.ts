import type { ProductSpec } from '@/core/route/route';
import { rowsOf, type Db } from '../db/rows';

/** A product version with its product. */
export interface KnownProduct extends ProductSpec {
  productId: number;
  doughName: string;
}

interface ProductRow {
  versionId: number;
  productId: number;
  name: string;
  doughName: string;
  formulaVersionId: number;
  body: string | Pick<ProductSpec, 'piece' | 'route' | 'freshFor'>;
}

const COLUMNS = `v.id AS versionId, p.id AS productId, p.name, p.dough_name AS doughName,
  v.formula_version_id AS formulaVersionId, v.body`;

function known({ body, ...row }: ProductRow): KnownProduct {
  const parsed = (typeof body === 'string' ? JSON.parse(body) : body) as Pick<
    ProductSpec,
    'piece' | 'route' | 'freshFor'
  >;
  return { ...row, ...parsed };
}

/** The newest version of every product, by name. */
export async function currentProducts(db: Db): Promise<KnownProduct[]> {
  const rows = await rowsOf<ProductRow>(
    db,
    `SELECT ${COLUMNS} FROM product p JOIN product_version v ON v.product_id = p.id
     WHERE v.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id) ORDER BY p.name`,
  );
  return rows.map(known);
}

/** These versions, by id. */
export async function productVersions(db: Db, ids: readonly number[]): Promise<Map<number, KnownProduct>> {
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<ProductRow>(
    db,
    `SELECT ${COLUMNS} FROM product_version v JOIN product p ON p.id = v.product_id WHERE v.id IN (?)`,
    [ids],
  );
  return new Map(rows.map((row) => [row.versionId, known(row)]));
}
