import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse, probeRequest } from '../../../test-support/demo-house';
import { takeReadings } from '../intake/readings';
import { sumUpDays } from './place-hours';
import { placeCurve } from './place-curve';
import { write } from '../db/rows';

const DAY = 24 * 3_600_000;
let house: Awaited<ReturnType<typeof demoHouse>>;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  now = await house.now();
  await write(house.pool, 'DELETE FROM place_reading', []);
  await write(
    house.pool,
    `INSERT INTO place_reading (place, at, celsius, humidity)
     SELECT 'proofer', FROM_UNIXTIME(? - seq * 1200), 25 + seq % 4, 70 + seq % 9 FROM seq_1_to_2100`,
    [Math.floor(now / 1000)],
  );
}, 120_000);
afterAll(() => house.close());

const month = () => placeCurve(house.pool, 'proofer', now - 31 * DAY, now);
const rounded = async () =>
  (await month()).map(({ at, celsius, lowest, highest }) => [at, Math.round(celsius * 10), lowest, highest]);

describe('days that are summed up by the hour', () => {
  it('give the same curve of a month as all readings one by one, but for where a point ends', async () => {
    const before = await month();
    const [one, other] = await Promise.all([sumUpDays(house.pool, now), sumUpDays(house.pool, now)]);
    expect(Math.max(one, other)).toBeGreaterThan(25);
    expect(await sumUpDays(house.pool, now)).toBe(0);
    const after = await month();
    expect(Math.abs(after.length - before.length)).toBeLessThanOrEqual(1);
    const mean = (curve: typeof after) => curve.reduce((sum, { celsius }) => sum + celsius, 0) / curve.length;
    expect(mean(after)).toBeCloseTo(mean(before), 1);
    const span = (curve: typeof after) => [
      Math.min(...curve.map(({ lowest }) => lowest)),
      Math.max(...curve.map(({ highest }) => highest)),
    ];
    expect(span(after)).toEqual(span(before));
    expect(after.at(-1)).toEqual(before.at(-1));
  });

  it('are shown with what came late at once, and summed up anew', async () => {
    const at = now - 5 * DAY + 7 * 60_000;
    const readings = [{ place: 'proofer', celsius: 39, at }];
    expect((await takeReadings(probeRequest({ readings }))).status).toBe(200);
    const shown = await rounded();
    expect(shown.some(([, , , highest]) => highest === 39)).toBe(true);
    expect(await sumUpDays(house.pool, now)).toBe(1);
    expect((await rounded()).some(([, , , highest]) => highest === 39)).toBe(true);
  });
});
