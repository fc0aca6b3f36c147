import { type PlanVersion, undoable } from '@/core/schedule/plan-history';
import { keptWords } from '@/words/as-text';
import { type Db, rowsOf } from '../db/rows';

/** Versions that an undo may go back through. */
const REMEMBERED = 100;

/** The acts that undo and redo would take back or do again. */
export async function planHistory(db: Db): Promise<ReturnType<typeof undoable>> {
  const rows = await rowsOf<Omit<PlanVersion, 'reason'> & { reason: string }>(
    db,
    `SELECT id, act, of_version AS ofVersion, reason FROM plan_version WHERE before_id IS NOT NULL ORDER BY id DESC LIMIT ?`,
    [REMEMBERED],
  );
  return undoable(rows.reverse().map((row) => ({ ...row, reason: keptWords(row.reason) })));
}
