import type { Pool } from 'mysql2/promise';
import { thinReadings } from './commands/thin-readings';
import { pool } from './db/pool';
import { log } from './log';
import { batchSummaries } from './store/batch-summaries';
import { sumUpDays } from './store/place-hours';
import { houseNow } from './store/clock';
import { keepPastOrders } from './store/past-orders';
import { removeOlder, removeOldProposals, removeOldSteps, takeUpkeep } from './store/upkeep';

const DAY = 24 * 3_600_000;
const LOOK_EVERY = 5 * 60_000;
/** For how long each thing is of use. */
const KEPT = {
  /** A tablet that was away for longer asks for everything anew. */
  feedDays: 14,
  /** A tablet that was in a drawer for longer sends nothing that counts. */
  answersDays: 60,
  /** Plan versions that an undo may go back through, and as many again. */
  versions: 200,
  /** Batches of so long ago are put into numbers before anybody asks. */
  summaryDays: 366,
  /** Proposals that nobody took. */
  proposalDays: 14,
};
/** Batches that are put into numbers in one go. */
const SUMMARISED = 400;

/**
 * Clears away what is of no use any more: what was told, what was answered, times of plans that no undo reaches,
 * proposals for plans that are gone, readings that are old enough to be one a minute.
 */
export async function clearUp(db: Pool): Promise<void> {
  await removeOlder(db, 'change_feed', KEPT.feedDays);
  await removeOlder(db, 'command_done', KEPT.answersDays);
  await removeOlder(db, 'guess', 1);
  await removeOlder(db, 'tablet_code', 1);
  await thinPlans(db);
  const now = await houseNow(db);
  await removeOldProposals(db, new Date(now - KEPT.proposalDays * DAY));
  await keepPastOrders(db, now);
  await batchSummaries(db, { from: now - KEPT.summaryDays * DAY, to: now }, { now, most: SUMMARISED });
  // Before they are thinned: an hour is summed up from what was really read.
  await sumUpDays(db, now);
  await thinReadings(db, now);
}

/** Lets go of times that held only in plan versions which no undo reaches. What stands is kept, of old doughs too. */
export function thinPlans(db: Pool): Promise<number> {
  return removeOldSteps(db, KEPT.versions);
}

/** Clears up once an hour from now on, in one of the house's processes. */
export function keepClear(): void {
  const look = async () => {
    try {
      if (await takeUpkeep(pool())) await clearUp(pool());
    } catch (error) {
      log.warn({ err: error }, 'clearing up failed');
    }
  };
  setInterval(() => void look(), LOOK_EVERY).unref();
  setTimeout(() => void look(), 30_000).unref();
}
