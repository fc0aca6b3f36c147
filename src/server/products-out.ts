import { fileOfDraft, PRODUCTS_FORMAT, type ProductsFile } from '@/core/exchange/products-file';
import { linesOf } from '@/core/formula/formula';
import type { IngredientBook } from '@/core/formula/ingredient';
import { formulaRef } from '@/core/formula/parts';
import { formulasIn } from '@/core/shaping/needs';
import type { Db } from './db/rows';
import { productToEdit } from './product-pages';
import {
  currentFormulas,
  type FormulaVersion,
  formulaVersion,
  ingredientsAndFormulas,
} from './store/formulas';
import { productAsKept, productNames } from './store/products';
import { schemeVersions } from './store/schemes';

/** A product as a file, with its formulas and the way it is laminated; null where the house has none of that number. */
export async function productFile(db: Db, productId: number): Promise<ProductsFile | null> {
  const [edited, kept, current, book] = await Promise.all([
    productToEdit(db, productId),
    productAsKept(db, productId),
    currentFormulas(db),
    ingredientsAndFormulas(db),
  ]);
  const formula = kept && (await formulaVersion(db, kept.formulaVersionId));
  if (!edited || !kept || !formula) return null;
  const ids = kept.schemeVersionId === null ? [] : [kept.schemeVersionId];
  const schemes = [...(await schemeVersions(db, ids)).values()].map(({ name, scheme }) => ({ name, scheme }));
  const named = new Map(current.map((one) => [one.formulaId, one]));
  const beside = formulasIn(edited.draft.piece).flatMap((id) => named.get(id) ?? []);
  const by = { formula: formula.name, scheme: schemes[0]?.name ?? null };
  return {
    format: PRODUCTS_FORMAT,
    formulas: withTheirOwn([formula, ...beside], named).map((one) => fileFormula(one, book)),
    schemes,
    products: [fileOfDraft(edited.draft, by, (id) => named.get(id)?.name)],
  };
}

/** All products of the house as one file; formulas and ways to laminate each once. */
export async function productsFile(db: Db): Promise<ProductsFile> {
  const files: ProductsFile[] = [];
  for (const { id } of await productNames(db)) {
    const file = await productFile(db, id);
    if (file) files.push(file);
  }
  const once = <One extends { name: string }>(all: readonly One[]) => [
    ...new Map(all.map((one) => [one.name, one])).values(),
  ];
  return {
    format: PRODUCTS_FORMAT,
    formulas: once(files.flatMap(({ formulas }) => formulas)),
    schemes: once(files.flatMap(({ schemes }) => schemes)),
    products: files.flatMap(({ products }) => products),
  };
}

/** Formulas with those that they are made of, which stand before them; each once. */
function withTheirOwn(
  formulas: readonly FormulaVersion[],
  named: ReadonlyMap<number, FormulaVersion>,
): FormulaVersion[] {
  const all = new Map<number, FormulaVersion>();
  const refs = new Map([...named.values()].map((one) => [formulaRef(one.formulaId), one]));
  const add = (one: FormulaVersion) => {
    for (const { ingredient } of linesOf(one.formula)) {
      const part = refs.get(ingredient);
      if (part && !all.has(part.formulaId)) add(part);
    }
    if (!all.has(one.formulaId)) all.set(one.formulaId, one);
  };
  formulas.forEach(add);
  return [...all.values()];
}

const fileFormula = (
  { name, formula: { doughCelsius, stages } }: FormulaVersion,
  book: IngredientBook,
): ProductsFile['formulas'][number] => ({
  ...{ name, doughCelsius },
  stages: stages.map(({ kind, lines }) => ({
    kind,
    lines: lines.map(({ ingredient, percent, note }) => ({
      ...{ ingredient: book.get(ingredient)?.name ?? ingredient, percent },
      ...(note ? { note } : {}),
    })),
  })),
});
