import { coded } from '@/core/codes/coded';
import type { Pool } from 'mysql2/promise';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import type { Instant } from '@/core/time/local';
import type { ReaderUnits } from '@/core/units/reader';
import { hashPin } from '../auth/pin';
import { Refusal } from '../commands/command';
import { type Db, rowOf, transaction, write } from '../db/rows';

/**
 * The house itself, with nothing and nobody in it. Of two who open it at once, the second waits for the first.
 *
 * @returns whether it was opened: not where the database has one already
 */
export async function openHouse(
  db: Db,
  { name, zone, units }: { name: string; zone: string; units?: ReaderUnits },
): Promise<boolean> {
  const { touched } = await write(
    db,
    'INSERT IGNORE INTO house (id, name, time_zone, units) VALUES (1, ?, ?, ?)',
    [name, zone, units ? JSON.stringify(units) : null],
  );
  return touched === 1;
}

/**
 * Opens a bakery in an empty database: its first planner, the book of ingredients and the usual ways to laminate. Machines,
 * people and products are its own to add.
 *
 * @returns the planner's number
 * @throws {Refusal} where the database has a bakery already
 */
export function openBakery(
  pool: Pool,
  house: { name: string; zone: string; planner: string; pin: string; units?: ReaderUnits },
): Promise<number> {
  return transaction(pool, async (db) => {
    if (!(await openHouse(db, house))) {
      // As it is by now, not as it was when this began.
      const there = await rowOf<{ name: string }>(db, 'SELECT name FROM house LOCK IN SHARE MODE');
      throw new Refusal(coded('refusals.thisDatabaseHolds', { bakery: there?.name ?? '' }));
    }
    await keepUsualIngredients(db);
    await keepUsualSchemes(db, Date.now());
    const { id } = await write(
      db,
      "INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, 'planner', 'plan', ?, TRUE)",
      [house.planner, await hashPin(house.pin)],
    );
    return id;
  });
}

/** The ingredients that every bakery begins with. */
export async function keepUsualIngredients(db: Db): Promise<void> {
  await write(db, 'INSERT INTO ingredient (id, name, body) VALUES ?', [
    USUAL_INGREDIENTS.map(({ id, ...body }) => [id, body.name, JSON.stringify(body)]),
  ]);
}

/** The usual ways to laminate, in their first versions. */
export async function keepUsualSchemes(db: Db, at: Instant): Promise<void> {
  for (const { name, scheme } of USUAL_SCHEMES) {
    const { id } = await write(db, 'INSERT INTO scheme (name) VALUES (?)', [name]);
    await write(db, 'INSERT INTO scheme_version (scheme_id, version, body, created_at) VALUES (?, 1, ?, ?)', [
      id,
      JSON.stringify(scheme),
      new Date(at),
    ]);
  }
}
