/**
 * `npm run bench`: the numbers the product has to hold, measured on the build in build/app. Medians, since machines
 * are noisy. `npm run bench -- --plans 10` also runs the engine on every public plan problem for that many seconds;
 * `--faults 1000` records so many taps while application and database are killed again and again; `--probes` asks a year of
 * readings of ten probes.
 */
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { gzipSync } from 'node:zlib';
import { chromium, type Page, type Response } from '@playwright/test';
import type { Pool } from 'mysql2/promise';
import { agenda } from '@/core/floor/agenda';
import { floorDough } from '@/core/floor/board';
import { PEOPLE } from '@/server/demo/bakery';
import { connect } from '@/server/db/pool';
import { migrate } from '@/server/db/migrate';
import { seedDemo } from '@/server/demo/seed';
import { board } from '@/server/queries/board';
import { houseNow } from '@/server/queries/clock';
import { startApplication } from '../scripts/lib/application';
import { createDatabase, startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { faultRun } from '../test-support/faults';
import { LAMINATION } from './lamination';
import { load } from './load';
import { planningWork } from './planning';
import { fillProbes, readingsWork } from './readings';

const TRIES = 15;
const LOAD_SECONDS = 30;
const { values } = parseArgs({
  options: {
    plans: { type: 'string' },
    faults: { type: 'string' },
    probes: { type: 'boolean', default: false },
  },
});

/** The number that so large a share of the numbers is below. */
function share(numbers: number[], part: number): number {
  return [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length * part)] ?? Number.NaN;
}

const median = (numbers: number[]) => share(numbers, 0.5);

function row(what: string, measured: string, wanted: string): void {
  console.log(`${what.padEnd(58)}${measured.padStart(12)}   ${wanted}`);
}

async function timed(work: () => unknown, tries = TRIES): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < tries; i++) {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  return median(times);
}

/** Copies the demo's doughs: to forty under way, and into the past as a year of log. */
async function fill(pool: Pool): Promise<void> {
  const copy = async (shiftDays: number, nth: number) => {
    const [doughs] = await pool.query('SELECT id, name FROM dough WHERE id <= 11');
    for (const { id, name } of doughs as { id: number; name: string }[]) {
      const [made] = await pool.query(
        `INSERT INTO dough (client_id, name, created_at, created_by)
         SELECT ?, ?, created_at - INTERVAL ? DAY, created_by FROM dough WHERE id = ?`,
        [randomUUID(), `${name}.${nth}`, shiftDays, id],
      );
      const copyId = (made as { insertId: number }).insertId;
      const [outputs] = await pool.query('SELECT id FROM dough_output WHERE dough_id = ? ORDER BY id', [id]);
      for (const output of outputs as { id: number }[]) {
        const [line] = await pool.query(
          `INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at)
           SELECT ?, product_version_id, pieces, due_at - INTERVAL ? DAY FROM dough_output WHERE id = ?`,
          [copyId, shiftDays, output.id],
        );
        const renamed = `IF(step_key LIKE '${output.id}.%', CONCAT('${(line as { insertId: number }).insertId}', SUBSTRING(step_key, ${String(output.id).length + 1})), step_key)`;
        await pool.query(
          `INSERT IGNORE INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at)
           SELECT plan_version_id, ?, ${renamed}, start_at - INTERVAL ? DAY, end_at - INTERVAL ? DAY
           FROM planned_step WHERE dough_id = ?`,
          [copyId, shiftDays, shiftDays, id],
        );
        await pool.query(
          `INSERT IGNORE INTO floor_event (id, dough_id, step_key, kind, at, person_id, celsius, text, data)
           SELECT UUID(), ?, ${renamed}, kind, at - INTERVAL ? DAY, person_id, celsius, text, data FROM floor_event WHERE dough_id = ?`,
          [copyId, shiftDays, id],
        );
      }
    }
  };
  for (let nth = 1; nth <= 3; nth++) await copy(0, nth);
  for (let week = 1; week <= 104; week++) await copy(3.5 * week, 100 + week);
}

async function signIn(page: Page, address: string, name: string): Promise<void> {
  await page.goto(`${address}/sign-in`);
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await page.locator('input[type=password]').fill(PEOPLE.find((p) => p.name === name)?.pin ?? '');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/(plan|bench)$/);
}

