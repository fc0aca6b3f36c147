import { describe, expect, it } from 'vitest';
import { DEMO_PROBE_START, probedHours } from '../../../test-support/probed';
import { doorOpenings, probeMoves } from './doors';

const MIN = 60_000;
const held = (minute: number, celsius = 27) => ({
  at: minute * MIN,
  celsius,
});

describe('a core probe that is moved', () => {
  it('reads something else at once, once for each errand', () => {
    const readings = [20, 20, 26.5, 24.2, 24.1, 24, 24, 23.9, 18.2].map((celsius, i) => held(i, celsius));
    expect(probeMoves(readings)).toEqual([2 * MIN, 8 * MIN]);
  });

  it('is not seen in dough that warms or cools, nor across a silence', () => {
    expect(probeMoves([24, 22, 20, 18].map((celsius, i) => held(i * 5, celsius)))).toEqual([]);
    expect(probeMoves([held(0, 24), held(40, 4)])).toEqual([]);
  });
});

describe('a door that was opened', () => {
  it('shows as a jump of the air, once for each errand', () => {
    const readings = [27, 27.1, 27, 25.9, 26, 26.1, 26.2, 26.3, 26.3, 25.4, 25.5].map((celsius, i) =>
      held(i, celsius),
    );
    expect(doorOpenings(readings)).toEqual([3 * MIN, 9 * MIN]);
  });

  it('does not show in a thermostat’s slow swing, nor across a silence of the probe', () => {
    expect(doorOpenings([27, 26.9, 26.7, 26.6, 27.2].map((celsius, i) => held(i, celsius)))).toEqual([]);
    expect(doorOpenings([held(0), held(30, 24)])).toEqual([]);
  });

  it('is seen in what the simulated proofer says, and never in the freezer that nobody opened', () => {
    const { proofer, freezer } = probedHours(3);
    const openings = doorOpenings(proofer);
    expect(openings.length).toBeGreaterThan(3);
    expect(openings.every((at) => at > DEMO_PROBE_START)).toBe(true);
    expect(doorOpenings(freezer)).toEqual([]);
  });
});
