/** A worker thread that plans: takes problems, answers with solutions, one after the other. */
import { parentPort } from 'node:worker_threads';
import type { PlanProblem } from '@/core/planning/problem';
import { solve, type Solution } from '@/core/planning/solve';

/** `deadline`: until when to look for something better, epoch ms. */
export interface PlanRequest {
  id: number;
  problem: PlanProblem;
  deadline: number;
  seed: number;
}

export interface PlanAnswer {
  id: number;
  solution: Solution;
}

parentPort?.on('message', ({ id, problem, deadline, seed }: PlanRequest) => {
  const solution = solve(problem, { seed, shouldStop: () => Date.now() > deadline });
  parentPort?.postMessage({ id, solution } satisfies PlanAnswer);
});
