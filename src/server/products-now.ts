import type { Pool } from 'mysql2/promise';
import type { RemediedProduct } from '@/core/diagnosis/remedy';
import type { DoughRecord } from '@/core/record/dough';
import { productOfOutput } from './store/batches';
import { productById } from './store/product-versions';
import { productAsKept } from './store/products';

/** The products of a dough's outputs in their newest versions, by output; those that are out of use are left out. */
export async function productsNow(
  db: Pool,
  { outputs }: Pick<DoughRecord, 'outputs'>,
): Promise<Record<number, RemediedProduct & { versionId: number }>> {
  const products = await productOfOutput(
    db,
    outputs.map(({ id }) => id),
  );
  const found = await Promise.all(
    [...products].map(async ([outputId, productId]) => {
      const [newest, kept] = await Promise.all([productById(db, productId), productAsKept(db, productId)]);
      if (!newest || !kept) return [];
      const { route, rises, piece } = kept;
      return [
        [outputId, { versionId: newest.versionId, route, piece, ...(rises ? { rises } : {}) }] as const,
      ];
    }),
  );
  return Object.fromEntries(found.flat());
}
