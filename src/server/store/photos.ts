import { type Db, rowOf, rowsOf } from '../db/rows';

/** What a photo shows: a dough, or one of its steps; `id` is made on the tablet. */
export interface PhotoOf {
  id: string;
  doughId: number;
  stepKey: string | null;
  /** When it was taken; null: now. */
  at: number | null;
}

/** A photo that was kept. */
export interface Photo extends PhotoOf {
  at: number;
  by: string;
}

/** The kinds of picture that are kept. */
export type PictureType = 'image/jpeg' | 'image/png' | 'image/webp';

/** How many photos a dough has; nothing where there is no such dough. */
export function photosOfDough(db: Db, doughId: number) {
  return rowOf<{ photos: number }>(
    db,
    'SELECT (SELECT COUNT(*) FROM photo WHERE dough_id = dough.id) AS photos FROM dough WHERE id = ?',
    [doughId],
  );
}

/** The photos of a dough, oldest first, without their bytes. */
export async function photosOf(db: Db, doughId: number): Promise<Photo[]> {
  const rows = await rowsOf<Omit<Photo, 'at'> & { at: Date }>(
    db,
    `SELECT photo.id, dough_id AS doughId, step_key AS stepKey, at, person.name AS \`by\`
     FROM photo JOIN person ON person.id = photo.person_id WHERE dough_id = ? ORDER BY at`,
    [doughId],
  );
  return rows.map(({ at, ...row }) => ({ ...row, at: at.getTime() }));
}

/** One photo's bytes, or null. */
export async function photoBytes(db: Db, id: string): Promise<{ type: PictureType; bytes: Buffer } | null> {
  const [row] = await rowsOf<{ type: PictureType; bytes: Buffer }>(
    db,
    'SELECT type, bytes FROM photo WHERE id = ?',
    [id],
  );
  return row ?? null;
}
