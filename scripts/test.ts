/**
 * Every check and test on a MariaDB of its own: the browser's, which mostly wait, beside all others. Ends with one line: N
 * passed, N failed.
 * Started by bin/test. Name suites to run only those: bin/test unit browser.
 */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase, type Database } from './lib/mariadb';
import { prepareEnvironment } from '../test-support/environment';
import { freePort } from './lib/ports';

interface Tally {
  passed: number;
  failed: number;
}

/** The suite that has a lane of its own. */
const BROWSER = 'browser';

const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-test-'));
const bin = (name: string) => join('node_modules', '.bin', name);
let database: Promise<Database> | null = null;

/** Where a lane's suites write; kept until a suite is over, so that no two suites talk at once. */
const said = new Map<string, Buffer[]>();

function run(
  command: string,
  args: string[],
  { env = {}, lane }: { env?: Record<string, string>; lane?: string } = {},
): Promise<number> {
  return new Promise((done) => {
    const child = spawn(command, args, {
      stdio: lane === undefined ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    const keep = (part: Buffer) => said.get(lane ?? '')?.push(part);
    child.stdout?.on('data', keep);
    child.stderr?.on('data', keep);
    child.on('error', (error) => {
      console.error(`${command}: ${error.message}`);
      done(1);
    });
    child.on('exit', (code) => done(code ?? 1));
  });
}

/** A check that holds or does not. */
async function check(command: string, args: string[]): Promise<Tally> {
  const code = await run(command, args);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
}

/** Counts from a runner's report; a runner that fails without a failed test counts as one failure. */
function counted(code: number, file: string, read: (report: unknown) => Tally): Tally {
  try {
    const tally = read(JSON.parse(readFileSync(file, 'utf8')));
    const silent = code !== 0 && tally.failed === 0;
    const empty = tally.passed + tally.failed === 0;
    return silent || empty ? { ...tally, failed: tally.failed + 1 } : tally;
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function vitest(project: string, env: Record<string, string> = {}): Promise<Tally> {
  const file = join(scratch, `${project}.json`);
  const args = [
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ];
  const code = await run(bin('vitest'), args, { env });
  return counted(code, file, (report) => {
    const { numPassedTests, numFailedTests } = report as { numPassedTests: number; numFailedTests: number };
    return { passed: numPassedTests, failed: numFailedTests };
  });
}

/** A server whose own zone is not UTC, and changes its clocks: none of that may be seen. */
const DATABASE_ZONE = 'Europe/Berlin';

function theDatabase(): Promise<Database> {
  const home = join(scratch, 'database');
  mkdirSync(home, { recursive: true });
  return (database ??= freePort().then((port) => startDatabase(home, port, 'only-for-tests', DATABASE_ZONE)));
}

/** One morning on one bakery; then planning and the floor on others, which would move what the morning works on. */
async function browser(): Promise<Tally> {
  const morning = await played('playwright.config.ts');
  const planning = await played('playwright.planning.config.ts');
  const floor = await played('playwright.floor.config.ts');
  const all = [morning, planning, floor];
  return {
    passed: all.reduce((sum, { passed }) => sum + passed, 0),
    failed: all.reduce((sum, { failed }) => sum + failed, 0),
  };
}

async function played(config: string): Promise<Tally> {
  const file = join(scratch, `${config}.json`);
  const db = await theDatabase();
  const code = await run(bin('playwright'), ['test', '--config', config, '--reporter=list,json'], {
    env: {
      HEFETEIG_TEST_DATABASE: db.url(''),
      HEFETEIG_BUILD: 'build/test',
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    },
    lane: BROWSER,
  });
  return counted(code, file, (report) => {
    const { stats } = report as { stats: { expected: number; flaky: number; unexpected: number } };
    return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
  });
}

/** Not a test: takes the pictures of docs/screenshots anew, from the same build and demo data. */
async function pictures(): Promise<Tally> {
  const db = await theDatabase();
  const env = { HEFETEIG_TEST_DATABASE: db.url(''), HEFETEIG_BUILD: 'build/test' };
  const code = await run(
    bin('playwright'),
    ['test', '--config', 'playwright.screenshots.config.ts', '--reporter=list'],
    { env },
  );
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
}

prepareEnvironment();

const SUITES: Record<string, () => Promise<Tally>> = {
  format: () => check(bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  lint: () => check(bin('eslint'), ['--max-warnings', '0', '.']),
  imports: () => check(bin('depcruise'), ['--config', '.dependency-cruiser.mjs', 'src']),
  types: () => check(bin('tsc'), ['--noEmit']),
  unit: () => vitest('unit'),
  views: () => vitest('views'),
  server: async () => vitest('server', { HEFETEIG_TEST_DATABASE: (await theDatabase()).url('') }),
  [BROWSER]: browser,
};

/** Runs suites one after the other, and adds up how they went. */
async function inOrder(names: readonly string[], total: Tally): Promise<void> {
  for (const name of names) {
    const begun = performance.now();
    said.set(name, []);
    const { passed, failed } = await (SUITES[name] as () => Promise<Tally>)();
    total.passed += passed;
    total.failed += failed;
    process.stdout.write(Buffer.concat(said.get(name) ?? []));
    console.log(
      `\n== ${name}: ${failed === 0 ? 'ok' : 'FAILED'} in ${((performance.now() - begun) / 1000).toFixed(0)} s\n`,
    );
  }
}

async function main(): Promise<number> {
  const named = process.argv.slice(2);
  if (named[0] === 'screenshots') return (await pictures()).failed;
  const unknown = named.find((name) => !(name in SUITES));
  if (unknown) throw new Error(`There is no suite ${unknown}; there are ${Object.keys(SUITES).join(', ')}.`);
  const wanted = named.length > 0 ? named : Object.keys(SUITES);
  const total: Tally = { passed: 0, failed: 0 };
  const lanes = [wanted.filter((name) => name !== BROWSER), wanted.filter((name) => name === BROWSER)];
  await Promise.all(lanes.map((names) => inOrder(names, total)));
  console.log(`${total.passed} passed, ${total.failed} failed`);
  return total.failed === 0 ? 0 : 1;
}

async function cleanUp(): Promise<void> {
  await (await database)?.stop();
  rmSync(scratch, { recursive: true, force: true });
}

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void cleanUp().then(() => process.exit(1)));
void main()
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    return 1;
  })
  .then(async (code) => {
    await cleanUp();
    process.exit(code);
  });
