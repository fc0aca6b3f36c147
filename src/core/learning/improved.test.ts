import { describe, expect, it } from 'vitest';
import { chanceOf } from '../double/chance';
import { improvement } from './improved';
import type { WaitVerdict } from './verdicts';

const right = (minutes: number): WaitVerdict => ({ minutes, verdict: 'right' });

describe('what a learnt time was good for', () => {
  it('is how much nearer it came to the waits that looked right', () => {
    const chance = chanceOf('house', 5);
    const slow = Array.from({ length: 20 }, () => right(144 * chance.factor(0.05)));
    const gain = improvement(120, slow);
    expect(gain?.learnt).toBeGreaterThan(135);
    expect(gain?.offWritten).toBeGreaterThan(18);
    expect(gain?.offLearnt).toBeLessThan((gain?.offWritten ?? 0) / 2);
    expect(gain).toMatchObject({ written: 120, tried: 17 });
  });

  it('is tried only on what comes after, so that one wait cannot forecast itself', () => {
    const gain = improvement(100, [right(100), right(100), right(100), right(160), right(160), right(160)]);
    // The first of the long ones came unforeseen.
    expect(gain?.tried).toBe(3);
    expect(gain?.offLearnt).toBeGreaterThan(20);
  });

  it('is nothing where too few looked right', () => {
    expect(improvement(120, [right(130), right(130), right(130), right(130), right(130)])).toBeNull();
    expect(improvement(120, Array<WaitVerdict>(9).fill({ minutes: 90, verdict: 'under' }))).toBeNull();
  });
});
