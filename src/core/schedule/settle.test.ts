import { describe, expect, it } from 'vitest';
import { planUntilSettled, type Settling } from './settle';

/** A wait whose window follows from its plan: half of the way to `to` with each round. */
const closing = (to: number, more: Partial<Settling<number, number>> = {}): Settling<number, number> => ({
  plan: (window) => Promise.resolve(window),
  windowsOf: (plan) => plan + Math.trunc((to - plan) / 2),
  moved: (before, after) => Math.abs(after - before) > 3,
  ...more,
});

describe('plan and windows that follow from each other', () => {
  it('are worked out in turn until none moves', async () => {
    expect(await planUntilSettled(10, closing(40))).toEqual({ windows: 36, plan: 36, settled: true });
    expect(await planUntilSettled(40, closing(40))).toEqual({ windows: 40, plan: 40, settled: true });
  });

  it('are left after some rounds where they chase one another, and say so', async () => {
    const chasing = closing(0, { windowsOf: (plan) => (plan === 10 ? 50 : 10) });
    expect(await planUntilSettled(10, chasing)).toMatchObject({ settled: false });
  });

  it('stay as they were where a later round finds no plan', async () => {
    const plan = (window: number) => Promise.resolve(window === 10 ? window : null);
    expect(await planUntilSettled(10, closing(40, { plan }))).toEqual({
      windows: 10,
      plan: 10,
      settled: false,
    });
  });

  it('are none where the first round finds no plan', async () => {
    expect(await planUntilSettled(10, closing(40, { plan: () => Promise.resolve(null) }))).toBeNull();
  });
});
