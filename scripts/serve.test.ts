import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { isAlive, type RunningScript, startScript } from '../test-support/script';
import { freePort } from './lib/ports';
import type { Running } from './lib/running';

const folder = mkdtempSync(join(tmpdir(), 'hefeteig-serve-'));
let child: ChildProcess | null = null;

/** Starts a bakery with a database of its own, and waits until it is ready. */
async function start(): Promise<RunningScript> {
  const port = String(await freePort());
  const env = { ...process.env };
  // As on a fresh machine: nothing says where a database or secrets are.
  for (const name of ['DATABASE_URL', 'HEFETEIG_PEPPER', 'HEFETEIG_SESSION_KEYS', 'HEFETEIG_SECRETS'])
    delete env[name];
  const options = ['--embedded', '--folder', folder, '--build', 'build/test', '--port', port];
  const started = await startScript('scripts/serve.ts', options, { ready: /is ready: (http:\S+)/, env });
  child = started.process;
  return started;
}

const running = () => JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as Running;

afterEach(async () => {
  if (!child || child.exitCode !== null) return;
  const ended = new Promise((done) => child?.once('exit', done));
  child.kill('SIGTERM');
  await ended;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('a bakery with its own database', () => {
  it('needs nothing but a folder: it says how to open it, and ends everything on TERM', async () => {
    const { address, said, ended } = await start();
    expect(said()).toMatch(/Open one at http:\/\/127\.0\.0\.1:\d+ with the code \S+ within 15 min/);
    const page = await fetch(`${address}/opening`);
    expect(page.status).toBe(200);
    const { database, application } = running();
    // A line that is held open, as feeds are, keeps nobody from ending.
    const line = connect(Number(new URL(address).port), '127.0.0.1');
    await new Promise((open) => line.once('connect', open));
    line.on('error', () => undefined);
    child?.kill('SIGTERM');
    expect(await ended).toBe(0);
    expect([isAlive(database), isAlive(application)]).toEqual([false, false]);
  });

  it('fails where a part of it dies, and starts again on what was there', async () => {
    const first = await start();
    const { database } = running();
    process.kill(database, 'SIGKILL');
    expect(await first.ended).toBe(1);
    const again = await start();
    expect(again.said()).toContain('No bakery yet');
    expect(again.said()).not.toContain('brought up to date');
  });
});
