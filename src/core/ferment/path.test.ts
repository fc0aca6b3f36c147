import { describe, expect, it } from 'vitest';
import { alongLegs, readiness, schoolLegs } from './path';
import { BAKERS_YEAST } from './rate';

const proof = { cardinal: BAKERS_YEAST, celsius: 26, minutes: 130 };
const window = { early: 0.85, late: 1.2 };
const places = { room: 21, cold: 4, proofer: 26 };
const settling = { room: 30, cold: 30, proofer: 20 };
const ready = (school: 'warm' | 'room' | 'overnight', at = places) =>
  readiness(proof, alongLegs(24, schoolLegs(school, at, settling)), window);

describe('a way through the bakery', () => {
  it('goes on from the temperature that the last leg has left', () => {
    const profile = alongLegs(24, [
      { celsius: 4, settling: 30, minutes: 60 },
      { celsius: 26, settling: 30, minutes: 90 },
    ]);
    expect(profile[0]).toEqual({ minute: 0, celsius: 24 });
    const coldest = profile.reduce((a, b) => (b.celsius < a.celsius ? b : a));
    expect(coldest.minute).toBeCloseTo(60, 6);
    expect(profile.at(-1)?.minute).toBe(150);
    for (let i = 1; i < profile.length; i++)
      expect(profile[i]?.minute).toBeGreaterThan(profile[i - 1]?.minute ?? 0);
  });
});

describe('the schools of the final proof', () => {
  it('take what bakers give them: two hours warm, longer in the room, the night and an hour or two', () => {
    const [warm, room, night] = [
      ready('warm').best ?? 0,
      ready('room').best ?? 0,
      ready('overnight').best ?? 0,
    ];
    expect(warm).toBeGreaterThan(120);
    expect(warm).toBeLessThan(150);
    expect(room).toBeGreaterThan(warm + 20);
    expect(night).toBeGreaterThan(630 + 30);
    expect(night).toBeLessThan(630 + 150);
  });

  it('are ready from earliest to latest', () => {
    const { earliest, best, latest } = ready('warm');
    expect(earliest).toBeLessThan(best ?? 0);
    expect(best).toBeLessThan(latest ?? 0);
  });

  it('have risen further by morning from a fridge at 7 °C than from one at 4', () => {
    const [cold, warmer] = [ready('overnight'), ready('overnight', { ...places, cold: 7 })];
    expect(warmer.best).toBeLessThan((cold.best ?? 0) - 15);
  });
});
