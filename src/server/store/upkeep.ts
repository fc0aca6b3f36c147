import { type Db, write } from '../db/rows';

/** How often the house is cleared up, s. */
const EVERY_SECONDS = 3600;
/** Rows that are cleared away at one go, so that nobody waits for it. */
const AT_ONCE = 5_000;

/** Takes the turn to clear up, where it is due; true for the one process that has it. */
export async function takeUpkeep(db: Db): Promise<boolean> {
  const { touched } = await write(
    db,
    `INSERT INTO upkeep (work, at) VALUES ('clear-up', UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE at = IF(at < UTC_TIMESTAMP(3) - INTERVAL ? SECOND, UTC_TIMESTAMP(3), at)`,
    [EVERY_SECONDS],
  );
  return touched > 0;
}

/** What is told or answered once, by when it was. */
const DATED = {
  change_feed: 'at',
  command_done: 'at',
  guess: 'at',
  tablet_code: 'made_at',
} as const;

/** Removes rows of a table that are older than so many days. */
export async function removeOlder(db: Db, table: keyof typeof DATED, days: number): Promise<void> {
  const older = `${DATED[table]} < UTC_TIMESTAMP(3) - INTERVAL ? DAY`;
  await write(db, `DELETE FROM ${table} WHERE ${older} LIMIT ${AT_ONCE}`, [days]);
}

/** Removes proposals of before a time that nobody decided. */
export async function removeOldProposals(db: Db, before: Date): Promise<void> {
  await write(db, `DELETE FROM plan_proposal WHERE made_at < ? AND decision IS NULL LIMIT ${AT_ONCE}`, [
    before,
  ]);
}

/** Removes times that held only in versions of the plan before the newest so many; gives how many rows went. */
export async function removeOldSteps(db: Db, versions: number): Promise<number> {
  const { touched } = await write(
    db,
    `DELETE FROM planned_step
     WHERE until_version <= (SELECT CAST(MAX(id) AS SIGNED) - ? FROM plan_version) LIMIT ${AT_ONCE}`,
    [versions],
  );
  return touched;
}
