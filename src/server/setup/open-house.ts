import type { Pool } from 'mysql2/promise';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import type { Machine } from '@/core/bakery/machines';
import type { Instant } from '@/core/time/local';
import { hashPin } from '../auth/pin';
import { transaction, write, type Db } from '../db/rows';
import { FORMULAS } from './formulas';
import { MACHINES } from './machines';
import { PRODUCTS } from './products';

/** A house with its machines, and nobody in it. */
export async function openHouse(db: Db, { name, zone }: { name: string; zone: string }): Promise<void> {
  await write(db, 'INSERT INTO house (id, name, time_zone) VALUES (1, ?, ?)', [name, zone]);
  await keepMachines(db, MACHINES);
}

/** Gives a house machines, in this order, after those whose positions are lower than `from`. */
export async function keepMachines(db: Db, machines: readonly Machine[], from = 0): Promise<void> {
  await write(
    db,
    `INSERT INTO machine (id, kind, label, capacity, unit, changeover_minutes, decks, kg_least, kg_at_once, place_id, position)
     VALUES ?`,
    [
      machines.map(({ id, kind, label, capacity, unit, changeover, ...more }, i) => [
        ...[id, kind, label, capacity, unit, changeover, more.decks ?? 1],
        ...[more.kgLeast ?? null, more.kgAtOnce ?? null, more.place ?? null, from + i],
      ]),
    ],
  );
}

/** A new bakery in an empty database: a first planner, and the usual machines and products to begin with. */
export async function newHouse(
  pool: Pool,
  house: { name: string; zone: string; planner: string; pin: string },
): Promise<void> {
  await transaction(pool, async (db) => {
    await openHouse(db, house);
    await keepUsualIngredients(db);
    await keepUsualProducts(db, Date.now());
    await write(
      db,
      "INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, 'planner', 'plan', ?, TRUE)",
      [house.planner, await hashPin(house.pin)],
    );
  });
}

/** The ingredients that every bakery begins with. */
export async function keepUsualIngredients(db: Db): Promise<void> {
  await write(db, 'INSERT INTO ingredient (id, name, body) VALUES ?', [
    USUAL_INGREDIENTS.map(({ id, ...body }) => [id, body.name, JSON.stringify(body)]),
  ]);
}

/** The products that a bakery begins with, in their first versions. */
export async function keepUsualProducts(db: Db, at: Instant): Promise<void> {
  const versionOf = new Map<string, number>();
  for (const [name, body] of Object.entries(FORMULAS)) {
    const { id } = await write(db, 'INSERT INTO formula (name) VALUES (?)', [name]);
    const version = await write(
      db,
      'INSERT INTO formula_version (formula_id, version, body, created_at) VALUES (?, 1, ?, ?)',
      [id, JSON.stringify(body), new Date(at)],
    );
    versionOf.set(name, version.id);
  }
  const schemeOf = await keepUsualSchemes(db, at);
  for (const { name, doughName, formula, scheme, ...body } of PRODUCTS) {
    const { id } = await write(db, 'INSERT INTO product (name, dough_name) VALUES (?, ?)', [name, doughName]);
    await write(
      db,
      `INSERT INTO product_version (product_id, version, formula_version_id, scheme_version_id, body, created_at)
       VALUES (?, 1, ?, ?, ?, ?)`,
      [
        ...[id, versionOf.get(formula) ?? 0, scheme === null ? null : (schemeOf.get(scheme) ?? null)],
        ...[JSON.stringify(body), new Date(at)],
      ],
    );
  }
}

/** The usual lamination schemes; returns their first versions by name. */
async function keepUsualSchemes(db: Db, at: Instant): Promise<Map<string, number>> {
  const versions = new Map<string, number>();
  for (const { name, scheme } of USUAL_SCHEMES) {
    const { id } = await write(db, 'INSERT INTO scheme (name) VALUES (?)', [name]);
    const version = await write(
      db,
      'INSERT INTO scheme_version (scheme_id, version, body, created_at) VALUES (?, 1, ?, ?)',
      [id, JSON.stringify(scheme), new Date(at)],
    );
    versions.set(name, version.id);
  }
  return versions;
}
