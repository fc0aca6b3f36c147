import type { HandoverWords } from '@/core/shopfloor/handover-words';
import { type Db, rowsOf } from '../db/rows';

/** The last words of shifts, the newest first, with who has read them. */
export async function lastWords(db: Db, most = 3): Promise<HandoverWords[]> {
  const rows = await rowsOf<{ id: number; at: Date; by: string; words: string; readers: string | null }>(
    db,
    `SELECT h.id, h.at, p.name AS \`by\`, h.words,
       (SELECT GROUP_CONCAT(r.name ORDER BY hr.at SEPARATOR '\\n') FROM handover_read hr
        JOIN person r ON r.id = hr.person_id WHERE hr.handover_id = h.id) AS readers
     FROM handover h JOIN person p ON p.id = h.person_id ORDER BY h.at DESC, h.id DESC LIMIT ?`,
    [most],
  );
  return rows.map(({ at, readers, ...row }) => ({
    ...row,
    at: at.getTime(),
    readBy: readers?.split('\n') ?? [],
  }));
}
