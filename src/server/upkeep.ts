import type { Pool } from 'mysql2/promise';
import { thinReadings } from './commands/thin-readings';
import { pool } from './db/pool';
import { write, type SqlValue } from './db/rows';
import { log } from './log';
import { sumUpDays } from './place-hours';
import { houseNow } from './store/clock';

/** How often the house is cleared up, and how often a process looks whether it is due, ms. */
const EVERY_SECONDS = 3600;
const LOOK_EVERY = 5 * 60_000;
/** For how long each thing is of use. */
const KEPT = {
  /** A tablet that was away for longer asks for everything anew. */
  feedDays: 14,
  /** A tablet that was in a drawer for longer sends nothing that counts. */
  answersDays: 60,
  /** Plan versions that an undo may go back through, and as many again. */
  versions: 200,
  /** Proposals that nobody took. */
  proposalDays: 14,
};
/** Rows that are cleared away at one go, so that nobody waits for it. */
const AT_ONCE = 5_000;

/**
 * Clears away what is of no use any more: what was told, what was answered, times of plans that no undo reaches,
 * proposals for plans that are gone, readings that are old enough to be one a minute.
 */
export async function clearUp(db: Pool): Promise<void> {
  const limited = (sql: string, values: SqlValue[]) => write(db, `${sql} LIMIT ${AT_ONCE}`, values);
  await limited('DELETE FROM change_feed WHERE at < UTC_TIMESTAMP(3) - INTERVAL ? DAY', [KEPT.feedDays]);
  await limited('DELETE FROM command_done WHERE at < UTC_TIMESTAMP(3) - INTERVAL ? DAY', [KEPT.answersDays]);
  await limited('DELETE FROM guess WHERE at < UTC_TIMESTAMP(3) - INTERVAL ? DAY', [1]);
  await limited('DELETE FROM tablet_code WHERE made_at < UTC_TIMESTAMP(3) - INTERVAL ? DAY', [1]);
  await thinPlans(db);
  const now = await houseNow(db);
  await limited('DELETE FROM plan_proposal WHERE made_at < ? AND decision IS NULL', [
    new Date(now - KEPT.proposalDays * 24 * 3_600_000),
  ]);
  // Before they are thinned: an hour is summed up from what was really read.
  await sumUpDays(db, now);
  await thinReadings(db, now);
}

/** Lets go of times that held only in plan versions which no undo reaches. What stands is kept, of old doughs too. */
export async function thinPlans(db: Pool): Promise<number> {
  const { touched } = await write(
    db,
    `DELETE FROM planned_step
     WHERE until_version <= (SELECT CAST(MAX(id) AS SIGNED) - ? FROM plan_version) LIMIT ${AT_ONCE}`,
    [KEPT.versions],
  );
  return touched;
}

/** True for the one process that has this hour's work. */
async function isDue(db: Pool): Promise<boolean> {
  const { touched } = await write(
    db,
    `INSERT INTO upkeep (work, at) VALUES ('clear-up', UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE at = IF(at < UTC_TIMESTAMP(3) - INTERVAL ? SECOND, UTC_TIMESTAMP(3), at)`,
    [EVERY_SECONDS],
  );
  return touched > 0;
}

/** Clears up once an hour from now on, in one of the house's processes. */
export function keepClear(): void {
  const look = async () => {
    try {
      if (await isDue(pool())) await clearUp(pool());
    } catch (error) {
      log.warn({ err: error }, 'clearing up failed');
    }
  };
  setInterval(() => void look(), LOOK_EVERY).unref();
  setTimeout(() => void look(), 30_000).unref();
}
