/** Runs the built application on the database of DATABASE_URL. Started by bin/serve. */
import { spawn } from 'node:child_process';
import { parseArgs } from 'node:util';
import { migrate } from '@/server/db/migrate';
import { keepOwnSecrets } from './lib/secrets';

const { values } = parseArgs({ options: { port: { type: 'string', default: '3000' } } });

try {
  const applied = await migrate(process.env.DATABASE_URL ?? '');
  if (applied.length > 0) console.log(`Database brought up to date: ${applied.join(', ')}`);
} catch (error) {
  console.error(`The database cannot be used: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
}
keepOwnSecrets();
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
