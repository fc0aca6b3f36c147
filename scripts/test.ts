/**
 * Every check and test on a MariaDB of its own, a few suites at a time, the longest first. Ends with one line: N passed, N
 * failed.
 * Started by bin/test. Name suites to run only those: bin/test unit morning.
 */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { startDatabase, type Database } from './lib/mariadb';
import { prepareEnvironment } from '../test-support/environment';
import { freePort } from './lib/ports';

/** How checks and tests went, and which did not hold, to be named once more at the end. */
interface Tally {
  passed: number;
  failed: string[];
}

const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-test-'));
const bin = (name: string) => join('node_modules', '.bin', name);
let database: Promise<Database> | null = null;

/** What a suite writes; kept until it is over, so that no two suites talk at once. */
type Output = Buffer[];

function run(
  command: string,
  args: string[],
  { env = {}, output }: { env?: Record<string, string>; output: Output },
): Promise<number> {
  return new Promise((done) => {
    const child = spawn(command, args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    const keep = (part: Buffer) => output.push(part);
    child.stdout.on('data', keep);
    child.stderr.on('data', keep);
    child.on('error', (error) => {
      console.error(`${command}: ${error.message}`);
      done(1);
    });
    child.on('exit', (code) => done(code ?? 1));
  });
}

/** A check that holds or does not. */
const check =
  (command: string, args: string[]) =>
  async (output: Output): Promise<Tally> => {
    const code = await run(bin(command), args, { output });
    return code === 0 ? { passed: 1, failed: [] } : { passed: 0, failed: [command] };
  };

/** What a runner's report says; a runner that fails without a failed test counts as one failure. */
function counted(code: number, file: string, read: (report: unknown) => Tally): Tally {
  try {
    const tally = read(JSON.parse(readFileSync(file, 'utf8')));
    const silent = code !== 0 && tally.failed.length === 0;
    const empty = tally.passed + tally.failed.length === 0;
    return silent || empty
      ? { ...tally, failed: [...tally.failed, `the runner ended with ${code} without a failed test`] }
      : tally;
  } catch {
    return { passed: 0, failed: ['the runner left no report'] };
  }
}

/** How much is said once more of why a test failed: the run's own output is long, and may be cut at its start. */
const WHY = 900;

const why = (messages: readonly string[]): string =>
  messages
    .map((text) => `\n    ${stripVTControlCharacters(text).slice(0, WHY).replaceAll('\n', '\n    ')}`)
    .join('');

interface VitestReport {
  numPassedTests: number;
  testResults: {
    name: string;
    assertionResults: { status: string; fullName: string; failureMessages: string[] }[];
  }[];
}

const failedInVitest = ({ testResults }: VitestReport): string[] =>
  testResults.flatMap(({ name, assertionResults }) =>
    assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => `${relative('.', name)}: ${fullName}${why(failureMessages)}`),
  );

interface PlaywrightSuite {
  suites?: PlaywrightSuite[];
  specs?: {
    title: string;
    file: string;
    tests: { status: string; results: { errors: { message?: string }[] }[] }[];
  }[];
}

/** A test that held only at its second run is none that holds. */
const failedInPlaywright = ({ suites = [], specs = [] }: PlaywrightSuite): string[] => [
  ...specs
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected' || status === 'flaky'))
    .map(({ title, file, tests }) => {
      const errors = tests.flatMap(({ results }) => results.flatMap((result) => result.errors));
      return `${file}: ${title}${why(errors.map(({ message = '' }) => message))}`;
    }),
  ...suites.flatMap(failedInPlaywright),
];

async function vitest(project: string, output: Output, env: Record<string, string> = {}): Promise<Tally> {
  const file = join(scratch, `${project}.json`);
  const args = [
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ];
  const code = await run(bin('vitest'), args, { env, output });
  return counted(code, file, (report) => ({
    passed: (report as VitestReport).numPassedTests,
    failed: failedInVitest(report as VitestReport),
  }));
}

