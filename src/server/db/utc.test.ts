import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse, probeRequest } from '../../../test-support/demo-house';
import { MINUTE } from '@/core/time/local';
import { takeReadings } from '../intake/readings';
import { thinReadings } from '../commands/thin-readings';
import { rowsOf, transaction, write } from './rows';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
}, 120_000);
afterAll(() => house.close());

/** When the clocks of the server's own zone change: to winter and to summer time. */
const CHANGES = { winter: Date.UTC(2026, 9, 25, 1), summer: Date.UTC(2027, 2, 28, 1) };
const HOURS = 4;
const setClock = (at: number) => write(house.pool, 'UPDATE demo_clock SET shown_at = ?', [new Date(at)]);

describe('a database server whose own zone is not UTC', () => {
  it('is what these tests run on', async () => {
    const [row] = await rowsOf<{ own: string; session: string; apart: number }>(
      house.pool,
      `SELECT @@system_time_zone AS own, @@session.time_zone AS session,
         TIMESTAMPDIFF(MINUTE, NOW(), UTC_TIMESTAMP()) AS apart`,
    );
    expect(row).toMatchObject({ session: '+00:00', apart: 0 });
    expect(row?.own).not.toMatch(/^(UTC|GMT)$/);
  });

  it('has every connection speak UTC, those of transactions and of new ones under load too', async () => {
    const zones = await Promise.all(
      Array.from({ length: 30 }, () =>
        transaction(house.pool, async (db) => {
          await write(db, 'DO SLEEP(0.02)', []);
          return rowsOf<{ zone: string }>(db, 'SELECT @@session.time_zone AS zone');
        }),
      ),
    );
    expect(new Set(zones.flat().map(({ zone }) => zone))).toEqual(new Set(['+00:00']));
  });

  it.each(Object.entries(CHANGES))('keeps every reading across the change to %s time', async (_, change) => {
    const from = change - (HOURS / 2) * 60 * MINUTE;
    await setClock(from + HOURS * 60 * MINUTE);
    const times = Array.from({ length: HOURS * 60 }, (_unused, i) => from + i * MINUTE);
    for (let i = 0; i < times.length; i += 60) {
      const readings = times.slice(i, i + 60).map((at) => ({ place: 'retarder', celsius: 4, at }));
      expect((await takeReadings(probeRequest({ readings }))).status).toBe(200);
    }
    const stored = async (table: 'place_reading' | 'place_minute', column: 'at' | 'minute') => {
      const rows = await rowsOf<{ at: Date }>(
        house.pool,
        `SELECT ${column} AS at FROM ${table} WHERE place = 'retarder' AND ${column} >= ? AND ${column} < ? ORDER BY 1`,
        [new Date(from), new Date(from + HOURS * 60 * MINUTE)],
      );
      return rows.map(({ at }) => at.getTime());
    };
    expect(await stored('place_reading', 'at')).toEqual(times);
    // Thinned to one a minute, they are as many, at their own minutes.
    const later = from + 40 * 24 * 60 * MINUTE;
    while ((await transaction(house.pool, (db) => thinReadings(db, later))) > 0);
    expect(await stored('place_minute', 'minute')).toEqual(times);
  });
});
