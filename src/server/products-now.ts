import type { Pool } from 'mysql2/promise';
import type { RemediedProduct } from '@/core/diagnosis/remedy';
import type { DoughRecord } from '@/core/record/dough';
import { productOfOutput } from './store/batches';
import { productById } from './store/product-versions';
import { productAsKept } from './store/products';
import { currentSchemes, type HouseScheme } from './store/schemes';

/** The scheme that a product is laminated by, and what else is; undefined where it is none that is in use. */
export function laminatedBy(
  schemes: readonly HouseScheme[],
  schemeVersionId: number | null,
  productId: number,
): (NonNullable<RemediedProduct['scheme']> & Pick<HouseScheme, 'schemeId' | 'products'>) | undefined {
  const by = schemes.find(({ versionId }) => versionId === schemeVersionId);
  if (!by) return undefined;
  const { schemeId, name, scheme, products } = by;
  return {
    ...{ schemeId, name, scheme, products },
    others: products.flatMap((one) => (one.id === productId ? [] : [one.name])),
  };
}

/** The products of a dough's outputs in their newest versions, by output; those that are out of use are left out. */
export async function productsNow(
  db: Pool,
  { outputs }: Pick<DoughRecord, 'outputs'>,
): Promise<Record<number, RemediedProduct & { versionId: number }>> {
  const products = await productOfOutput(
    db,
    outputs.map(({ id }) => id),
  );
  const schemes = await currentSchemes(db);
  const found = await Promise.all(
    [...products].map(async ([outputId, productId]) => {
      const [newest, kept] = await Promise.all([productById(db, productId), productAsKept(db, productId)]);
      if (!newest || !kept) return [];
      const { route, rises, piece, schemeVersionId } = kept;
      const scheme = laminatedBy(schemes, schemeVersionId, productId);
      return [[outputId, { versionId: newest.versionId, route, piece, rises, scheme }] as const];
    }),
  );
  return Object.fromEntries(found.flat());
}
