import { json } from '../db/json';
import { type Db, rowsOf } from '../db/rows';

/** A step's times in a plan. */
export interface PlannedStep {
  doughId: number;
  key: string;
  start: number;
  end: number;
  pinned: boolean;
  /** Ids of the machines it is planned on, where it had a choice. */
  machines: string[];
  /** The plan version that put it there. */
  since: number;
}

interface Row {
  doughId: number;
  key: string;
  startAt: Date;
  endAt: Date;
  pinned: number;
  machines: unknown;
  since: number;
}

// By dough: nearly all times that were ever planned have no end, and the database takes them for few.
const COLUMNS = `SELECT dough_id AS doughId, step_key AS \`key\`, start_at AS startAt, end_at AS endAt, pinned,
  machines, since_version AS since FROM planned_step FORCE INDEX (PRIMARY)`;

const read = ({ startAt, endAt, pinned, machines, ...row }: Row): PlannedStep => ({
  ...row,
  ...{ start: startAt.getTime(), end: endAt.getTime(), pinned: pinned === 1 },
  machines: machines === null ? [] : json<string[]>(machines),
});

/** Number of the newest plan version; 0 when there is none. */
export async function newestPlan(db: Db): Promise<number> {
  const [row] = await rowsOf<{ id: number | null }>(db, 'SELECT MAX(id) AS id FROM plan_version');
  return row?.id ?? 0;
}

/** Times of these doughs' steps in the plan that stands. */
export async function stepsInPlan(db: Db, doughIds: readonly number[]): Promise<PlannedStep[]> {
  if (doughIds.length === 0) return [];
  const rows = await rowsOf<Row>(db, `${COLUMNS} WHERE until_version IS NULL AND dough_id IN (?)`, [
    doughIds,
  ]);
  return rows.map(read);
}

/** Times of these doughs' steps as plan version `version` had them; versions that no undo reaches are thinned out. */
export async function stepsInVersion(
  db: Db,
  version: number,
  doughIds: readonly number[],
): Promise<PlannedStep[]> {
  if (doughIds.length === 0) return [];
  const rows = await rowsOf<Row>(
    db,
    `${COLUMNS} WHERE dough_id IN (?) AND since_version <= ? AND (until_version IS NULL OR until_version > ?)`,
    [doughIds, version, version],
  );
  return rows.map(read);
}
