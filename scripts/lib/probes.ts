import { spawn, type ChildProcess } from 'node:child_process';
import { openSync } from 'node:fs';

/** Seconds between two words of the demo's probes: enough for a curve, quiet for the screens. */
const EVERY = '15';

/** Starts the stand-in for the house's probes beside the demo. `log`: file for what it prints. */
export function startProbes(address: string, log: string): ChildProcess {
  const out = openSync(log, 'w', 0o600);
  return spawn(
    process.execPath,
    [
      'node_modules/tsx/dist/cli.mjs',
      'src/devices/probes/main.ts',
      '--house',
      address,
      '--every',
      EVERY,
      '--beside',
      String(process.pid),
    ],
    { stdio: ['ignore', out, out] },
  );
}
