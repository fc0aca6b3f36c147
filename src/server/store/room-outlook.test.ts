import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { inEnglish } from '../../../test-support/words';
import { meanOf } from '@/core/climate/room-course';
import { dayOf } from '@/core/demand/orders';
import { addLocalDays, atLocalMinute, MINUTE } from '@/core/time/local';
import { runCommand } from '../commands/run';
import { saveReadings } from '../../../test-support/readings';
import { house as houseOf } from './house';
import { removeReadings } from './readings';
import { places, today } from './places';

const HOUR = 60 * MINUTE;
let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
}, 240_000);
afterAll(() => house.close());

const zone = async () => (await houseOf(house.pool)).zone;
const tell = (day: string, expected: unknown, place = 'bakery') =>
  runCommand('tell-room-day', house.person('Jonas'), { place, day, expected });
/** What the room is expected to have tomorrow at an hour of the day. */
async function tomorrowAt(hour: number): Promise<number> {
  const { bakery } = await today(house.pool);
  const at = atLocalMinute(addLocalDays(await house.now(), 1, await zone()), hour * 60, await zone());
  return bakery?.course ? meanOf(bakery.course, at, at + HOUR) : NaN;
}
const bakery = async () => (await places(house.pool, await house.now())).find(({ id }) => id === 'bakery');

describe('a value that somebody typed', () => {
  it('outlasts the next readings of the probe for the house’s time, and says so', async () => {
    await ok(runCommand('tell-place', house.person('Jonas'), { place: 'bakery', celsius: 27 }));
    await house.later(5);
    await saveReadings(house.pool, 'bakery', [[await house.now(), 22.4]]);
    const told = await bakery();
    expect(told?.reading).toMatchObject({ celsius: 27, source: 'typed', by: 'Jonas' });
    expect(inEnglish(told?.remark ?? '')).toBe('The entered value applies for now; the probe reads 22.4 °C.');
    await house.later(60);
    await saveReadings(house.pool, 'bakery', [[await house.now(), 22.6]]);
    expect((await bakery())?.reading).toMatchObject({ celsius: 22.6, source: 'probe' });
  });
});

describe('the days ahead of a room', () => {
  it('go as the day before, from its probe', async () => {
    const now = await house.now();
    await removeReadings(house.pool, new Date(now + HOUR));
    const day = Array.from({ length: 28 }, (_, i): [number, number] => {
      const at = now - (28 - i) * HOUR;
      return [at, 24 + 5 * Math.sin((at / (24 * HOUR)) * 2 * Math.PI)];
    });
    await saveReadings(house.pool, 'bakery', day);
    const course = (await today(house.pool)).bakery?.course;
    expect(Math.max(...(course?.hours ?? []))).toBeGreaterThan(27);
    expect(Math.min(...(course?.hours ?? []))).toBeLessThan(21);
    // What is kept cold has none.
    expect((await today(house.pool)).retarder?.course).toBeUndefined();
  });

  it('follow the weather of a file', async () => {
    const now = await house.now();
    const hours = Array.from({ length: 60 }, (_, i) => {
      return { at: now + (i - 6) * HOUR, celsius: i < 12 ? 15 : 35 };
    });
    await ok(runCommand('take-weather', house.person('Jonas'), { hours }));
    const { bakery: room } = await today(house.pool);
    // 20 °C more outdoors, half of which is felt.
    expect(await tomorrowAt(12)).toBeCloseTo((room?.celsius ?? 0) + 10, 0);
    expect(
      (await refusal(runCommand('take-weather', house.person('Jonas'), { hours: [] }))).message,
    ).toContain('no hours');
  });

  it('are as somebody tells them, and waits of those hours are worked out with it', async () => {
    const day = dayOf(addLocalDays(await house.now(), 1, await zone()), await zone());
    await ok(tell(day, { coolest: 24, warmest: 33 }));
    expect(await tomorrowAt(16)).toBeCloseTo(33, 0);
    expect(await tomorrowAt(5)).toBeCloseTo(24, 0);
    await ok(tell(day, { coolest: 19, warmest: 20 }));
    expect(await tomorrowAt(16)).toBeCloseTo(20, 0);
    await ok(tell(day, null));
    expect(await tomorrowAt(16)).toBeGreaterThan(25);
  });

  it('are not told of another day, another place, or the wrong way round', async () => {
    const day = dayOf(await house.now(), await zone());
    expect((await refusal(tell('2026-02-31', { coolest: 20, warmest: 30 }))).field).toBe('day');
    expect((await refusal(tell('2031-01-01', { coolest: 20, warmest: 30 }))).field).toBe('day');
    expect((await refusal(tell(day, { coolest: 31, warmest: 30 }))).message).toContain('above the warmest');
    expect((await refusal(tell(day, { coolest: 20, warmest: 80 }))).field).toBe('expected.warmest');
    expect((await refusal(tell(day, { coolest: 2, warmest: 5 }, 'retarder'))).field).toBe('place');
    expect((await refusal(tell(day, { warmest: 30 }))).message).toContain('temperature');
  });
});
