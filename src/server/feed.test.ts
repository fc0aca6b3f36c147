import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../test-support/demo-house';
import { openSession } from '../../test-support/session';
import { noteChange } from './store/changes';
import { transaction, write } from './db/rows';
import { keepDemoTime, resumeDemoClock } from './demo/clock';
import { hasRoom, listening, MOST_LISTENERS, newestChange, type News, onChange } from './feed';
import { clockSetting, houseNow } from './store/clock';

let house: Awaited<ReturnType<typeof demoHouse>>;
let session: number;
beforeAll(async () => {
  house = await demoHouse();
  session = await openSession(house.pool, house.person('Jonas').id);
}, 120_000);
afterAll(() => house.close());

const change = () => transaction(house.pool, (db) => noteChange(db, { command: 'test' }));

/** A screen that writes down what it is told. */
function screen(sessionId = session) {
  const heard: News[] = [];
  const state = { over: false };
  const stop = onChange({
    sessionId,
    tell: (news) => heard.push(news),
    end: () => (state.over = true),
  });
  return { heard, state, stop };
}

describe('the feed of changes', () => {
  it('tells every listener of what any process has written, and nobody who has left', async () => {
    const [one, other] = [screen(), screen()];
    await change();
    const first = await newestChange();
    await expect.poll(() => [one, other].map(({ heard }) => heard.at(-1)?.cursor)).toEqual([first, first]);
    other.stop();
    await change();
    await expect.poll(() => one.heard.at(-1)?.cursor).toBe(await newestChange());
    expect(other.heard.at(-1)?.cursor).toBe(first);
    one.stop();
    expect(listening()).toBe(0);
  });

  it('tells each change once in the order of their numbers, though many are committed at once and some late', async () => {
    const { heard, stop } = screen();
    const before = await newestChange();
    const slow = (i: number) =>
      transaction(house.pool, async (db) => {
        // Whoever began first is the last to be done.
        await write(db, 'DO SLEEP(?)', [(40 - i) / 100]);
        await noteChange(db, { command: `slow-${i}` });
        if (i % 7 === 0) await write(db, 'DO SLEEP(?)', [0.05]);
      });
    await Promise.all(Array.from({ length: 40 }, (_, i) => slow(i)));
    await expect.poll(() => heard.at(-1)?.cursor).toBe(before + 40);
    stop();
    const cursors = heard.map(({ cursor }) => cursor);
    expect(cursors).toEqual([...cursors].sort((a, b) => a - b));
  });

  it('never shows a number before all numbers below it', async () => {
    const start = await newestChange();
    let gaps = 0;
    let done = false;
    const look = async () => {
      while (!done) {
        const [rows] = await house.pool.query('SELECT id FROM change_feed WHERE id > ? ORDER BY id', [start]);
        const ids = (rows as { id: number }[]).map(({ id }) => id);
        if (ids.some((id, i) => id !== start + 1 + i)) gaps++;
      }
    };
    const looking = look();
    await Promise.all(Array.from({ length: 200 }, () => change()));
    done = true;
    await looking;
    expect(await newestChange()).toBe(start + 200);
    expect(gaps).toBe(0);
  });

  it('ends for a session that is over, before it is told anything more', async () => {
    const ended = await openSession(house.pool, house.person('Ida').id);
    const { heard, state, stop } = screen(ended);
    const other = screen();
    await change();
    await expect.poll(() => heard.length).toBe(1);
    await write(house.pool, 'UPDATE session SET ended_at = UTC_TIMESTAMP(3) WHERE id = ?', [ended]);
    await change();
    await expect.poll(() => other.heard.at(-1)?.cursor).toBe(await newestChange());
    expect(state.over).toBe(true);
    expect(heard).toHaveLength(1);
    stop();
    other.stop();
  });

  it('ends within seconds for a session that is over, though nothing changes', async () => {
    const ended = await openSession(house.pool, house.person('Ida').id);
    const { state, stop } = screen(ended);
    await write(house.pool, 'UPDATE session SET ended_at = UTC_TIMESTAMP(3) WHERE id = ?', [ended]);
    await expect.poll(() => state.over, { timeout: 15_000 }).toBe(true);
    stop();
  });

  it('has room for so many screens of one session and no more', () => {
    const screens = Array.from({ length: MOST_LISTENERS.session }, () => screen());
    expect(hasRoom(session)).toBe(false);
    expect(hasRoom(session + 1)).toBe(true);
    screens.forEach(({ stop }) => stop());
    expect(hasRoom(session)).toBe(true);
  });
});

describe('the demo clock over a restart', () => {
  const set = (shown: Date, real: Date) =>
    write(house.pool, 'UPDATE demo_clock SET shown_at = ?, real_at = ?, rate = 1, paused = FALSE', [
      shown,
      real,
    ]);

  it('goes on from what it last showed, as if no time had passed', async () => {
    const shown = new Date('2026-11-19T03:10:00Z');
    await set(shown, new Date(Date.now() - 3_600_000));
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
