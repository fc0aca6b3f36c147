import { describe, expect, it } from 'vitest';
import { MINUTE } from '../time/local';
import { meanOf, roomCourse, type RoomOutlook, type Temperature } from './room-course';

const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const NONE: RoomOutlook = { told: [], outdoors: [], probe: [] };
const habit = { follows: 0.5, lag: 2 };
/** Noon of the second day. */
const NOON = DAY + 12 * HOUR;
const course = (known: Partial<RoomOutlook>, celsius = 24, now = NOON) =>
  roomCourse({ ...NONE, ...known }, { now, celsius, zone: 'UTC', habit });
const hourly = (from: number, count: number, celsius: (hour: number) => number): Temperature[] =>
  Array.from({ length: count }, (_, i) => ({ at: from + i * HOUR, celsius: celsius(i) }));
const at = (found: ReturnType<typeof course>, hour: number) =>
  found ? meanOf(found, NOON + hour * HOUR, NOON + (hour + 1) * HOUR) : NaN;

describe('the course of a room', () => {
  it('is nobody’s guess where nothing is known', () => expect(course({})).toBeNull());

  it('goes on as on the day before, from what the room has now', () => {
    // Warmest at four in the afternoon of every day, by 4 °C.
    const wave = (hour: number) => 22 + 4 * Math.cos(((hour - 16) / 12) * Math.PI);
    const probe = hourly(DAY - 14 * HOUR, 28, (i) => wave(i + 10));
    const found = course({ probe }, wave(12));
    expect(at(found, 4)).toBeCloseTo(wave(16.5), 0);
    expect(at(found, 16)).toBeCloseTo(wave(4.5), 0);
    // A day that is 3 °C warmer than the day before is so still in an hour, and not tomorrow.
    const warmer = course({ probe }, wave(12) + 3);
    expect(at(warmer, 0) - at(found, 0)).toBeGreaterThan(2.4);
    expect(at(warmer, 30) - at(found, 30)).toBeLessThan(0.1);
  });

  it('says nothing of hours that the probe was silent', () => {
    expect(course({ probe: hourly(DAY - 40 * HOUR, 3, () => 30) })).toBeNull();
  });

  it('follows the weather by the house’s share, and later', () => {
    const outdoors = hourly(NOON - 6 * HOUR, 60, (i) => (i < 10 ? 20 : 30));
    const found = course({ outdoors }, 23);
    expect(at(found, 0)).toBeCloseTo(23, 6);
    // 10 °C more outdoors from four o’clock on: half of that from six o’clock on.
    expect(at(found, 3)).toBeCloseTo(23, 6);
    expect(at(found, 8)).toBeCloseTo(28, 6);
  });

  it('is what was told of a day, coolest before dawn and warmest in the afternoon', () => {
    const told = [{ day: 2 * DAY + HOUR, coolest: 21, warmest: 31 }];
    const found = course({ told }, 24);
    expect(at(found, 16.5)).toBeCloseTo(21, 1);
    expect(at(found, 27.5)).toBeCloseTo(31, 1);
    const hours = (found?.hours ?? []).slice(13, 35);
    expect(Math.max(...hours)).toBeLessThanOrEqual(31);
    expect(Math.min(...hours)).toBeGreaterThanOrEqual(21);
    // Of today nothing was told: it stays as it is.
    expect(at(found, 5)).toBe(24);
  });

  it('believes what was told before the weather, and the weather before the day before', () => {
    const outdoors = hourly(NOON - 6 * HOUR, 70, () => 30);
    const probe = hourly(DAY - 24 * HOUR, 40, () => 18);
    const told = [{ day: 2 * DAY + HOUR, coolest: 26, warmest: 26 }];
    const all = course({ told, outdoors, probe });
    expect(at(all, 1)).toBeCloseTo(24, 6);
    expect(at(all, 20)).toBeCloseTo(26, 6);
    expect(at(course({ probe }), 20)).toBeLessThan(18.1);
  });
});

describe('the mean of a course', () => {
  const of = { from: 0, hours: [20, 24, 30] };
  it('weighs each hour by how long it counts', () => {
    expect(meanOf(of, 30 * MINUTE, 90 * MINUTE)).toBe(22);
    expect(meanOf(of, 0, 3 * HOUR)).toBeCloseTo(74 / 3, 9);
  });
  it('stays as it is before and after what is known', () => {
    expect(meanOf(of, -2 * HOUR, 0)).toBe(20);
    expect(meanOf(of, 5 * HOUR, 9 * HOUR)).toBe(30);
    expect(meanOf(of, HOUR, HOUR)).toBe(24);
  });
});
