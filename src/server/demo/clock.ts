import { adjusted } from '@/core/time/clock';
import { write, type Db } from '../db/rows';
import { clockSetting } from '../store/clock';

/**
 * Writes down what the demo's clock shows now. While the demo is off its time stands still, and after a crash it goes
 * on from the last time written.
 */
export async function keepDemoTime(db: Db): Promise<void> {
  const { shownAt, realAt } = adjusted(await clockSetting(db), Date.now(), {});
  await write(db, 'UPDATE demo_clock SET shown_at = ?, real_at = ? WHERE id = 1', [
    new Date(shownAt),
    new Date(realAt),
  ]);
}

/** Lets the clock go on from what it last showed; never from before the last thing that was recorded. */
export async function resumeDemoClock(db: Db): Promise<void> {
  await write(
    db,
    `UPDATE demo_clock SET real_at = ?,
       shown_at = GREATEST(shown_at, COALESCE((SELECT MAX(at) FROM floor_event), shown_at)) WHERE id = 1`,
    [new Date()],
  );
}
