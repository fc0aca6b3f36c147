import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../test-support/house';
import { write } from './db/rows';
import { keepDemoTime, resumeDemoClock } from './demo/clock';
import { newestChange, onChange } from './feed';
import { clockSetting, houseNow } from './queries/clock';

let house: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  house = await freshDatabase();
});
afterAll(() => house.close());
const change = () => write(house.pool, "INSERT INTO change_feed (at, command) VALUES (NOW(), 'test')", []);

describe('the feed of changes', () => {
  it('tells every listener of what any process has written, and nobody who has left', async () => {
    const heard: number[][] = [[], []];
    const stops = heard.map((list) => onChange(({ cursor }) => list.push(cursor)));
    const { id } = await change();
    await expect.poll(() => heard.map((list) => list.at(-1))).toEqual([id, id]);
    stops[1]?.();
    const { id: next } = await change();
    await expect.poll(() => heard[0]?.at(-1)).toBe(next);
    expect(heard[1]?.at(-1)).toBe(id);
    expect(await newestChange()).toBe(next);
    stops[0]?.();
  });
});

describe('the demo clock over a restart', () => {
  it('goes on from what it last showed, as if no time had passed', async () => {
    const shown = new Date('2026-11-19T03:10:00Z');
    const hourAgo = new Date(Date.now() - 3_600_000);
    await write(
      house.pool,
      'INSERT INTO demo_clock (id, shown_at, real_at, rate, paused) VALUES (1, ?, ?, 1, FALSE)',
      [shown, hourAgo],
    );
    await resumeDemoClock(house.pool);
    expect(Math.abs((await houseNow(house.pool)) - shown.getTime())).toBeLessThan(60_000);
  });

  it('keeps what it shows while it runs', async () => {
    await keepDemoTime(house.pool);
    const { shownAt, realAt } = await clockSetting(house.pool);
    expect(Math.abs(Date.now() - realAt)).toBeLessThan(60_000);
    expect(shownAt).toBeGreaterThanOrEqual(new Date('2026-11-19T03:10:00Z').getTime());
  });
});