/** A server whose own zone is not UTC, and changes its clocks: none of that may be seen. */
const DATABASE_ZONE = 'Europe/Berlin';

function theDatabase(): Promise<Database> {
  const home = join(scratch, 'database');
  mkdirSync(home, { recursive: true });
  return (database ??= freePort().then((port) => startDatabase(home, port, 'only-for-tests', DATABASE_ZONE)));
}

/** Browser tests on a bakery of their own, in the application as it was built. */
async function played(config: string, output: Output): Promise<Tally> {
  const file = join(scratch, `${config}.json`);
  const db = await theDatabase();
  const code = await run(bin('playwright'), ['test', '--config', config, '--reporter=list,json'], {
    env: {
      HEFETEIG_TEST_DATABASE: db.url(''),
      HEFETEIG_BUILD: 'build/test',
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    },
    output,
  });
  return counted(code, file, (report) => ({
    passed: (report as { stats: { expected: number } }).stats.expected,
    failed: failedInPlaywright(report as PlaywrightSuite),
  }));
}

/** Not a test: takes the pictures of docs/screenshots anew, from the same build and demo data. */
async function pictures(): Promise<Tally> {
  const output: Output = [];
  const tally = await played('playwright.screenshots.config.ts', output);
  process.stdout.write(Buffer.concat(output));
  return tally;
}

prepareEnvironment();

/** The longest first, so that none is left to run alone at the end. */
const SUITES: Record<string, (output: Output) => Promise<Tally>> = {
  morning: (output) => played('playwright.config.ts', output),
  floor: (output) => played('playwright.floor.config.ts', output),
  server: async (output) =>
    vitest('server', output, { HEFETEIG_TEST_DATABASE: (await theDatabase()).url('') }),
  planning: (output) => played('playwright.planning.config.ts', output),
  unit: (output) => vitest('unit', output),
  lint: check('eslint', ['--max-warnings', '0', '.']),
  views: (output) => vitest('views', output),
  types: check('tsc', ['--noEmit']),
  own: (output) => played('playwright.own.config.ts', output),
  nights: (output) => played('playwright.nights.config.ts', output),
  readable: (output) => played('playwright.views.config.ts', output),
  languages: (output) => played('playwright.languages.config.ts', output),
  imports: check('depcruise', ['--config', '.dependency-cruiser.mjs', 'src']),
  format: check('prettier', ['--check', '--log-level', 'warn', '.']),
};

/** Suites at a time: one more than there are processors, since browsers and the server's tests often wait. */
const LANES = availableParallelism() + 1;

/** Takes one suite after the other until none is left, and adds up how they went. */
async function lane(waiting: string[], total: Tally): Promise<void> {
  for (let name = waiting.shift(); name !== undefined; name = waiting.shift()) {
    const begun = performance.now();
    const output: Output = [];
    const { passed, failed } = await (SUITES[name] as (output: Output) => Promise<Tally>)(output);
    total.passed += passed;
    total.failed.push(...failed.map((what) => `${name}: ${what}`));
    process.stdout.write(Buffer.concat(output));
    console.log(
      `\n== ${name}: ${failed.length === 0 ? 'ok' : 'FAILED'} in ${((performance.now() - begun) / 1000).toFixed(0)} s\n`,
    );
  }
}

async function main(): Promise<number> {
  const named = process.argv.slice(2);
  if (named[0] === 'screenshots') return (await pictures()).failed.length;
  const unknown = named.find((name) => !(name in SUITES));
  if (unknown) throw new Error(`There is no suite ${unknown}; there are ${Object.keys(SUITES).join(', ')}.`);
  const wanted = named.length > 0 ? named : Object.keys(SUITES);
  const total: Tally = { passed: 0, failed: [] };
  const waiting = [...wanted];
  await Promise.all(Array.from({ length: LANES }, () => lane(waiting, total)));
  for (const what of total.failed) console.log(`failed: ${what}`);
  console.log(`${total.passed} passed, ${total.failed.length} failed`);
  return total.failed.length === 0 ? 0 : 1;
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
