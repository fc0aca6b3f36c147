import type { Pool } from 'mysql2/promise';
import { type PlaceSpan } from '@/core/climate/curve';
import { thinReadings } from '@/server/commands/thin-readings';
import { calls } from '@/server/store/calls';
import { newestReadings } from '@/server/store/newest-readings';
import { places } from '@/server/store/places';
import { placeRecord } from '@/server/store/place-curve';

const DAY = 24 * 3_600_000;
/** A reading every ten seconds as long as they are kept one by one, one a minute for the rest of the year. */
const RAW = { days: 31, seconds: 10 };
const YEAR = 365;

/** A year of ten probes: the seven places of the house, its needles, and one more. */
export async function fillProbes(pool: Pool, now: number): Promise<number> {
  await pool.query(
    `INSERT IGNORE INTO place (id, label, kind, usual, lowest, highest, position, alarm_high)
     VALUES ('cellar', 'Cellar', 'room', 12, -5, 40, 9, 25)`,
  );
  const [known] = await pool.query('SELECT id, usual FROM place');
  let rows = 0;
  for (const { id, usual } of known as { id: string; usual: number }[]) {
    const raw = Math.round((RAW.days * DAY) / (RAW.seconds * 1000));
    const [one] = await pool.query(
      `INSERT IGNORE INTO place_reading (place, at, celsius)
       SELECT ?, FROM_UNIXTIME(? - seq * ?), ? + SIN(seq / 90) FROM seq_1_to_${raw}`,
      [id, Math.floor(now / 1000), RAW.seconds, usual],
    );
    const [two] = await pool.query(
      `INSERT IGNORE INTO place_minute (place, minute, celsius, lowest, highest)
       SELECT ?, FROM_UNIXTIME((? DIV 60 - seq) * 60), ? + SIN(seq / 15), ? - 1, ? + 1
       FROM seq_${RAW.days * 1440 + 1}_to_${YEAR * 1440}`,
      [id, Math.floor(now / 1000), usual, usual, usual],
    );
    rows += (one as { affectedRows: number }).affectedRows + (two as { affectedRows: number }).affectedRows;
  }
  return rows;
}

/** What is asked of all these readings. */
export function readingsWork(
  pool: Pool,
  now: number,
): { what: string; wanted: string; work: () => Promise<unknown> }[] {
  const curve = (span: PlaceSpan) => ({
    what: `a year of ten probes: the curve of a ${span}`,
    wanted: '',
    work: () => placeRecord(pool, 'retarder', span, now),
  });
  return [
    { what: 'a year of ten probes: temperatures now', wanted: '', work: () => places(pool, now) },
    {
      what: 'a year of ten probes: alarms of places',
      wanted: '',
      work: async () => calls(pool, now, await newestReadings(pool, now)),
    },
    { what: 'a year of ten probes: nothing to thin', wanted: '', work: () => thinReadings(pool, now) },
    ...(['day', 'week', 'month', 'year'] as const).map(curve),
  ];
}
