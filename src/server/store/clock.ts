import { machineClock, shownTime, type ClockSetting } from '@/core/time/clock';
import { rowsOf, type Db } from '../db/rows';

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
