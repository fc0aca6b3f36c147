import { spawn, type ChildProcess } from 'node:child_process';
import { openSync } from 'node:fs';
import { endProcess } from './mariadb';

/** The built application, running. */
export interface Application {
  process: ChildProcess;
  address: string;
  stop: () => Promise<void>;
}

/** Starts the build in `build` on loopback and waits until it answers. `log`: file for what it prints; without one it prints here. */
export async function startApplication(options: {
  build: string;
  port: number;
  databaseUrl: string;
  log?: string;
}): Promise<Application> {
  const { build, port, databaseUrl, log } = options;
  // For its owner's eyes alone.
  const out = log === undefined ? ('inherit' as const) : openSync(log, 'a', 0o600);
  const why = log === undefined ? 'what it printed says why' : `${log} says why`;
  const child = spawn(process.execPath, ['scripts/web.mjs'], {
    stdio: ['ignore', out, out],
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      HEFETEIG_BUILD: build,
      NEXT_TELEMETRY_DISABLED: '1',
    },
  });
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; ; tries++) {
    if (child.exitCode !== null) throw new Error(`The application ended at once; ${why}.`);
    if (tries > 600) throw new Error(`The application did not answer within a minute; ${why}.`);
    const answer = await fetch(`${address}/api/alive`).catch(() => null);
    if (answer?.ok) break;
    await new Promise((done) => setTimeout(done, 100));
  }
  return { process: child, address, stop: () => endProcess(child, 10_000) };
}
