/** Runs the built application on the database of DATABASE_URL. Started by bin/serve. */
import { spawn } from 'node:child_process';
import { parseArgs } from 'node:util';
import { migrate } from '@/server/db/migrate';
import { makeTabletCode } from '@/server/auth/tablet-code';
import { connect } from '@/server/db/pool';
import { houseIfAny } from '@/server/store/house';
import { keepOwnSecrets } from './lib/secrets';

/** Whoever can read this window may open a bakery in an empty database: by a code that is good once. */
async function tellHowToOpen(url: string): Promise<void> {
  const pool = connect(url);
  try {
    if (await houseIfAny(pool)) return;
    const code = await makeTabletCode(pool, null);
    console.log(
      `No bakery yet. Open one at http://127.0.0.1:${values.port} with the code ${code} within 15 min.`,
    );
    console.log('Another code: npm run tablet-code');
  } finally {
    await pool.end();
  }
}

const { values } = parseArgs({ options: { port: { type: 'string', default: '3000' } } });

try {
  const applied = await migrate(process.env.DATABASE_URL ?? '');
  if (applied.length > 0) console.log(`Database brought up to date: ${applied.join(', ')}`);
} catch (error) {
  console.error(`The database cannot be used: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
}
keepOwnSecrets();
await tellHowToOpen(process.env.DATABASE_URL ?? '');
const child = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', values.port],
  {
    stdio: 'inherit',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HEFETEIG_BUILD: 'build/app',
      NEXT_TELEMETRY_DISABLED: '1',
    },
  },
);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
