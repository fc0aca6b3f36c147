import { randomBytes } from 'node:crypto';
import { createConnection, type Pool } from 'mysql2/promise';
import type { Answer } from '@/core/wire/answer';
import { forecastDough, type DoughForecast } from '@/core/forecast/forecast';
import { houseNow } from '@/server/store/clock';
import { conditions } from '@/server/store/conditions';
import { doughById } from '@/server/store/doughs';
import { migrate } from '@/server/db/migrate';
import { openPools } from '@/server/db/pool';

/** A database of its own on the test server (`HEFETEIG_TEST_DATABASE`), migrated; `close` drops it. */
export async function freshDatabase(): Promise<{ url: string; pool: Pool; close: () => Promise<void> }> {
  const base = process.env.HEFETEIG_TEST_DATABASE;
  if (!base) throw new Error('Run the tests by bin/test: they need a MariaDB server.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = await createConnection({ uri: `${base}mysql` });
  await admin.query(`CREATE DATABASE ${name}`);
  const url = base + name;
  await migrate(url);
  // Commands take the pools of the process.
  const { floor: pool, planning } = openPools(url);
  return {
    url,
    pool,
    close: async () => {
      await Promise.all([pool.end(), planning.end()]);
      await admin.query(`DROP DATABASE ${name}`);
      await admin.end();
    },
  };
}

/** What a command that must be done has answered. */
export async function ok<T>(answer: Promise<Answer>): Promise<T> {
  const given = await answer;
  if (!given.ok) throw new Error(given.message);
  return given.result as T;
}

/** How a command that must be refused was refused. */
export async function refusal(answer: Promise<Answer>): Promise<Extract<Answer, { ok: false }>> {
  const given = await answer;
  if (given.ok) throw new Error(`It was done, though it should be refused: ${JSON.stringify(given.result)}`);
  return given;
}

/** A dough of the plan as it is forecast now, by its number. */
export async function forecastOf(pool: Pool, id: number): Promise<DoughForecast> {
  const now = await houseNow(pool);
  const dough = await doughById(pool, id);
  if (!dough) throw new Error(`There is no dough ${id}.`);
  return forecastDough(dough, await conditions(pool, now), now);
}
