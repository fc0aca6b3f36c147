import type { Instant } from '@/core/time/local';
import { type Db, rowsOf, write } from '../db/rows';
import { FORMULAS } from './formulas';
import { type DemoProduct, PRODUCTS } from './products';

/** Products that a bakery may begin with, as the shelf shows them. */
export const BEGINNINGS: readonly Pick<DemoProduct, 'name' | 'doughName' | 'formula' | 'scheme'>[] = PRODUCTS;

/** All of them and their fillings, for the demo. */
export async function keepAllBeginnings(db: Db, at: Instant): Promise<void> {
  for (const name of Object.keys(FORMULAS)) await keepFormula(db, name, at);
  for (const product of PRODUCTS) await keepProduct(db, product, at);
}

/**
 * Makes a beginning the house's own: its formula and way to laminate, where the house has none of that name, and the product
 * in its first version.
 *
 * @returns the product's number, or null where there is no such beginning or the house has a product of that name
 */
export async function takeBeginning(db: Db, name: string, at: Instant): Promise<number | null> {
  const product = PRODUCTS.find((one) => one.name === name);
  const [twin] = await rowsOf<{ id: number }>(db, 'SELECT id FROM product WHERE name = ?', [name]);
  return product && !twin ? keepProduct(db, product, at) : null;
}

async function keepProduct(db: Db, product: DemoProduct, at: Instant): Promise<number> {
  const { name, doughName, formula, scheme, ...body } = product;
  const formulaVersion =
    (await newestVersion(db, 'formula', formula)) ?? (await keepFormula(db, formula, at));
  const schemeVersion = scheme === null ? null : await newestVersion(db, 'scheme', scheme);
  const { id } = await write(db, 'INSERT INTO product (name, dough_name) VALUES (?, ?)', [name, doughName]);
  await write(
    db,
    `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
     VALUES (?, 1, ?, ?, ?, ?)`,
    [id, formulaVersion, schemeVersion, JSON.stringify(body), new Date(at)],
  );
  return id;
}

async function newestVersion(db: Db, of: 'formula' | 'scheme', name: string): Promise<number | null> {
  const [row] = await rowsOf<{ id: number }>(
    db,
    `SELECT v.id FROM ${of}_version v JOIN ${of} o ON o.id = v.${of}_id WHERE o.name = ? ORDER BY v.version DESC LIMIT 1`,
    [name],
  );
  return row?.id ?? null;
}

/** The formula, and those that it is made with, which the house has by their names. */
async function keepFormula(db: Db, name: string, at: Instant): Promise<number> {
  const body = FORMULAS[name];
  if (!body) throw new Error(`No beginning has the formula ${name}.`);
  const { id } = await write(db, 'INSERT INTO formula (name) VALUES (?)', [name]);
  const version = await write(
    db,
    'INSERT INTO formula_version (formula_id, version, body, created_at) VALUES (?, 1, ?, ?)',
    [id, JSON.stringify(body), new Date(at)],
  );
  return version.id;
}
