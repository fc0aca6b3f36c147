/** A worker thread that plans: takes problems, answers with solutions, one after the other. */
import { parentPort } from 'node:worker_threads';
import type { PlanProblem, Times } from '@/core/solver/problem';
import { solveWithAlternatives, type Solution } from '@/core/solver/solve';

/** `until`: epoch ms, or seconds from when the thread takes it up. `stop`: shared; not 0, the search ends at once. */
export interface PlanRequest {
  id: number;
  problem: PlanProblem;
  until: { at: number } | { seconds: number };
  seed: number;
  stop?: Int32Array;
  from?: Times;
}

/** A better plan on the way, or the end. */
export type PlanAnswer = { id: number; better: number; late: string[] } | { id: number; solution: Solution };

parentPort?.on('message', ({ id, problem, until, seed, stop, from }: PlanRequest) => {
  const whole = 'at' in until ? until.at - Date.now() : until.seconds * 1000;
  const solution = solveWithAlternatives(problem, (share) => {
    const deadline = Date.now() + whole * share;
    return {
      seed,
      shouldStop: () => Date.now() > deadline || (stop !== undefined && Atomics.load(stop, 0) !== 0),
      onBetter: (better, late) => parentPort?.postMessage({ id, better, late } satisfies PlanAnswer),
      ...(from ? { from } : {}),
    };
  });
  parentPort?.postMessage({ id, solution } satisfies PlanAnswer);
});
