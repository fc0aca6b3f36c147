import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { seeded } from '@/core/planning/random';
import { migrate } from '@/server/db/migrate';
import { connect } from '@/server/db/pool';
import { rowsOf } from '@/server/db/rows';
import { seedDemo } from '@/server/demo/seed';
import { startApplication } from '../scripts/lib/application';
import { createDatabase, startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { post, sessionOf } from './tablet';

/** What became of the taps. All of them were answered in the end; `kills` in order, what was killed. */
export interface FaultReport {
  taps: number;
  kills: ('application' | 'database')[];
  /** Requests that got no answer, cut off by a kill or by the tablet's own network. */
  unanswered: number;
  lost: number;
  doubled: number;
}

const TABLETS = ['Mara', 'Jonas', 'Ida', 'Selma'];
const PASSWORD = 'only-for-faults';
/** One request in so many is cut off by its tablet, and one answer in so many is asked for twice. */
const CUT = 12;
const TWICE = 9;

/**
 * Four tablets record notes as fast as they are answered, each again with its own id until it is, while application and
 * database are killed without a word at random moments and started again. Then every note has to be there once.
 */
export async function faultRun(options: {
  taps: number;
  kills: number;
  seed: number;
  build: string;
}): Promise<FaultReport> {
  const random = seeded(options.seed);
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-faults-'));
  const [databasePort, port] = [await freePort(), await freePort()];
  let database = await startDatabase(scratch, databasePort, PASSWORD);
  const databaseUrl = await createDatabase(database, 'faults');
  await migrate(databaseUrl);
  const pool = connect(databaseUrl);
  await seedDemo(pool);
  await pool.query('UPDATE demo_clock SET paused = TRUE');
  const [dough] = await rowsOf<{ doughId: number; stepKey: string }>(
    pool,
    'SELECT dough_id AS doughId, step_key AS stepKey FROM planned_step ORDER BY start_at DESC LIMIT 1',
  );
  await pool.end();
  const start = () =>
    startApplication({ build: options.build, port, databaseUrl, log: join(scratch, 'application.log') });
  let application = await start();
  const { address } = application;

  let next = 0;
  let answered = 0;
  let unanswered = 0;
  const record = (cookie: string, tap: unknown, patience?: number) =>
    post(address, cookie, '/api/commands/record-event', tap, patience);
  const tablet = async (cookie: string) => {
    while (next < options.taps) {
      const tap = { ...dough, id: uuidv7(), kind: 'note', text: `tap ${next++}` };
      for (let arrived = false; !arrived;) {
        const cut = random.below(CUT) === 0 ? 1 + random.below(20) : 20_000;
        try {
          arrived = (await record(cookie, tap, cut)).ok;
        } catch {
          unanswered++;
        }
        if (!arrived) await new Promise((done) => setTimeout(done, 30));
        else if (random.below(TWICE) === 0) arrived = await twice(cookie, tap);
      }
      answered++;
    }
  };
  /** The answer was lost on its way: the tablet asks again, and does not mind whether it is answered now. */
  const twice = async (cookie: string, tap: unknown) => {
    await record(cookie, tap).catch(() => unanswered++);
    return true;
  };

  const kills: FaultReport['kills'] = [];
  const killer = async () => {
    while (kills.length < options.kills) {
      const at = answered + 1 + random.below(Math.floor(options.taps / (options.kills + 1)));
      while (answered < at && answered < options.taps) await new Promise((done) => setTimeout(done, 5));
      if (answered >= options.taps) return;
      const what = kills.length % 2 === 0 ? 'application' : 'database';
      const { process: victim } = what === 'application' ? application : database;
      const gone = new Promise((done) => victim.once('exit', done));
      victim.kill('SIGKILL');
      await gone;
      if (what === 'application') application = await start();
      else database = await startDatabase(scratch, databasePort, PASSWORD);
      kills.push(what);
    }
  };

  try {
    const cookies = await Promise.all(TABLETS.map((name) => sessionOf(address, name)));
    await Promise.all([...cookies.map(tablet), killer()]);
    const check = connect(databaseUrl);
    const found = await rowsOf<{ times: number }>(
      check,
      "SELECT COUNT(*) AS times FROM floor_event WHERE text LIKE 'tap %' GROUP BY text",
    );
    await check.end();
    const doubled = found.filter(({ times }) => times > 1).length;
    return { taps: options.taps, kills, unanswered, lost: options.taps - found.length, doubled };
  } finally {
    await application.stop();
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}
