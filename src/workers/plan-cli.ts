/**
 * `npm run --silent plan -- problem.json --seconds 5 --seed 1` prints the plan: where there is time, the better of two
 * searches, each with a seed of its own, the second in a thread beside this one.
 *
 * Exit 0 with a feasible plan, 2 with an infeasible one; 1 where the file is faulty (every fault on a line of its
 * own) or where time ran out before a plan was found or shown to be impossible.
 */
import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { parseProblem } from '@/core/solver/parse';
import type { PlanProblem } from '@/core/solver/problem';
import { solve, type Solution } from '@/core/solver/solve';
import type { PlanAnswer, PlanRequest } from './plan-thread';
import { startPlanThread } from './start-thread';

/** Seconds from which on a second thread earns what its start takes from the first. */
const LONG = 5;

const USAGE = 'usage: npm run --silent plan -- problem.json [--seconds 5] [--seed 1]';

function readArguments(): { file: string; seconds: number; seed: number } | null {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: { seconds: { type: 'string', default: '5' }, seed: { type: 'string', default: '1' } },
    });
    const [seconds, seed] = [Number(values.seconds), Number(values.seed)];
    const [file, ...rest] = positionals;
    if (!file || rest.length > 0 || !(seconds > 0) || !Number.isSafeInteger(seed)) return null;
    return { file, seconds, seed };
  } catch {
    return null;
  }
}

function readProblem(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    console.error(
      `${file} cannot be read as JSON: ${error instanceof Error ? error.message : String(error)}`,
    );
    return undefined;
  }
}

/** A second search for the same problem, in a thread beside this one. */
function secondSearch(problem: PlanProblem, deadline: number, seed: number) {
  const worker = startPlanThread();
  const answer = new Promise<Solution>((resolve, reject) => {
    worker.on('message', (answer: PlanAnswer) => {
      if ('solution' in answer) resolve(answer.solution);
    });
    worker.once('error', reject);
  });
  worker.postMessage({ id: 1, problem, until: { at: deadline }, seed } satisfies PlanRequest);
  return { answer, stop: () => worker.terminate() };
}

const costOf = (solution: Solution): number =>
  solution?.plan.status === 'feasible' ? solution.plan.cost : Infinity;

async function main(): Promise<number> {
  const begun = Date.now();
  const args = readArguments();
  if (!args) {
    console.error(USAGE);
    return 1;
  }
  const value = readProblem(args.file);
  if (value === undefined) return 1;
  const { problem, faults } = parseProblem(value);
  if (!problem) {
    console.error(faults.join('\n'));
    return 1;
  }
  const deadline = begun + args.seconds * 1000;
  const beside =
    availableParallelism() > 1 && args.seconds >= LONG
      ? secondSearch(problem, deadline, args.seed + 1000)
      : null;
  let solution = solve(problem, { seed: args.seed, shouldStop: () => Date.now() > deadline });
  if (beside && !solution?.proven) {
    const other = await beside.answer;
    if (!solution || costOf(other) < costOf(solution)) solution = other;
  }
  await beside?.stop();
  if (!solution) {
    console.error(
      `No plan was found within ${args.seconds} s, nor shown to be impossible. More seconds may help.`,
    );
    return 1;
  }
  console.log(JSON.stringify(solution.plan));
  return solution.plan.status === 'feasible' ? 0 : 2;
}

process.exitCode = await main();
