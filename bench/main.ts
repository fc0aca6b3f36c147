import { conditionsOf } from '@/core/wire/board';
/**
 * `npm run bench`: the numbers the product has to hold, measured on the build in build/app. Medians, since machines
 * are noisy. `npm run bench -- --plans 10` also runs the engine on every public plan problem for that many seconds;
 * `--faults 1000` makes so many taps on ten tablets through a bad night; `--year` holds the first day against one after a
 * year of use; `--weeks 4` lets the simulated crew work so long; `--causes` judges batches with one known mishap; `--probes`
 * asks a year of readings of ten probes. With `--only` nothing is measured but what is named.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { brotliCompressSync, constants } from 'node:zlib';
import { chromium, type Page, type Request } from '@playwright/test';
import { agenda } from '@/core/shopfloor/agenda';
import { forecastDough } from '@/core/forecast/forecast';
import { PEOPLE } from '@/server/demo/bakery';
import { connect } from '@/server/db/pool';
import { migrate } from '@/server/db/migrate';
import { seedDemo } from '@/server/demo/seed';
import { board } from '@/server/store/board';
import { houseNow } from '@/server/store/clock';
import { packedMessages } from '@/words/compile';
import { type Area, type Language, LANGUAGES } from '@/words/message';
import { startApplication } from '../scripts/lib/application';
import { createDatabase, startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { areasOf } from '../test-support/areas-of';
import { prepareEnvironment } from '../test-support/environment';
import { causes } from './causes';
import { faults } from './faults';
import { fillHouse } from './fill';
import { LAMINATION } from './lamination';
import { load } from './load';
import { planningWork } from './planning';
import { fillProbes, readingsWork } from './readings';
import { row, share, median, timed } from './measure';
import { weeks } from './weeks';
import { year } from './year';

const LOAD_SECONDS = 30;
const { values } = parseArgs({
  options: {
    plans: { type: 'string' },
    faults: { type: 'string' },
    probes: { type: 'boolean', default: false },
    year: { type: 'boolean', default: false },
    weeks: { type: 'string' },
    causes: { type: 'boolean', default: false },
    only: { type: 'boolean', default: false },
  },
});

async function signIn(page: Page, address: string, name: string): Promise<void> {
  await page.goto(`${address}/sign-in`);
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await page.locator('input[type=password]').fill(PEOPLE.find((p) => p.name === name)?.pin ?? '');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/(plan|bench)$/);
}

/** What the scripts of a page cost on the line, kB. */
async function scriptSize(page: Page, url: string): Promise<number> {
  const sizes: Promise<number>[] = [];
  const listen = (request: Request) => {
    if (request.resourceType() === 'script')
      sizes.push(request.sizes().then(({ responseBodySize }) => Math.max(0, responseBodySize)));
  };
  page.on('requestfinished', listen);
  await page.goto(url, { waitUntil: 'networkidle', timeout: 20_000 }).catch(() => undefined);
  page.off('requestfinished', listen);
  return (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000;
}

/** What the words of a page cost on the line in a language, those of every page among them, kB: packed as the server does. */
function wordSize(file: string, language: Language): number {
  const areas = ['src/app/layout.tsx', 'src/ui/shell/shell.tsx', file].flatMap((one) => [...areasOf(one)]);
  const text = packedMessages(language, [...new Set(areas)] as Area[]);
  return brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } }).length / 1000;
}

async function main(): Promise<void> {
  prepareEnvironment();
  if (!values.only) await everyday();
  if (values.faults) await faults(Number(values.faults));
  if (values.year) await year();
  if (values.weeks) await weeks(Number(values.weeks));
  if (values.causes) causes();
  if (values.plans) plans(values.plans);
}

async function everyday(): Promise<void> {
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-bench-'));
  const database = await startDatabase(scratch, await freePort(), 'only-for-the-bench');
  const url = await createDatabase(database, 'bench');
  await migrate(url);
  const pool = connect(url, 10, 0);
  await seedDemo(pool);
  await pool.query('UPDATE demo_clock SET paused = TRUE');
  await fillHouse(pool);
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
    const all = await planner.context().cookies();
    const ask = async (path: string) => {
      const headers = { cookie: all.map(({ name, value }) => `${name}=${value}`).join('; ') };
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
      const scripts = await scriptSize(fresh, application.address + path);
      row(`scripts of ${path}, as sent`, `${scripts.toFixed(0)} kB`, '');
      if (path === '/bench')
        for (const language of LANGUAGES)
          row(
            `the same with its words in ${language}`,
            `${(scripts + wordSize('src/app/(house)/bench/page.tsx', language)).toFixed(0)} kB`,
            '200 kB',
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
      `${(
        await timed(() =>
          agenda(
            shown.doughs.map((dough) => forecastDough(dough, conditionsOf(shown), now)),
            now,
          ),
        )
      ).toFixed(1)} ms`,
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
}

function plans(seconds: string): void {
  const folder = process.env.HEFETEIG_PROBLEMS ?? 'test-data/plan/problems';
  const engine = 'npm run --silent plan -- {problem} --seconds {s}';
  console.log('');
  execFileSync(
    process.execPath,
    ['test-data/plan/score.mjs', '--folder', folder, '--seconds', seconds, engine],
    { stdio: 'inherit' },
  );
}

await main();
