import type { Worker } from 'node:worker_threads';
import type { PlanProblem } from '@/core/planning/problem';
import type { Solution } from '@/core/planning/solve';
import type { PlanAnswer, PlanRequest } from '@/workers/plan-thread';
import { startPlanThread } from '@/workers/start-thread';

/** The planner's thread of this process and who waits for its answers. */
interface Thread {
  worker: Worker;
  waiting: Map<number, { resolve: (solution: Solution) => void; reject: (error: Error) => void }>;
  lastId: number;
}

const held = globalThis as { hefeteigPlanner?: Thread | null };

/** Plans in a thread of its own, so that the floor's taps are answered meanwhile. Fails if the thread dies. */
export function planInThread(problem: PlanProblem, seconds: number, seed = 1): Promise<Solution> {
  const thread = (held.hefeteigPlanner ??= startThread());
  const id = ++thread.lastId;
  return new Promise((resolve, reject) => {
    thread.waiting.set(id, { resolve, reject });
    thread.worker.ref();
    const deadline = Date.now() + seconds * 1000;
    thread.worker.postMessage({ id, problem, deadline, seed } satisfies PlanRequest);
  });
}

function startThread(): Thread {
  const worker = startPlanThread();
  const thread: Thread = { worker, waiting: new Map(), lastId: 0 };
  worker.on('message', ({ id, solution }: PlanAnswer) => {
    thread.waiting.get(id)?.resolve(solution);
    thread.waiting.delete(id);
    if (thread.waiting.size === 0) worker.unref();
  });
  const lost = (error: Error) => {
    if (held.hefeteigPlanner === thread) held.hefeteigPlanner = null;
    for (const { reject } of thread.waiting.values()) reject(error);
    thread.waiting.clear();
  };
  worker.on('error', lost);
  worker.on('exit', () => lost(new Error('The planning thread ended.')));
  return thread;
}
