/**
 * `npm run --silent plan -- problem.json --seconds 5 --seed 1` prints the plan.
 *
 * Exit 0 with a feasible plan, 2 with an infeasible one; 1 where the file is faulty (every fault on a line of its
 * own) or where time ran out before a plan was found or shown to be impossible.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { parseProblem } from '@/core/planning/parse';
import { solve } from '@/core/planning/solve';

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

function main(): number {
  const begun = performance.now();
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
  const until = begun + args.seconds * 1000;
  const solution = solve(problem, { seed: args.seed, shouldStop: () => performance.now() > until });
  if (!solution) {
    console.error(
      `No plan was found within ${args.seconds} s, nor shown to be impossible. More seconds may help.`,
    );
    return 1;
  }
  console.log(JSON.stringify(solution.plan));
  return solution.plan.status === 'feasible' ? 0 : 2;
}

process.exitCode = main();
