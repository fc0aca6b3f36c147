import { stateOf } from '@/core/record/dough';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../test-support/demo-house';
import { ok } from '../../test-support/house';
import { rowsOf, write } from './db/rows';
import { runCommand } from './commands/run';
import { doughById } from './store/doughs';
import { newestPlan } from './store/planned-steps';
import { clearUp, thinPlans } from './upkeep';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
}, 120_000);
afterAll(() => house.close());

const count = async (table: string) =>
  (await rowsOf<{ n: number }>(house.pool, `SELECT COUNT(*) AS n FROM ${table}`))[0]?.n ?? 0;

/** Fixes a step or lets it go. */
async function act(): Promise<void> {
  const dough = await doughById(house.pool, 10);
  const open = dough?.steps.find(({ key }) => stateOf(dough).steps.get(key)?.status === 'open');
  const basis = await newestPlan(house.pool);
  const input = { doughId: 10, key: open?.key, pinned: !open?.pinned, basis };
  await ok(runCommand('pin-step', house.person('Mara'), input));
}

describe('clearing up', () => {
  it('lets go of plans that no undo reaches, keeps what stands, and undo still works', async () => {
    for (let i = 0; i < 12; i++) await act();
    const standing = await doughById(house.pool, 10);
    // As if two hundred acts had been made since.
    await write(
      house.pool,
      `INSERT INTO plan_version (made_at, made_by, reason, act, before_id)
       SELECT made_at, made_by, 'later', 'base', id FROM plan_version ORDER BY id DESC LIMIT 1`,
      [],
    );
    await write(house.pool, 'UPDATE planned_step SET until_version = until_version WHERE FALSE', []);
    const [newest] = await rowsOf<{ id: number }>(house.pool, 'SELECT MAX(id) AS id FROM plan_version');
    await write(house.pool, 'UPDATE plan_version SET id = id + 300 WHERE id = ?', [newest?.id ?? 0]);
    expect(await thinPlans(house.pool)).toBe(12);
    expect(await doughById(house.pool, 10)).toEqual(standing);
    await act();
    await ok(runCommand('undo-plan', house.person('Mara'), {}));
  });

  it('forgets what was told and answered long ago, and nothing of today', async () => {
    const long = 'UTC_TIMESTAMP(3) - INTERVAL 100 DAY';
    const before = await count('change_feed');
    await write(house.pool, `INSERT INTO change_feed (id, at, command) VALUES (0, ${long}, 'old')`, []);
    await write(
      house.pool,
      `INSERT INTO command_done (id, command, person_id, at, result) VALUES (UUID(), 'old', 1, ${long}, 'null')`,
      [],
    );
    await clearUp(house.pool);
    expect(await count('change_feed')).toBe(before);
    expect(await count('command_done')).toBe(0);
  });
});
