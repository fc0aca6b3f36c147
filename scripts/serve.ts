/**
 * Runs the built application on the database of DATABASE_URL, or with --embedded on a MariaDB of its own in a data folder.
 * Started by bin/serve.
 */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { makeTabletCode } from '@/server/auth/tablet-code';
import { migrate } from '@/server/db/migrate';
import { connect } from '@/server/db/pool';
import { houseIfAny } from '@/server/store/house';
import { type Application, startApplication } from './lib/application';
import { createDatabase, type Database, passwordOf, startDatabase } from './lib/mariadb';
import { freePort } from './lib/ports';
import { endLeftovers, type Running } from './lib/running';
import { keepOwnSecrets } from './lib/secrets';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '3000' },
    embedded: { type: 'boolean', default: false },
    folder: { type: 'string', default: 'data/house' },
    build: { type: 'string', default: 'build/app' },
  },
});
const runFile = join(values.folder, 'running.json');

let database: Database | null = null;
let application: Application | null = null;
let ending: Promise<void> | null = null;
let announced = false;

/** Ends the application first and the database after it, once, whoever asks. */
function end(): Promise<void> {
  return (ending ??= (async () => {
    await application?.stop();
    await database?.stop();
    // Only our own word is taken back: another one may be running in this folder.
    if (announced) rmSync(runFile, { force: true });
  })());
}

/** A MariaDB in the data folder, with its secrets beside it; the address of its database. */
async function ownDatabase(folder: string): Promise<string> {
  await endLeftovers(runFile, 'scripts/serve.ts');
  mkdirSync(folder, { recursive: true });
  process.env.HEFETEIG_SECRETS ??= join(folder, 'secrets.json');
  database = await startDatabase(folder, await freePort(), passwordOf(folder));
  return createDatabase(database, 'hefeteig');
}

/** Whoever can read this window may open a bakery in an empty database: by a code that is good once. */
async function showHowToOpen(url: string): Promise<void> {
  const pool = connect(url);
  try {
    if (await houseIfAny(pool)) return;
    const code = await makeTabletCode(pool, null);
    console.log(
      `No bakery yet. Open one at http://127.0.0.1:${values.port} with the code ${code} within 15 min.`,
    );
    console.log('Another code: start again, or npm run tablet-code');
  } finally {
    await pool.end();
  }
}

async function main(): Promise<void> {
  const url = values.embedded ? await ownDatabase(values.folder) : (process.env.DATABASE_URL ?? '');
  const applied = await migrate(url).catch((error: unknown) => {
    throw new Error(`The database cannot be used: ${error instanceof Error ? error.message : String(error)}`);
  });
  if (applied.length > 0) console.log(`Database brought up to date: ${applied.join(', ')}`);
  keepOwnSecrets();
  application = await startApplication({ build: values.build, port: Number(values.port), databaseUrl: url });
  if (database) {
    const running: Running = {
      ...{ supervisor: process.pid, database: database.process.pid ?? 0, databasePort: database.port },
      ...{ application: application.process.pid ?? 0, address: application.address },
    };
    writeFileSync(runFile, JSON.stringify(running));
    announced = true;
  }
  await showHowToOpen(url);
  console.log(`Hefeteig is ready: ${application.address}`);
  for (const child of [database?.process, application.process])
    child?.once('exit', () => {
      if (ending) return;
      console.error('A part of Hefeteig has ended unexpectedly; what was recorded is kept.');
      void end().then(() => process.exit(1));
    });
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
  process.on(signal, () => void end().then(() => process.exit(0)));
main().catch(async (error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  await end();
  process.exit(1);
});
