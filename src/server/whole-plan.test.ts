import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planErrors, problemErrors } from '../../test-data/plan/check.mjs';
import { demoHouse } from '../../test-support/demo-house';

import { solve } from '@/core/solver/solve';
import { planInThread } from './planner';
import { houseNow } from './store/clock';
import { readWholePlan } from './store/whole-problem';

let house: Awaited<ReturnType<typeof demoHouse>>;

beforeAll(async () => {
  house = await demoHouse();
}, 120_000);
afterAll(() => house.close());

describe('what is still open of all doughs, as one problem', () => {
  it('is sound by the checker, and begins with what is under way', async () => {
    const { problem, origin } = await readWholePlan(house.pool, await houseNow(house.pool));
    expect(problemErrors(problem)).toEqual([]);
    expect(new Set(problem.tasks.map(({ dough }) => dough)).size).toBeGreaterThanOrEqual(9);
    expect(problem.pins.length).toBeGreaterThan(0);
    expect(new Date(origin).toISOString()).toMatch(/T23:00:00/);
  });

  it('has a plan that keeps every rule', async () => {
    const { problem } = await readWholePlan(house.pool, await houseNow(house.pool));
    let asked = 0;
    const solution = solve(problem, { seed: 1, shouldStop: () => ++asked > 600 });
    expect(solution?.plan.status).toBe('feasible');
    if (solution) expect(planErrors(problem, solution.plan)).toEqual([]);
  });

  it('is planned in a thread of its own until the time is up', async () => {
    const { problem } = await readWholePlan(house.pool, await houseNow(house.pool));
    const solution = await planInThread(problem, { seconds: 2 });
    expect(solution?.plan.status).toBe('feasible');
  });
});
