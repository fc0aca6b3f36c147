import type { Ingredient } from '@/core/formula/ingredient';
import { rowsOf, type Db } from '../db/rows';
import { json } from '../db/json';

/** The house's ingredients by name, without those that were taken out. */
export async function ingredients(db: Db): Promise<Ingredient[]> {
  const rows = await rowsOf<{ id: string; body: unknown }>(
    db,
    'SELECT id, body FROM ingredient WHERE removed_at IS NULL ORDER BY name',
  );
  return rows.map(({ id, body }) => ({ ...json<Omit<Ingredient, 'id'>>(body), id }));
}
