import type { Ingredient } from '@/core/formula/ingredient';
import { json } from '../db/json';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** The house's ingredients by name, without those that were taken out. */
export async function ingredients(db: Db): Promise<Ingredient[]> {
  const rows = await rowsOf<{ id: string; body: unknown }>(
    db,
    'SELECT id, body FROM ingredient WHERE removed_at IS NULL ORDER BY name',
  );
  return rows.map(({ id, body }) => ({ ...json<Omit<Ingredient, 'id'>>(body), id }));
}

/** Takes an ingredient out of use; false where it is in none. */
export async function markIngredientRemoved(db: Db, id: string, now: number): Promise<boolean> {
  const { touched } = await write(
    db,
    'UPDATE ingredient SET removed_at = ? WHERE id = ? AND removed_at IS NULL',
    [new Date(now), id],
  );
  return touched > 0;
}

/** Writes an ingredient down, or changes it; one that was out of use is in use again. */
export async function writeIngredient(db: Db, { id, ...body }: Ingredient): Promise<void> {
  await write(
    db,
    `INSERT INTO ingredient (id, name, body) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE name = VALUES(name), body = VALUES(body), removed_at = NULL`,
    [id, body.name, JSON.stringify(body)],
  );
}

/** An ingredient of this id, or else of this name, in use or not. */
export function ingredientLike(db: Db, name: string, id: string) {
  return rowOf<{ id: string; removed: number; body: unknown }>(
    db,
    'SELECT id, removed_at IS NOT NULL AS removed, body FROM ingredient WHERE name = ? OR id = ? ORDER BY id = ? DESC',
    [name, id, id],
  );
}
