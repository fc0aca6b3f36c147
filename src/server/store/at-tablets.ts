import { OPEN_SESSION, SESSION_JOINED } from '../auth/session';
import { type Db, rowsOf } from '../db/rows';

/** Somebody whose session was not used for so long has left their tablet, minutes. */
const LEFT = 10;

/** People, by id, who are signed in and active at a tablet other than this one. */
export async function elsewhereAtTablets(db: Db, tabletId: number): Promise<number[]> {
  const rows = await rowsOf<{ id: number }>(
    db,
    `SELECT DISTINCT person.id FROM ${SESSION_JOINED}
     WHERE tablet.id <> ? AND NOT session.resting AND ${OPEN_SESSION}
       AND session.seen_at > UTC_TIMESTAMP(3) - INTERVAL ${LEFT} MINUTE ORDER BY person.id`,
    [tabletId],
  );
  return rows.map(({ id }) => id);
}
