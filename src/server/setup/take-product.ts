import { coded } from '@/core/codes/coded';
import { Fault } from '@/core/codes/fault';
import { draftOfFile, type FileProduct, type ProductsFile } from '@/core/exchange/products-file';
import type { Formula } from '@/core/formula/formula';
import { formulaRef } from '@/core/formula/parts';
import type { ProductDraft } from '@/core/process/product-draft';
import type { Instant } from '@/core/time/local';
import { Refusal } from '../commands/command';
import { readProductDraft } from '../commands/products/drafted';
import { keepNewProduct } from '../commands/products/keep';
import { type Db, write } from '../db/rows';
import { currentFormulas } from '../store/formulas';
import { ingredients } from '../store/ingredients';
import { productCalled } from '../store/product-versions';
import { currentSchemes } from '../store/schemes';

/** Products with all that they are made by, whatever file they are in. */
type ProductsParts = Omit<ProductsFile, 'format'>;

/**
 * Makes a product of a file the house's own: the formulas and ways to laminate of the file, where the house has none of
 * their names, and the product in its first version.
 *
 * @returns the product's number, or null where the file has no such product or the house has one of that name
 * @throws {Refusal} where the house does not know an ingredient, or something is wrong with the product
 */
export async function takeProduct(
  db: Db,
  file: ProductsParts,
  name: string,
  by: { at: Instant; personId: number | null },
): Promise<number | null> {
  const product = file.products.find((one) => one.name === name);
  if (!product || (await productCalled(db, name))) return null;
  await keepFormulas(db, file, by.at);
  await keepSchemes(db, file, by.at);
  const [formulas, schemes] = await Promise.all([currentFormulas(db), currentSchemes(db)]);
  const formulaOf = (called: string) => formulas.find((one) => one.name === called)?.formulaId;
  const schemeId = schemes.find((one) => one.name === product.scheme)?.schemeId ?? null;
  const draft = readFileProduct(product, schemeId, formulaOf);
  return keepNewProduct(db, await readProductDraft(db, draft), by);
}

/** @throws {Refusal} where a part is made by a formula that neither file nor house has */
function readFileProduct(
  product: FileProduct,
  schemeId: number | null,
  formulaOf: (name: string) => number | undefined,
): ProductDraft {
  try {
    return draftOfFile(product, { formulaId: formulaOf(product.formula) ?? null, schemeId }, formulaOf);
  } catch (error) {
    if (error instanceof Fault) throw new Refusal(error.fault, 'text');
    throw error;
  }
}

/** Formulas of a file, ingredients by the names that the house has for them, or formulas that stand before them. */
async function keepFormulas(db: Db, { formulas }: ProductsParts, at: Instant): Promise<void> {
  const [own, book] = await Promise.all([currentFormulas(db), ingredients(db)]);
  const idOf = new Map([
    ...own.map(({ formulaId, name }): [string, string] => [name.toLowerCase(), formulaRef(formulaId)]),
    ...book.map(({ id, name }): [string, string] => [name.toLowerCase(), id]),
  ]);
  for (const { name, doughCelsius, stages } of formulas) {
    if (own.some((one) => one.name === name)) continue;
    const body: Formula = {
      doughCelsius,
      stages: stages.map(({ kind, lines }) => ({
        kind,
        lines: lines.map(({ ingredient, ...line }) => {
          const id = idOf.get(ingredient.toLowerCase());
          if (id === undefined)
            throw new Refusal(coded('product.unknownIngredient', { formula: name, ingredient }), 'text');
          return { ingredient: id, ...line };
        }),
      })),
    };
    const { id } = await write(db, 'INSERT INTO formula (name) VALUES (?)', [name]);
    idOf.set(name.toLowerCase(), formulaRef(id));
    await keepFirst(db, 'formula', { id, body, at });
  }
}

async function keepSchemes(db: Db, { schemes }: ProductsParts, at: Instant): Promise<void> {
  const own = await currentSchemes(db);
  for (const { name, scheme } of schemes) {
    if (own.some((one) => one.name === name)) continue;
    const { id } = await write(
      db,
      'INSERT INTO scheme (name) VALUES (?) ON DUPLICATE KEY UPDATE removed_at = NULL, id = LAST_INSERT_ID(id)',
      [name],
    );
    await keepFirst(db, 'scheme', { id, body: scheme, at });
  }
}

/** A first version; where an earlier one is out of use, the next. */
function keepFirst(
  db: Db,
  of: 'formula' | 'scheme',
  { id, body, at }: { id: number; body: object; at: Instant },
) {
  return write(
    db,
    `INSERT INTO ${of}_version (${of}_id, version, body, created_at)
     SELECT ?, COALESCE(MAX(version), 0) + 1, ?, ? FROM ${of}_version WHERE ${of}_id = ?`,
    [id, JSON.stringify(body), new Date(at), id],
  );
}
