import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';

/** A script of ours that runs, as whoever started it sees it. */
export interface RunningScript {
  process: ChildProcess;
  address: string;
  said: () => string;
  ended: Promise<number | null>;
}

/**
 * Starts a script and waits until it says where it is.
 *
 * @param ready - finds the address in what it says
 * @throws {Error} with what it said, where it ends before
 */
export async function startScript(
  script: string,
  args: readonly string[],
  { ready, env = process.env }: { ready: RegExp; env?: NodeJS.ProcessEnv },
): Promise<RunningScript> {
  const child = spawn(process.execPath, ['--import', 'tsx', script, ...args], {
    ...{ stdio: ['ignore', 'pipe', 'pipe'], env },
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  const address = await new Promise<string>((isReady, failed) => {
    child.stdout.on('data', () => {
      const found = ready.exec(said)?.[1];
      if (found) isReady(found);
    });
    void ended.then(() => failed(new Error(said)));
  });
  return { process: child, address, said: () => said, ended };
}

/** Whether a process runs: one that has ended and was not waited for does not. */
export const isAlive = (pid: number): boolean =>
  existsSync(`/proc/${pid}`) && !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
