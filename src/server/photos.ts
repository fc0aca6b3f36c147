import { coded } from '@/core/codes/coded';
import type { Person } from '@/core/bakery/people';
import { Refusal } from './commands/command';
import { noteChange } from './store/changes';
import { insertOnce, transaction } from './db/rows';
import { pool } from './db/pool';
import { houseNow } from './store/clock';
import { type PhotoOf, photosOfDough, type PictureType } from './store/photos';

/** Largest photo that is taken, bytes; the application makes them smaller where they are taken. */
export const LARGEST_PHOTO = 1_500_000;
/** So long a photo can have waited on a tablet, ms. */
const WAITED = 14 * 24 * 3_600_000;
/** Photos of one dough that are kept. */
const MOST_OF_A_DOUGH = 40;

/** The kind of picture that bytes are, by how they begin, whatever their name says; null where they are none. */
export function pictureType(bytes: Uint8Array): PictureType | null {
  const begins = (at: number, ...wanted: number[]) => wanted.every((byte, i) => bytes[at + i] === byte);
  if (begins(0, 0xff, 0xd8, 0xff)) return 'image/jpeg';
  if (begins(0, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'image/png';
  if (begins(0, 0x52, 0x49, 0x46, 0x46) && begins(8, 0x57, 0x45, 0x42, 0x50)) return 'image/webp';
  return null;
}

/** Keeps a photo; the same id again changes nothing. Refuses what is no picture, and more than a dough can have. */
export async function keepPhoto(person: Person, { id, doughId, stepKey, at }: PhotoOf, bytes: Uint8Array) {
  const type = pictureType(bytes);
  if (!type) throw new Refusal(coded('refusals.thisFileIsNoPictureJPEG'), 'photo');
  return transaction(pool(), async (db) => {
    const dough = await photosOfDough(db, doughId);
    if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotThere'), 'doughId');
    if (dough.photos >= MOST_OF_A_DOUGH)
      throw new Refusal(
        coded('refusals.photosOfOneDoughAreEnough', { MOSTOFADOUGH: MOST_OF_A_DOUGH }),
        'photo',
      );
    const now = await houseNow(db);
    // It may have waited on a tablet for days; what a wrong clock says of it is not believed.
    const taken = at !== null && at <= now && at > now - WAITED ? at : now;
    const kept = await insertOnce(db, 'photo', {
      ...{ id, dough_id: doughId, step_key: stepKey, at: new Date(taken), person_id: person.id },
      ...{ type, bytes: Buffer.from(bytes) },
    });
    if (kept) await noteChange(db, { command: 'photo', doughId });
    return { kept };
  });
}
