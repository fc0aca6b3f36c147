import type { Worker } from 'node:worker_threads';
import type { PlanProblem, Times } from '@/core/solver/problem';
import type { Solution } from '@/core/solver/solve';
import type { PlanAnswer, PlanRequest } from '@/workers/plan-thread';
import { startPlanThread } from '@/workers/start-thread';

/** How a plan is looked for. */
export interface Search {
  seconds: number;
  seed?: number;
  /** A plan to begin from. */
  from?: Times;
  /** Told of each better plan, and of the ids of the promises that are late in it. */
  onBetter?: (cost: number, late: string[]) => void;
  /** Ends the search with the best so far. */
  signal?: AbortSignal;
}

interface Waiting {
  resolve: (solution: Solution) => void;
  reject: (error: Error) => void;
  onBetter?: Search['onBetter'] | undefined;
}

/** The planner's thread of this process and who waits for its answers. */
interface Thread {
  worker: Worker;
  waiting: Map<number, Waiting>;
  lastId: number;
}

const held = globalThis as { hefeteigPlanner?: Thread | null };

/** The planner's thread ended before it had an answer. */
export class PlannerLost extends Error {}

/** Plans in a thread of its own, so that the floor's taps are answered meanwhile. Fails if the thread dies. */
export function planInThread(
  problem: PlanProblem,
  { seconds, seed = 1, from, onBetter, signal }: Search,
): Promise<Solution> {
  const thread = (held.hefeteigPlanner ??= startThread());
  const id = ++thread.lastId;
  return new Promise((resolve, reject) => {
    thread.waiting.set(id, { resolve, reject, onBetter });
    thread.worker.ref();
    // A thread at work reads no messages, but it sees this number change.
    const stop = new Int32Array(new SharedArrayBuffer(4));
    const end = () => Atomics.store(stop, 0, 1);
    if (signal?.aborted) end();
    signal?.addEventListener('abort', end);
    const request: PlanRequest = { id, problem, until: { seconds }, seed, stop, ...(from ? { from } : {}) };
    thread.worker.postMessage(request);
    watch(thread, id, seconds);
  });
}

/** Seconds that a search may take beyond its time, to say what cannot be: after that the thread hangs and is given up. */
const GRACE = 30;

function watch({ worker, waiting }: Thread, id: number, seconds: number): void {
  const timer = setTimeout(
    () => {
      if (waiting.has(id)) void worker.terminate();
    },
    (seconds + GRACE) * 1000,
  );
  timer.unref();
}

/** Ends the planner's thread, as a crash would; whoever waits for it is told. */
export async function endPlanner(): Promise<void> {
  await held.hefeteigPlanner?.worker.terminate();
}

function startThread(): Thread {
  const worker = startPlanThread();
  const thread: Thread = { worker, waiting: new Map(), lastId: 0 };
  worker.on('message', (answer: PlanAnswer) => {
    const waiting = thread.waiting.get(answer.id);
    if ('better' in answer) {
      waiting?.onBetter?.(answer.better, answer.late);
      return;
    }
    waiting?.resolve(answer.solution);
    thread.waiting.delete(answer.id);
    if (thread.waiting.size === 0) worker.unref();
  });
  const lost = (error: Error) => {
    if (held.hefeteigPlanner === thread) held.hefeteigPlanner = null;
    for (const { reject } of thread.waiting.values()) reject(error);
    thread.waiting.clear();
  };
  worker.on('error', (error) => lost(new PlannerLost(error.message)));
  worker.on('exit', () => lost(new PlannerLost('The planning thread ended.')));
  return thread;
}