/** Compressed size of the scripts that a page loads, kB. */
async function scriptSize(page: Page, url: string): Promise<number> {
  const sizes: Promise<number>[] = [];
  const listen = (response: Response) => {
    if (response.request().resourceType() === 'script')
      sizes.push(response.body().then((body) => gzipSync(body).length));
  };
  page.on('response', listen);
  await page.goto(url, { waitUntil: 'networkidle', timeout: 20_000 }).catch(() => undefined);
  page.off('response', listen);
  return (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000;
}

async function main(): Promise<void> {
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-bench-'));
  const database = await startDatabase(scratch, await freePort(), 'only-for-the-bench');
  const url = await createDatabase(database, 'bench');
  await migrate(url);
  const pool = connect(url);
  await seedDemo(pool);
  await pool.query('UPDATE demo_clock SET paused = TRUE');
  await fill(pool);
  const application = await startApplication({
    build: 'build/app',
    port: await freePort(),
    databaseUrl: url,
    log: join(scratch, 'log'),
  });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const now = await houseNow(pool);
    const shown = await board(pool, now, 2);
    const [log] = (await pool.query('SELECT COUNT(*) AS n FROM floor_event'))[0] as { n: number }[];
    console.log(`${shown.doughs.length} doughs on the board, ${log?.n} events in the log\n`);
    row('what', 'median', 'at most');

    const planner = await (await browser.newContext()).newPage();
    await signIn(planner, application.address, 'Mara');
    // Asked by a bare client: a browser's own share is not the server's.
    const [cookie] = await planner.context().cookies();
    const ask = async (path: string) => {
      const headers = { cookie: `${cookie?.name}=${cookie?.value}` };
      const answer = await fetch(application.address + path, { headers });
      if (!answer.ok || answer.redirected) throw new Error(`${path} was not answered.`);
      await answer.text();
    };
    for (const path of ['/sign-in', '/plan', '/bench', '/dough/2']) {
      const ms = await timed(() => ask(path));
      row(`server response of ${path}`, `${ms.toFixed(0)} ms`, '150 ms');
    }
    for (const path of ['/sign-in', '/plan', '/bench', '/dough/2']) {
      const fresh = await (
        await browser.newContext({ storageState: await planner.context().storageState() })
      ).newPage();
      row(
        `JavaScript of ${path}, compressed`,
        `${(await scriptSize(fresh, application.address + path)).toFixed(0)} kB`,
        path === '/bench' ? '180 kB' : '',
      );
      await fresh.context().close();
    }

    const baker = await (await browser.newContext()).newPage();
    await signIn(baker, application.address, 'Jonas');
    const other = await (await browser.newContext()).newPage();
    await signIn(other, application.address, 'Ida');
    const here: number[] = [];
    const there: number[] = [];
    for (let i = 0; i < 6; i++) {
      const button = baker.getByRole('region', { name: 'Now' }).getByRole('button').first();
      const before = await button.textContent();
      const seen = await other.getByRole('main').innerText();
      here.push(
        await button.evaluate(async (element: HTMLElement) => {
          const begun = performance.now();
          const words = element.textContent;
          element.click();
          while (document.body.contains(element) && element.textContent === words)
            await new Promise(requestAnimationFrame);
          return performance.now() - begun;
        }),
      );
      const begun = performance.now();
      while ((await other.getByRole('main').innerText()) === seen && performance.now() - begun < 5000)
        await other.evaluate(() => new Promise(requestAnimationFrame));
      there.push(performance.now() - begun);
      if (before === null) break;
    }
    row('a tap until it shows, on this tablet', `${median(here).toFixed(0)} ms`, '50 ms');
    row('a tap until it shows, on another tablet', `${median(there).toFixed(0)} ms`, '1000 ms');
    row(
      'reading the board from the database',
      `${(await timed(() => board(pool, now, 2))).toFixed(0)} ms`,
      '',
    );
    row(
      'folding and sorting all doughs for the bench',
      `${(await timed(() => agenda(shown.doughs.map(floorDough), now))).toFixed(1)} ms`,
      '',
    );
    // Tablets draw on their own machines: those of this one would take from the house's computer what they never do.
    for (const context of browser.contexts()) await context.close();
    const { answered, told, unheard, readings, replans } = await load(
      application.address,
      shown.doughs.map(({ id, steps }) => ({ doughId: id, stepKey: steps[0]?.key ?? '' })),
      LOAD_SECONDS,
    );
    row(
      'busy: a tap until it is answered, median / 95 %',
      `${median(answered).toFixed(0)} / ${share(answered, 0.95).toFixed(0)} ms`,
      '',
    );
    row(
      'busy: a tap until 20 tablets know, median / 95 %',
      `${median(told).toFixed(0)} / ${share(told, 0.95).toFixed(0)} ms`,
      '1000 ms',
    );
    console.log(
      `busy: ${answered.length} taps, ${unheard} not heard everywhere, ${readings} readings, ${replans} replans answered`,
    );
    for (const { what, wanted, work } of [...LAMINATION, ...planningWork()])
      row(what, `${(await timed(work)).toFixed(1)} ms`, wanted);
    if (values.probes) {
      console.log(`\n${await fillProbes(pool, now)} readings`);
      for (const { what, wanted, work } of readingsWork(pool, now))
        row(what, `${(await timed(work, 5)).toFixed(0)} ms`, wanted);
      const ms = await timed(() => ask('/bench'));
      row('server response of /bench with them', `${ms.toFixed(0)} ms`, '150 ms');
    }
  } finally {
    await browser.close();
    await application.stop();
    await pool.end();
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
  if (values.faults) {
    const report = await faultRun({ taps: Number(values.faults), kills: 10, seed: 1, build: 'build/app' });
    console.log(
      `\n${report.taps} taps, ${report.kills.length} kills, ${report.unanswered} requests without an answer: ${report.lost} lost, ${report.doubled} doubled`,
    );
  }
  if (values.plans) {
    const folder = process.env.HEFETEIG_PROBLEMS ?? 'test-data/plan/problems';
    const engine = 'npm run --silent plan -- {problem} --seconds {s}';
    console.log('');
    execFileSync(
      process.execPath,
      ['test-data/plan/score.mjs', '--folder', folder, '--seconds', values.plans, engine],
      { stdio: 'inherit' },
    );
  }
}

await main();
