import type { PoolConnection } from 'mysql2/promise';
import type { PlanVersion } from '@/core/floor/plan-history';
import { rowsOf, write, type SqlValue } from '../db/rows';
import { newestPlan } from '../queries/doughs';

/** Lets one planner act at a time: holds the bakery's row until the transaction ends. */
export async function lockPlan(db: PoolConnection): Promise<void> {
  await rowsOf(db, 'SELECT id FROM house WHERE id = 1 FOR UPDATE');
}

/** Who made a plan version, when and why. */
export interface Making {
  now: number;
  personId: number;
  reason: string;
  act?: PlanVersion['act'];
  ofVersion?: number;
  /** The dough that the act brought into the plan or took out of it. */
  dough?: { id: number; act: 'added' | 'removed' };
}

/** A step where it is from now on; a pin stays as it was where nothing is said. */
export interface Placed {
  doughId: number;
  key: string;
  start: number;
  end: number;
  pinned?: boolean;
}

/** Writes a new plan version: the last one, with these steps where they are now. */
export async function movePlan(
  db: PoolConnection,
  placed: readonly Placed[],
  { now, personId, reason, act = 'plan', ofVersion, dough }: Making,
): Promise<number> {
  const before = await newestPlan(db);
  const { id } = await write(
    db,
    `INSERT INTO plan_version (made_at, made_by, reason, act, before_id, of_version, dough_id, dough_act)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[new Date(now), personId, reason.slice(0, 200), act, before, ofVersion ?? null],
      ...[dough?.id ?? null, dough?.act ?? null],
    ],
  );
  await write(
    db,
    `INSERT INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at, pinned)
     SELECT ?, dough_id, step_key, start_at, end_at, pinned FROM planned_step WHERE plan_version_id = ?`,
    [id, before],
  );
  await place(db, id, placed);
  return id;
}

/** Puts steps into a plan version that has the one before it already. */
async function place(db: PoolConnection, version: number, placed: readonly Placed[]): Promise<void> {
  const row = ({ doughId, key, start, end, pinned = false }: Placed): SqlValue[] => {
    return [version, doughId, key, new Date(start), new Date(end), pinned];
  };
  const [said, unsaid] = [true, false].map((is) =>
    placed.filter(({ pinned }) => (pinned !== undefined) === is),
  );
  const put = async (rows: SqlValue[][], more: string) => {
    if (rows.length === 0) return;
    await write(
      db,
      `INSERT INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at, pinned) VALUES ?
       ON DUPLICATE KEY UPDATE start_at = VALUES(start_at), end_at = VALUES(end_at)${more}`,
      [rows],
    );
  };
  await put((unsaid ?? []).map(row), '');
  await put((said ?? []).map(row), ', pinned = VALUES(pinned)');
}
