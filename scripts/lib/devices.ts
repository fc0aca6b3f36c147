import { spawn, type ChildProcess } from 'node:child_process';
import { openSync } from 'node:fs';

/** Starts a stand-in of `src/devices` beside the demo: it ends with it. `log`: file for what it prints. */
function startDevice(
  program: string,
  {
    address,
    log,
    args,
    env = {},
  }: { address: string; log: string; args: string[]; env?: Record<string, string> },
): ChildProcess {
  const out = openSync(log, 'w', 0o600);
  return spawn(
    process.execPath,
    [
      ...['node_modules/tsx/dist/cli.mjs', program, '--house', address],
      ...['--beside', String(process.pid), ...args],
    ],
    { stdio: ['ignore', out, out], env: { ...process.env, ...env } },
  );
}

/** Seconds between two words of the demo's probes: enough for a curve, quiet for the screens. */
const EVERY = '15';

/** Starts the stand-in for the house's probes. */
export const startProbes = (address: string, log: string): ChildProcess =>
  startDevice('src/devices/probes/main.ts', { address, log, args: ['--every', EVERY] });

/** Starts the stand-in for the bakers. Their PINs are nobody's business in a list of processes. */
export const startCrew = (
  address: string,
  log: string,
  people: readonly { id: number; pin: string }[],
): ChildProcess =>
  startDevice('src/devices/bakery/main.ts', {
    ...{ address, log, args: [] },
    env: { HEFETEIG_CREW: people.map(({ id, pin }) => `${id}:${pin}`).join(',') },
  });
