import { draftRoute, type ProductDraft } from '@/core/process/product-draft';
import type { MakingBakery } from '@/core/process/product-faults';
import type { Db } from './db/rows';
import { currentFormulas, formulaVersion } from './store/formulas';
import { machines, people, shifts } from './store/house';
import { productById } from './store/product-versions';
import { productAsKept } from './store/products';
import { currentSchemes } from './store/schemes';

/** What the editor of products chooses among, and what the bakery makes them with. */
export async function productMeans(db: Db) {
  const [formulas, schemes, pools, everybody, pattern] = await Promise.all([
    currentFormulas(db),
    currentSchemes(db),
    machines(db),
    people(db),
    shifts(db),
  ]);
  const bakery: MakingBakery = {
    machines: pools.map(({ id, kind, label }) => ({ id, kind, label })),
    people: everybody.map(({ role, skills }) => ({ role, ...(skills ? { skills } : {}) })),
    isStaffed: pattern.length > 0,
  };
  return {
    formulas: formulas.map(({ formulaId, name }) => ({ id: formulaId, name })),
    schemes: schemes.map(({ schemeId, name }) => ({ id: schemeId, name })),
    bakery,
  };
}

/** A product as its editor begins with it; null where the house has none of that number. */
export async function productToEdit(
  db: Db,
  productId: number,
): Promise<{ versionId: number; version: number; draft: ProductDraft } | null> {
  const [product, kept, formulas, schemes] = await Promise.all([
    productById(db, productId),
    productAsKept(db, productId),
    currentFormulas(db),
    currentSchemes(db),
  ]);
  if (!product || !kept) return null;
  const { piece, route, freshFor, lateness, rises = {}, formulaVersionId, schemeVersionId } = kept;
  const newest = formulas.find(({ id }) => id === formulaVersionId);
  const older = newest ? null : await formulaVersion(db, formulaVersionId);
  const scheme = schemes.find(({ versionId }) => versionId === schemeVersionId);
  const draft: ProductDraft = {
    ...{ name: product.name, doughName: product.doughName, piece, freshFor, rises },
    ...(lateness === undefined ? {} : { lateness }),
    ...{ formulaId: (newest ?? older)?.formulaId ?? null, schemeId: scheme?.schemeId ?? null },
    ...(older ? { olderFormula: { versionId: older.id, version: older.version } } : {}),
    ...draftRoute(route),
  };
  return { versionId: product.versionId, version: product.version, draft };
}
