/** A worker thread that plans: takes problems, answers with solutions, one after the other. */
import { parentPort } from 'node:worker_threads';
import type { PlanProblem } from '@/core/planning/problem';
import { solve, type Solution } from '@/core/planning/solve';

/** `seconds`: how long to look for something better. */
export interface PlanRequest {
  id: number;
  problem: PlanProblem;
  seconds: number;
  seed: number;
}

export interface PlanAnswer {
  id: number;
  solution: Solution;
}

parentPort?.on('message', ({ id, problem, seconds, seed }: PlanRequest) => {
  const until = performance.now() + seconds * 1000;
  const solution = solve(problem, { seed, shouldStop: () => performance.now() > until });
  parentPort?.postMessage({ id, solution } satisfies PlanAnswer);
});
