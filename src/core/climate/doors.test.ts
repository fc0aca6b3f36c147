import { describe, expect, it } from 'vitest';
import { DEMO_PROBE_START, probedHours } from '../../../test-support/probed';
import { doorOpenings } from './doors';

const MIN = 60_000;
const held = (minute: number, celsius = 27) => ({
  at: minute * MIN,
  celsius,
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
