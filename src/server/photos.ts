import { coded } from '@/core/codes/coded';
import type { Person } from '@/core/bakery/people';
import { Refusal } from './commands/command';
import { noteChange } from './changes';
import { insertOnce, rowsOf, transaction, type Db } from './db/rows';
import { pool } from './db/pool';
import { houseNow } from './store/clock';

/** Largest photo that is taken, bytes; the application makes them smaller where they are taken. */
export const LARGEST_PHOTO = 1_500_000;
/** Photos of one dough that are kept. */
const MOST_OF_A_DOUGH = 40;

/** What a photo shows: a dough, or one of its steps; `id` is made on the tablet. */
export interface PhotoOf {
  id: string;
  doughId: number;
  stepKey: string | null;
}

/** A photo that was kept. */
export interface Photo extends PhotoOf {
  at: number;
  by: string;
}

type Type = 'image/jpeg' | 'image/png' | 'image/webp';

/** The kind of picture that bytes are, by how they begin, whatever their name says; null where they are none. */
export function pictureType(bytes: Uint8Array): Type | null {
  const begins = (at: number, ...wanted: number[]) => wanted.every((byte, i) => bytes[at + i] === byte);
  if (begins(0, 0xff, 0xd8, 0xff)) return 'image/jpeg';
  if (begins(0, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'image/png';
  if (begins(0, 0x52, 0x49, 0x46, 0x46) && begins(8, 0x57, 0x45, 0x42, 0x50)) return 'image/webp';
  return null;
}

/** Keeps a photo; the same id again changes nothing. Refuses what is no picture, and more than a dough can have. */
export async function keepPhoto(person: Person, { id, doughId, stepKey }: PhotoOf, bytes: Uint8Array) {
  const type = pictureType(bytes);
  if (!type) throw new Refusal(coded('refusals.thisFileIsNoPictureJPEG'), 'photo');
  return transaction(pool(), async (db) => {
    const [dough] = await rowsOf<{ photos: number }>(
      db,
      'SELECT (SELECT COUNT(*) FROM photo WHERE dough_id = dough.id) AS photos FROM dough WHERE id = ?',
      [doughId],
    );
    if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotThere'), 'doughId');
    if (dough.photos >= MOST_OF_A_DOUGH)
      throw new Refusal(
        coded('refusals.photosOfOneDoughAreEnough', { MOSTOFADOUGH: MOST_OF_A_DOUGH }),
        'photo',
      );
    const kept = await insertOnce(db, 'photo', {
      ...{ id, dough_id: doughId, step_key: stepKey, at: new Date(await houseNow(db)), person_id: person.id },
      ...{ type, bytes: Buffer.from(bytes) },
    });
    if (kept) await noteChange(db, { command: 'photo', doughId });
    return { kept };
  });
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
export async function photoBytes(db: Db, id: string): Promise<{ type: Type; bytes: Buffer } | null> {
  const [row] = await rowsOf<{ type: Type; bytes: Buffer }>(
    db,
    'SELECT type, bytes FROM photo WHERE id = ?',
    [id],
  );
  return row ?? null;
}
