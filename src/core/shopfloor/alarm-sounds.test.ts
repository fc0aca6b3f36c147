import { describe, expect, it } from 'vitest';
import { AGAIN, ALARM_SOUNDS, soundOf, TONES } from './alarm-sounds';

/** What an ear tells apart without knowing pitches: how many tones, whether they rise or fall, how fast they come. */
const shape = (sound: (typeof ALARM_SOUNDS)[number]) => {
  const tones = TONES[sound];
  const [first, last] = [tones[0]?.hertz ?? 0, tones.at(-1)?.hertz ?? 0];
  return `${tones.length} ${Math.sign(last - first)}`;
};

describe('alarm sounds', () => {
  it('are told apart by more than their pitch', () => {
    expect(new Set(ALARM_SOUNDS.map(shape)).size).toBe(ALARM_SOUNDS.length);
  });

  it('lie where older ears and a mixer leave them to be heard', () => {
    for (const { hertz, lasts } of ALARM_SOUNDS.flatMap((sound) => TONES[sound])) {
      expect(hertz).toBeGreaterThanOrEqual(300);
      expect(hertz).toBeLessThanOrEqual(1500);
      expect(lasts).toBeGreaterThan(0);
    }
  });

  it('are over before they come again', () => {
    for (const sound of ALARM_SOUNDS) {
      const end = Math.max(...TONES[sound].map(({ at, lasts }) => at + lasts));
      expect(end).toBeLessThan(AGAIN[sound]);
    }
  });

  it('call the oven soonest again, and what is fetched last', () => {
    expect(AGAIN.oven).toBeLessThan(AGAIN.rise);
    expect(AGAIN.rise).toBeLessThan(AGAIN.fetch);
    expect([soundOf('out'), soundOf('place'), soundOf('ready'), soundOf('wash')]).toEqual([...ALARM_SOUNDS]);
  });
});
