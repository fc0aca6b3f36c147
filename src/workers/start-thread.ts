import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';

/** Starts a planning thread (`plan-thread.ts`); it listens for `PlanRequest` and answers with `PlanAnswer`. */
export function startPlanThread(): Worker {
  // The thread runs from its source, outside the bundle, so it brings its own TypeScript loader.
  const file = pathToFileURL(join(process.cwd(), 'src', 'workers', 'plan-thread.ts')).href;
  const start = `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(file)}); })`;
  return new Worker(start, { eval: true, execArgv: [] });
}
