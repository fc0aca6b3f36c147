/** Runs the demo: its own MariaDB, its own data folder, its own clock. Started by bin/demo. */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import type { Pool } from 'mysql2/promise';
import { connect } from '@/server/db/pool';
import { migrate } from '@/server/db/migrate';
import { keepDemoTime, resumeDemoClock } from '@/server/demo/clock';
import { PEOPLE } from '@/server/demo/bakery';
import { rowsOf } from '@/server/db/rows';
import { keepSecrets } from '@/server/auth/secrets';
import { seedDemo } from '@/server/demo/seed';
import type { ChildProcess } from 'node:child_process';
import { startApplication, type Application } from './lib/application';
import { createDatabase, endProcess, passwordOf, startDatabase, type Database } from './lib/mariadb';
import { startCrew, startProbes } from './lib/devices';
import { endLeftovers, type Running } from './lib/running';
import { freePort, freePortFrom } from './lib/ports';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '3000' },
    fresh: { type: 'boolean', default: false },
    folder: { type: 'string', default: 'data/demo' },
    build: { type: 'string', default: 'build/app' },
    /** Nobody works by themselves: all that happens is what you tap. */
    alone: { type: 'boolean', default: false },
  },
});
const { folder } = values;
const runFile = join(folder, 'running.json');
const KEEP_TIME_EVERY = 5_000;

let database: Database | null = null;
let application: Application | null = null;
let devices: ChildProcess[] = [];
let pool: Pool | null = null;
let ending: Promise<void> | null = null;
let announced = false;

/** Ends the application first and the database after it, once, whoever asks. */
function end(): Promise<void> {
  return (ending ??= (async () => {
    await Promise.all(devices.map((device) => endProcess(device, 2_000)));
    await application?.stop();
    if (pool) await keepDemoTime(pool).catch(() => undefined);
    await pool?.end();
    await database?.stop();
    // Only our own word is taken back: another demo may be running in this folder.
    if (announced) rmSync(runFile, { force: true });
  })());
}

async function main(): Promise<void> {
  const begun = performance.now();
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error('--port takes a number from 1 to 65535.');
  await endLeftovers(runFile, 'scripts/demo.ts');
  if (values.fresh) rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const secretsFile = join(folder, 'secrets.json');
  keepSecrets(secretsFile);
  // The demo lets any browser of this machine in; a bakery's own tablets are let in by a planner.
  Object.assign(process.env, { HEFETEIG_SECRETS: secretsFile, HEFETEIG_ENROL: 'loopback' });
  database = await startDatabase(folder, await freePort(), passwordOf(folder));
  const url = await createDatabase(database, 'hefeteig');
  await migrate(url);
  pool = connect(url);
  if (await seedDemo(pool, { month: true })) console.log('The demo bakery is set up.');
  await resumeDemoClock(pool);
  application = await startApplication({
    ...{
      build: values.build,
      port: await freePortFrom(port),
      databaseUrl: url,
      log: join(folder, 'application.log'),
    },
  });
  const running: Running = {
    supervisor: process.pid,
    database: database.process.pid ?? 0,
    databasePort: database.port,
    application: application.process.pid ?? 0,
    address: application.address,
  };
  writeFileSync(runFile, JSON.stringify(running));
  announced = true;
  for (const { process: child } of [database, application]) {
    child.once('exit', () => {
      if (ending) return;
      console.error(
        'A part of the demo has ended unexpectedly; what was recorded is kept. Start it again with bin/demo.',
      );
      void end().then(() => process.exit(1));
    });
  }
  devices = [startProbes(application.address, join(folder, 'probes.log'))];
  if (!values.alone)
    devices.push(startCrew(application.address, join(folder, 'crew.log'), await crewOf(pool)));
  const timer = setInterval(() => {
    if (pool && !ending) keepDemoTime(pool).catch(() => undefined);
  }, KEEP_TIME_EVERY);
  timer.unref();
  console.log(
    `\nHefeteig is ready after ${((performance.now() - begun) / 1000).toFixed(1)} s: ${application.address}\n`,
  );
  console.log('Sign in as');
  for (const { name, role, team, pin } of PEOPLE)
    console.log(`  ${name.padEnd(6)} PIN ${pin}  ${role}${role === 'baker' ? `, ${team}` : ''}`);
  console.log('\nIts probes are simulated; docs/devices.md says how to leave a door open.');
  console.log('Ctrl-C ends it. bin/demo --fresh starts over.');
}

/** The bakery's people with their PINs. */
async function crewOf(db: Pool): Promise<{ id: number; pin: string }[]> {
  const people = await rowsOf<{ id: number; name: string }>(
    db,
    "SELECT id, name FROM person WHERE role <> 'viewer' AND active ORDER BY id",
  );
  return people.flatMap(({ id, name }) => {
    const pin = PEOPLE.find((one) => one.name === name)?.pin;
    return pin ? [{ id, pin }] : [];
  });
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
  process.on(signal, () => void end().then(() => process.exit(0)));
}
main().catch(async (error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  await end();
  process.exit(1);
});
