import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { enrolled, post, sessionOf } from '../test-support/tablet';
import { isAlive, type RunningScript, startScript } from '../test-support/script';
import { freePort } from './lib/ports';
import type { Running } from './lib/running';

const folder = mkdtempSync(join(tmpdir(), 'hefeteig-demo-'));
let demo: ChildProcess | null = null;

/** Starts the demo in its own folder and waits for the line that says it is ready. */
async function start(...more: string[]): Promise<RunningScript> {
  const port = String(await freePort());
  const options = ['--folder', folder, '--build', 'build/test', '--port', port, '--alone', ...more];
  const started = await startScript('scripts/demo.ts', options, { ready: /ready after .*: (http:\S+)/ });
  demo = started.process;
  return started;
}

const running = () => JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as Running;

/** Lets a device in and signs Jonas in over HTTP; sends a command. */
async function asBaker(address: string) {
  const device = await enrolled(address);
  const page = await (await fetch(`${address}/sign-in`, { headers: { cookie: device } })).text();
  expect(page).toContain('Jonas');
  const cookie = await sessionOf(address, 'Jonas', device);
  return async (input: unknown) => {
    const answer = await post(address, cookie, '/api/commands/record-event', input);
    return (await answer.json()) as { ok: boolean; result?: { recorded: boolean } };
  };
}

const note = (id: string) => ({ id, doughId: 1, stepKey: null, kind: 'note', text: 'kept?' });

afterEach(async () => {
  const child = demo;
  demo = null;
  if (!child || child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((done) => child.once('exit', done));
  child.kill('SIGINT');
  await ended;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('bin/demo', () => {
  it('prints its address and sign-ins, ends everything on Ctrl-C, and keeps what was recorded', async () => {
    const first = await start();
    await expect.poll(first.said).toMatch(/Mara\s+PIN 471147\s+planner/);
    const pids = running();
    const id = randomUUID();
    expect(await (await asBaker(first.address))(note(id))).toMatchObject({
      ok: true,
      result: { recorded: true },
    });
    demo?.kill('SIGINT');
    expect(await first.ended).toBe(0);
    expect([pids.database, pids.application].map(isAlive)).toEqual([false, false]);

    const second = await start();
    expect(await (await asBaker(second.address))(note(id))).toMatchObject({
      ok: true,
      result: { recorded: false },
    });
  });

  it.each(['database', 'application'] as const)(
    'loses no acknowledged write when its %s is killed',
    async (part) => {
      const before = await start();
      const record = await asBaker(before.address);
      const ids = Array.from({ length: 12 }, () => randomUUID());
      const acknowledged: string[] = [];
      for (const [i, id] of ids.entries()) {
        if (i === 8) process.kill(running()[part], 'SIGKILL');
        const answer = await record(note(id)).catch(() => null);
        if (answer?.ok) acknowledged.push(id);
      }
      expect(await before.ended).toBe(1);
      expect(acknowledged.length).toBeGreaterThanOrEqual(8);

      const after = await start();
      const again = await asBaker(after.address);
      for (const id of acknowledged)
        expect(await again(note(id))).toMatchObject({ ok: true, result: { recorded: false } });
    },
  );

  it('starts again after it was killed itself, says so when it runs already, and starts over when told', async () => {
    const id = randomUUID();
    const first = await start();
    await (
      await asBaker(first.address)
    )(note(id));
    await expect(start()).rejects.toThrow(/is running already: http/);
    const pids = running();
    process.kill(pids.supervisor, 'SIGKILL');
    await first.ended;
    const fresh = await start('--fresh');
    expect([pids.database, pids.application].map(isAlive)).toEqual([false, false]);
    expect(await (await asBaker(fresh.address))(note(id))).toMatchObject({
      ok: true,
      result: { recorded: true },
    });
  });
});
