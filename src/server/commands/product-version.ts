import type { PoolConnection } from 'mysql2/promise';
import { copyVersionWithScheme } from '../store/product-versions';

/** A new version of a product: the newest one, laminated by another version of a scheme. Returns its id. */
export async function newProductVersion(
  db: PoolConnection,
  productId: number,
  { schemeVersionId, at }: { schemeVersionId: number; at: number },
): Promise<number> {
  const { id } = await copyVersionWithScheme(db, productId, { schemeVersionId, at });
  return id;
}
