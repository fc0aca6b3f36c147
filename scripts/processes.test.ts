import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../test-support/demo-house';
import { listen, post, sessionOf } from '../test-support/tablet';
import { rowsOf } from '@/server/db/rows';
import { ringing } from '@/server/store/ringing';
import { startApplication, type Application } from './lib/application';
import { freePort } from './lib/ports';

let house: Awaited<ReturnType<typeof demoHouse>>;
let scratch: string;
let one: Application;
let other: Application;
let jonas: string;
let ida: string;

beforeAll(async () => {
  house = await demoHouse();
  scratch = mkdtempSync(join(tmpdir(), 'hefeteig-processes-'));
  const start = async (name: string) =>
    startApplication({
      ...{ build: 'build/test', port: await freePort(), databaseUrl: house.url },
      log: join(scratch, `${name}.log`),
    });
  [one, other] = [await start('one'), await start('other')];
  jonas = await sessionOf(one.address, 'Jonas');
  ida = await sessionOf(other.address, 'Ida');
}, 120_000);
afterAll(async () => {
  await Promise.all([one.stop(), other.stop()]);
  await house.close();
  rmSync(scratch, { recursive: true, force: true });
});

const note = (text: string) => ({ ...{ doughId: 5, stepKey: null, kind: 'note' }, id: uuidv7(), text });
const tell = (application: Application, cookie: string, input: unknown) =>
  post(application.address, cookie, '/api/commands/record-event', input);

describe('two processes on one database', () => {
  it('know each other’s sessions, and a tap on one is told by the feed of the other', async () => {
    const { heard, stop } = await listen(other.address, jonas);
    expect((await tell(one, jonas, note('from the first process'))).status).toBe(200);
    await expect.poll(() => heard.join('')).toContain('from the first process');
    stop();
  });

  it('take the same tap once, whichever of them it is sent to again', async () => {
    const tap = note('sent twice');
    const answers = await Promise.all([tell(one, jonas, tap), tell(other, jonas, tap)]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    const rows = await rowsOf(house.pool, "SELECT id FROM floor_event WHERE text = 'sent twice'");
    expect(rows).toHaveLength(1);
  });

  it('give an alarm to one of two who take it at the same moment', async () => {
    const open = async () =>
      (await ringing(house.pool, await house.now())).filter(({ takenBy }) => takenBy === null);
    // Something rings before long on any morning of the bakery.
    while ((await open()).length === 0) await house.later(10);
    const [alarm] = await open();
    const take = (application: Application, cookie: string) =>
      post(application.address, cookie, '/api/commands/take-alarm', { alarm: alarm?.id });
    const answers = await Promise.all([take(one, jonas), take(other, ida)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
  });

  it('lose nothing when one is killed: the other goes on, and tells what a tablet has missed', async () => {
    const [last] = await rowsOf<{ id: number }>(house.pool, 'SELECT MAX(id) AS id FROM change_feed');
    const gone = new Promise((done) => one.process.once('exit', done));
    one.process.kill('SIGKILL');
    await gone;
    expect((await tell(other, jonas, note('after the first was killed'))).status).toBe(200);
    const { heard, stop } = await listen(other.address, jonas, last?.id);
    await expect.poll(() => heard.join('')).toContain('data:');
    stop();
  });
});
