import type { HandoverWords } from '@/core/shopfloor/handover-words';
import { type Db, rowsOf } from '../db/rows';

/** Words that nobody has read are shown for so long, days. */
const UNREAD_DAYS = 7;

/**
 * The last words of shifts, the newest first, with who has read them: so many, and all that nobody has read yet, however many
 * were written after them.
 */
export async function lastWords(db: Db, now: number, most = 3): Promise<HandoverWords[]> {
  const rows = await rowsOf<{ id: number; at: Date; by: string; words: string; readers: string | null }>(
    db,
    `SELECT h.id, h.at, p.name AS \`by\`, h.words,
       (SELECT GROUP_CONCAT(r.name ORDER BY hr.at SEPARATOR '\\n') FROM handover_read hr
        JOIN person r ON r.id = hr.person_id WHERE hr.handover_id = h.id) AS readers
     FROM handover h JOIN person p ON p.id = h.person_id
     WHERE h.id IN (SELECT id FROM (SELECT id FROM handover ORDER BY at DESC, id DESC LIMIT ?) newest)
       OR (h.at > ? AND NOT EXISTS (SELECT 1 FROM handover_read r WHERE r.handover_id = h.id))
     ORDER BY h.at DESC, h.id DESC`,
    [most, new Date(now - UNREAD_DAYS * 24 * 3_600_000)],
  );
  return rows.map(({ at, readers, ...row }) => ({
    ...row,
    at: at.getTime(),
    readBy: readers?.split('\n') ?? [],
  }));
}
