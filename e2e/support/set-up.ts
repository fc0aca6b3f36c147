import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection, type Pool } from 'mysql2/promise';
import { startApplication } from '../../scripts/lib/application';
import { freePort } from '../../scripts/lib/ports';
import { connect } from '@/server/db/pool';
import { migrate } from '@/server/db/migrate';
import { seedDemo } from '@/server/demo/seed';

/** The built application with the demo bakery, its clock standing still, for all browser tests together. */
export default function setUp(): Promise<() => Promise<void>> {
  return applicationWith(async (pool) => {
    await seedDemo(pool);
    await pool.query('UPDATE demo_clock SET paused = TRUE');
  });
}

/**
 * The built application on a database of its own, filled by `fill`; gives what ends it.
 *
 * @param keep - is given a pool of that database, which it ends itself
 */
export async function applicationWith(
  fill: (pool: Pool) => Promise<void>,
  keep?: (pool: Pool) => void,
): Promise<() => Promise<void>> {
  const base = process.env.HEFETEIG_TEST_DATABASE;
  if (!base) throw new Error('Run the tests by bin/test: they need a MariaDB server.');
  const name = `browser_${randomBytes(4).toString('hex')}`;
  const admin = await createConnection({ uri: `${base}mysql` });
  await admin.query(`CREATE DATABASE ${name}`);
  await migrate(base + name);
  const pool = connect(base + name);
  await fill(pool);
  // They know their screens: what points at them the first time would lie over what is tested.
  await pool.query('UPDATE person SET guided_at = UTC_TIMESTAMP(3)');
  if (keep) keep(pool);
  else await pool.end();
  const folder = mkdtempSync(join(tmpdir(), 'hefeteig-browser-'));
  const application = await startApplication({
    build: process.env.HEFETEIG_BUILD ?? 'build/test',
    port: await freePort(),
    databaseUrl: base + name,
    log: join(folder, 'application.log'),
  });
  process.env.HEFETEIG_ADDRESS = application.address;
  return async () => {
    await application.stop();
    await admin.query(`DROP DATABASE ${name}`);
    await admin.end();
    rmSync(folder, { recursive: true, force: true });
  };
}
