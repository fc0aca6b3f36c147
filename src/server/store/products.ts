import { flourInRollIn, linesOf, percentOf, shareOf } from '@/core/formula/formula';
import { allergensOf, undeclaredIn } from '@/core/formula/analysis';
import type { Allergen } from '@/core/formula/ingredient';
import { type OptionalStep, optionalSteps } from '@/core/process/left-out';
import { laminate } from '@/core/process/scheme-steps';
import type { ProductSpec } from '@/core/process/route';
import { formulaRef } from '@/core/formula/parts';
import { dressingAllergens, inLabelOrder } from '@/core/shaping/dressing';
import { formulasIn } from '@/core/shaping/needs';
import { rollInFat } from '@/core/process/rolled-fat';
import { json } from '../db/json';
import { evidence, learntLevain, withLearnt } from './evidence';
import { houseSettings } from './house';
import { formulaBodies, ingredientsAndFormulas, mixedShare } from './formulas';
import { schemeVersions } from './schemes';
import { type Db, rowsOf } from '../db/rows';
import type { ProductBody } from './product-versions';

/** A product version with its product. */
export interface ProductVersion extends ProductSpec {
  productId: number;
  doughName: string;
  /** Yeast of its formula, as instant, for a gram of dough ready to cut. */
  yeastShare: number;
  /** Of its formula and of what goes on and into a piece. */
  allergens: Allergen[];
  /** Ingredients of which nobody has said what they contain. */
  undeclared: string[];
}

interface ProductRow {
  versionId: number;
  productId: number;
  name: string;
  doughName: string;
  formulaVersionId: number;
  schemeVersionId: number | null;
  body: unknown;
}

const COLUMNS = `v.id AS versionId, p.id AS productId, p.name, p.dough_name AS doughName,
  v.formula_version_id AS formulaVersionId, v.scheme_version_id AS schemeVersionId, v.body`;

const NEWEST = `SELECT ${COLUMNS} FROM product p JOIN product_version v ON v.product_id = p.id
     WHERE v.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id) AND p.removed_at IS NULL
     ORDER BY p.name`;

async function known(db: Db, rows: ProductRow[]): Promise<ProductVersion[]> {
  const ids = [...new Set(rows.map(({ formulaVersionId }) => formulaVersionId))];
  const [formulas, schemes, learnt, book] = await Promise.all([
    formulaBodies(db, ids),
    schemeVersions(
      db,
      rows.flatMap(({ schemeVersionId }) => schemeVersionId ?? []),
    ),
    evidence(db, 'reference'),
    ingredientsAndFormulas(db),
  ]);
  const levain = learntLevain(await houseSettings(db), learnt);
  return rows.map(({ body, schemeVersionId, ...row }) => {
    const own = json<ProductBody>(body);
    const formula = formulas.get(row.formulaVersionId);
    const found = schemes.get(schemeVersionId ?? 0) ?? null;
    // The formula says what is weighed: card and sheet speak of one butter.
    const flourInFat = formula ? flourInRollIn(formula, book) : 0;
    const scheme = found && { ...found, scheme: { ...found.scheme, flourInFat } };
    const beside = formulasIn(own.piece).flatMap((id) => book.get(formulaRef(id)) ?? []);
    const yeast = formula ? shareOf(linesOf(formula), book, 'yeast') / percentOf(formula) : 0;
    const product = {
      ...row,
      ...own,
      scheme,
      // “Turn 2” of a product is the second turn of its scheme.
      route: { ...own.route, dough: laminate(own.route.dough, scheme?.scheme ?? null) },
      mixed: formula ? mixedShare(formula) : 1,
      rolledFat: formula ? rollInFat(formula, book) : ('butter-82' as const),
      yeastShare: yeast,
      undeclared: [
        ...(formula ? undeclaredIn(formula, book) : []),
        ...beside.flatMap(({ name, allergensUnknown }) => (allergensUnknown ? [name] : [])),
      ],
      allergens: inLabelOrder([
        ...(formula ? allergensOf(formula, book).map(({ allergen }) => allergen) : []),
        ...dressingAllergens(own.piece),
        ...beside.flatMap(({ allergens }) => allergens),
      ]),
    };
    return withLearnt(product, learnt, levain);
  });
}

/** The newest version of every product, its rises as they were set and not as they were learnt. */
export async function productsAsSet(
  db: Db,
): Promise<(Pick<ProductVersion, 'productId' | 'name' | 'rises'> & { laminated: boolean })[]> {
  const rows = await rowsOf<ProductRow>(db, NEWEST);
  return rows.map(({ productId, name, schemeVersionId, body }) => ({
    ...{ productId, name, rises: json<ProductBody>(body).rises },
    laminated: schemeVersionId !== null,
  }));
}

/** What can be planned: every product by name, with the steps that can be left out of a dough of it. */
export async function plannableProducts(
  db: Db,
): Promise<{ id: number; name: string; optional: OptionalStep[] }[]> {
  const rows = await rowsOf<ProductRow>(db, NEWEST);
  return rows.map(({ productId, name, body }) => ({
    ...{ id: productId, name, optional: optionalSteps(json<ProductBody>(body)) },
  }));
}

/** What a dough can be made of: every product by name. */
export function productNames(db: Db): Promise<{ id: number; name: string }[]> {
  return rowsOf(db, 'SELECT id, name FROM product WHERE removed_at IS NULL ORDER BY name');
}

/** The newest version of every product, by name; its rises take the times that the house has learnt. */
export async function currentProducts(db: Db): Promise<ProductVersion[]> {
  const rows = await rowsOf<ProductRow>(db, NEWEST);
  return known(db, rows);
}

/** These versions, by id. */
export async function productVersions(db: Db, ids: readonly number[]): Promise<Map<number, ProductVersion>> {
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<ProductRow>(
    db,
    `SELECT ${COLUMNS} FROM product_version v JOIN product p ON p.id = v.product_id WHERE v.id IN (?)`,
    [ids],
  );
  return new Map((await known(db, rows)).map((product) => [product.versionId, product]));
}

/** A product as it was set, to be edited: nothing learnt in it, and its route without the steps of its scheme. */
export async function productAsKept(
  db: Db,
  productId: number,
): Promise<(ProductBody & { formulaVersionId: number; schemeVersionId: number | null }) | null> {
  const rows = await rowsOf<ProductRow>(db, NEWEST);
  const row = rows.find((one) => one.productId === productId);
  if (!row) return null;
  const { formulaVersionId, schemeVersionId } = row;
  return { ...json<ProductBody>(row.body), formulaVersionId, schemeVersionId };
}

/** A product that nobody has kept yet, as it would be planned. */
export async function productToTry(
  db: Db,
  product: {
    name: string;
    doughName: string;
    formulaVersionId: number;
    schemeVersionId: number | null;
    body: ProductBody;
  },
): Promise<ProductVersion> {
  const [made] = await known(db, [{ ...product, versionId: 0, productId: 0 }]);
  return made as ProductVersion;
}
