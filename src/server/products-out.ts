import { fileOfDraft, PRODUCTS_FORMAT, type ProductsFile } from '@/core/exchange/products-file';
import type { Db } from './db/rows';
import { productToEdit } from './product-pages';
import { formulaVersion, ingredientsAndFormulas } from './store/formulas';
import { productAsKept } from './store/products';
import { schemeVersions } from './store/schemes';

/** A product as a file, with its formula and the way it is laminated; null where the house has none of that number. */
export async function productFile(db: Db, productId: number): Promise<ProductsFile | null> {
  const [edited, kept, book] = await Promise.all([
    productToEdit(db, productId),
    productAsKept(db, productId),
    ingredientsAndFormulas(db),
  ]);
  const formula = kept && (await formulaVersion(db, kept.formulaVersionId));
  if (!edited || !kept || !formula) return null;
  const ids = kept.schemeVersionId === null ? [] : [kept.schemeVersionId];
  const schemes = [...(await schemeVersions(db, ids)).values()].map(({ name, scheme }) => ({ name, scheme }));
  const { doughCelsius, stages } = formula.formula;
  return {
    format: PRODUCTS_FORMAT,
    formulas: [
      {
        ...{ name: formula.name, doughCelsius },
        stages: stages.map(({ kind, lines }) => ({
          kind,
          lines: lines.map(({ ingredient, percent, note }) => ({
            ...{ ingredient: book.get(ingredient)?.name ?? ingredient, percent },
            ...(note ? { note } : {}),
          })),
        })),
      },
    ],
    schemes,
    products: [fileOfDraft(edited.draft, { formula: formula.name, scheme: schemes[0]?.name ?? null })],
  };
}
