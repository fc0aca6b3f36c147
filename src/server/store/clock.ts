import { type ClockSetting, machineClock, shownTime } from '@/core/time/clock';
import { type Db, rowsOf, write } from '../db/rows';

interface ClockRow {
  shown_at: Date;
  real_at: Date;
  rate: number;
  paused: number;
}

/** The house's clock: the demo's own where there is one, the machine's otherwise. */
export async function clockSetting(db: Db): Promise<ClockSetting> {
  const [row] = await rowsOf<ClockRow>(db, 'SELECT shown_at, real_at, rate, paused FROM demo_clock');
  if (!row) return machineClock(Date.now());
  const { shown_at, real_at, rate, paused } = row;
  return { demo: true, shownAt: shown_at.getTime(), realAt: real_at.getTime(), rate, paused: paused === 1 };
}

/** What time it is in the house. */
export async function houseNow(db: Db): Promise<number> {
  return shownTime(await clockSetting(db), Date.now());
}

/** Sets the demo's clock. */
export async function setDemoClock(
  db: Db,
  { shownAt, realAt, rate, paused }: { shownAt: number; realAt: number; rate: number; paused: boolean },
): Promise<void> {
  await write(db, 'UPDATE demo_clock SET shown_at = ?, real_at = ?, rate = ?, paused = ? WHERE id = 1', [
    ...[new Date(shownAt), new Date(realAt), rate, paused],
  ]);
}
