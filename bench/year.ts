import { stateOf } from '@/core/record/dough';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Pool } from 'mysql2/promise';
import { v7 as uuidv7 } from 'uuid';
import { migrate } from '@/server/db/migrate';
import { connect } from '@/server/db/pool';
import { rowsOf, write } from '@/server/db/rows';
import { seedDemo } from '@/server/demo/seed';
import { houseNow } from '@/server/store/clock';
import { doughById } from '@/server/store/doughs';
import { newestPlan } from '@/server/store/planned-steps';
import { clearUp, thinPlans } from '@/server/upkeep';
import { startApplication } from '../scripts/lib/application';
import { createDatabase, startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { post, sessionOf } from '../test-support/tablet';
import { copyWeek } from './fill';
import { timed } from './measure';
import { mends } from './mends';
import { fillProbes } from './readings';

/** What a year of use leaves behind. */
const YEAR = {
  events: 150_000,
  acts: 8_000,
  evidence: 12_000,
  proposals: 2_000,
  changes: 60_000,
  audited: 4_000,
};
const VIEWS = [
  '/sign-in',
  '/bench',
  '/proof',
  '/oven',
  '/handover',
  '/plan',
  '/dough/2',
  '/batches',
  '/orders',
];
const MORE_VIEWS = ['/rooms', '/rooms/retarder?span=year', '/house', '/formulas', '/workbench'];

/** Measures every view, a tap and a planning act on the first day with forty doughs, and again after a year of use. */
export async function year(): Promise<void> {
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-year-'));
  const database = await startDatabase(scratch, await freePort(), 'only-for-the-bench');
  const url = await createDatabase(database, 'year');
  await migrate(url);
  const pool = connect(url, 10, 0);
  await seedDemo(pool);
  await write(pool, 'UPDATE demo_clock SET paused = TRUE', []);
  for (let nth = 1; nth <= 3; nth++) await copyWeek(pool, 0, nth);
  const application = await startApplication({
    ...{ build: 'build/app', port: await freePort(), databaseUrl: url, log: join(scratch, 'log') },
  });
  try {
    const first = await measured(pool, application.address);
    await fillYear(pool);
    const after = await measured(pool, application.address);
    console.log(`\n${'what, median'.padEnd(44)}${'first day'.padStart(12)}${'after a year'.padStart(14)}`);
    for (const [what, ms] of first)
      console.log(
        `${what.padEnd(44)}${`${ms.toFixed(1)} ms`.padStart(12)}${`${(after.get(what) ?? 0).toFixed(1)} ms`.padStart(14)}`,
      );
    await mends(application.address);
  } finally {
    await application.stop();
    await pool.end();
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}

async function measured(pool: Pool, address: string): Promise<Map<string, number>> {
  const mara = await sessionOf(address, 'Mara');
  const times = new Map<string, number>();
  for (const path of [...VIEWS, ...MORE_VIEWS])
    times.set(
      path,
      await timed(async () => {
        const answer = await fetch(address + path, { headers: { cookie: mara } });
        if (!answer.ok) throw new Error(`${path} was answered ${answer.status}.`);
        await answer.text();
      }),
    );
  const command = async (name: string, input: unknown) => {
    const answer = await post(address, mara, `/api/commands/${name}`, input);
    if (!answer.ok) throw new Error(`${name}: ${await answer.text()}`);
  };
  const note = () => ({ id: uuidv7(), doughId: 5, stepKey: null, kind: 'note', text: 'as on the first day' });
  times.set('recording one tap', await timed(() => command('record-event', note())));
  const dough = await doughById(pool, 10);
  const open = dough?.steps.find(({ key }) => stateOf(dough).steps.get(key)?.status === 'open');
  let pinned = Boolean(open?.pinned);
  const pin = async () => {
    pinned = !pinned;
    await command('pin-step', { doughId: 10, key: open?.key, pinned, basis: await newestPlan(pool) });
  };
  times.set('one planning act: a pin', await timed(pin));
  times.set(
    'undoing it',
    await timed(async () => {
      await command('undo-plan', {});
      await command('redo-plan', {});
    }, 5),
  );
  return times;
}

async function fillYear(pool: Pool): Promise<void> {
  const count = async (table: string) =>
    (await rowsOf<{ n: number }>(pool, `SELECT COUNT(*) AS n FROM ${table}`))[0]?.n ?? 0;
  for (let nth = 1; (await count('floor_event')) < YEAR.events; nth++)
    await copyWeek(pool, 12 + (nth % 118) * 3, 1_000 + nth);
  const numbers = (n: number) => `(SELECT seq AS n FROM seq_1_to_${n}) AS many`;
  await write(
    pool,
    `INSERT INTO evidence (kind, subject, value, verdict, at)
     SELECT 'reference', CONCAT(1 + n % 11, '/proof'), 140 + n % 20, 'right', NOW() - INTERVAL n HOUR FROM ${numbers(YEAR.evidence)}`,
    [],
  );
  await write(
    pool,
    `INSERT INTO plan_version (made_at, made_by, reason, act, before_id)
     SELECT NOW() - INTERVAL n HOUR, 1, 'act', 'plan', (SELECT id FROM (SELECT MAX(id) AS id FROM plan_version) AS newest)
     FROM ${numbers(YEAR.acts)}`,
    [],
  );
  // Each act has moved some steps; what no undo reaches is thinned as in real life.
  await write(
    pool,
    `INSERT IGNORE INTO planned_step (since_version, until_version, dough_id, step_key, start_at, end_at)
     SELECT v.id, v.id + 1, s.dough_id, s.step_key, s.start_at, s.end_at FROM plan_version v
     JOIN planned_step s ON s.dough_id = 1 + v.id % 11 AND s.until_version IS NULL AND s.since_version < v.id
     WHERE v.reason = 'act'`,
    [],
  );
  await write(
    pool,
    `INSERT INTO plan_proposal (plan_version_id, made_at, made_by, kind, title, body)
     SELECT 1, NOW() - INTERVAL n HOUR, 1, 'mend', 'old', JSON_OBJECT('times', JSON_ARRAY(), 'note', REPEAT('x', 4000)) FROM ${numbers(YEAR.proposals)}`,
    [],
  );
  await write(
    pool,
    `INSERT INTO audit (at, person_id, command, subject) SELECT NOW(), 1, 'x', 'x' FROM ${numbers(YEAR.audited)}`,
    [],
  );
  await write(
    pool,
    `INSERT INTO change_feed (id, at, command) SELECT newest + n, NOW() - INTERVAL n MINUTE, 'record-event'
     FROM feed_number JOIN ${numbers(YEAR.changes)}`,
    [],
  );
  await write(pool, 'UPDATE feed_number SET newest = (SELECT MAX(id) FROM change_feed)', []);
  await fillProbes(pool, await houseNow(pool));
  // The hourly work of a year.
  while ((await thinPlans(pool)) > 0);
  const cleared = async () => (await count('change_feed')) - (await count('place_day'));
  for (let before = -1, now = await cleared(); now !== before; now = await cleared()) {
    before = now;
    await clearUp(pool);
  }
  console.log(
    `\nA year: ${await count('floor_event')} events, ${await count('plan_version')} plan versions, ${await count('planned_step')} planned steps, ${await count('evidence')} pieces of evidence, ${await count('place_minute')} minutes of readings`,
  );
}
