import { describe, expect, it } from 'vitest';
import { riseByMixing } from './friction';

describe('what mixing warms a dough by', () => {
  it.each([
    ['spiral', 4, 6, 5.2],
    ['planetary', 5, 8, 4.75],
    ['spiral', 4, 16, 12.2],
    ['hand', 0, 25, 1.5],
  ] as const)('%s, %i min slow and %i fast: %d °C', (way, slow, fast, celsius) => {
    expect(riseByMixing(way, { slow, fast })).toBeCloseTo(celsius, 10);
  });
});
