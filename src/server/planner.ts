import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import type { PlanProblem } from '@/core/planning/problem';
import type { Solution } from '@/core/planning/solve';
import type { PlanAnswer, PlanRequest } from '@/workers/plan-thread';

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
    thread.worker.postMessage({ id, problem, seconds, seed } satisfies PlanRequest);
  });
}

function startThread(): Thread {
  // The thread runs from its source, outside the bundle, so it brings its own TypeScript loader.
  const file = pathToFileURL(join(process.cwd(), 'src', 'workers', 'plan-thread.ts')).href;
  const start = `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(file)}); })`;
  const worker = new Worker(start, { eval: true, execArgv: [] });
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
