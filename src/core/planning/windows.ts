import type { Model } from './model';

/** Earliest and latest starts and ends by task index. */
export interface Windows {
  startFrom: Int32Array;
  startTo: Int32Array;
  endFrom: Int32Array;
  endTo: Int32Array;
}

/** The windows as horizon, now, releases, deadlines and pins alone give them. */
export function ownWindows(model: Model): Windows {
  const of = (pick: (task: Model['tasks'][number]) => number) => Int32Array.from(model.tasks, pick);
  return {
    startFrom: of((t) => t.startFrom),
    startTo: of((t) => t.startTo),
    endFrom: of((t) => t.endFrom),
    endTo: of((t) => t.endTo),
  };
}

/**
 * Narrows the windows of the `members` through lengths and links, until nothing moves. Tasks outside count as they
 * stand in `windows`. Returns false as soon as a task has no time left: then no plan keeps all links and lengths.
 */
export function narrow(model: Model, windows: Windows, members: readonly number[]): boolean {
  const { startFrom, startTo, endFrom, endTo } = windows;
  const inside = new Set(members);
  const queue = [...members];
  const queued = new Set(members);
  const at = (array: Int32Array, i: number) => array[i] as number;

  for (let head = 0; head < queue.length; head++) {
    const i = queue[head] as number;
    queued.delete(i);
    const task = model.tasks[i] as Model['tasks'][number];
    let [sFrom, sTo, eFrom, eTo] = [at(startFrom, i), at(startTo, i), at(endFrom, i), at(endTo, i)];
    for (const { from, min, max } of task.before) {
      sFrom = Math.max(sFrom, at(endFrom, from) + min);
      sTo = Math.min(sTo, at(endTo, from) + max);
    }
    for (const { to, min, max } of task.after) {
      eFrom = Math.max(eFrom, at(startFrom, to) - max);
      eTo = Math.min(eTo, at(startTo, to) - min);
    }
    eFrom = Math.max(eFrom, sFrom + task.min);
    eTo = Math.min(eTo, sTo + task.max);
    sFrom = Math.max(sFrom, eFrom - task.max);
    sTo = Math.min(sTo, eTo - task.min);
    if (sFrom > sTo || eFrom > eTo) return false;
    const moved =
      sFrom !== at(startFrom, i) ||
      sTo !== at(startTo, i) ||
      eFrom !== at(endFrom, i) ||
      eTo !== at(endTo, i);
    if (!moved) continue;
    startFrom[i] = sFrom;
    startTo[i] = sTo;
    endFrom[i] = eFrom;
    endTo[i] = eTo;
    for (const { from } of task.before) if (inside.has(from) && !queued.has(from)) enqueue(from);
    for (const { to } of task.after) if (inside.has(to) && !queued.has(to)) enqueue(to);
    if (!queued.has(i)) enqueue(i);
  }
  return true;

  function enqueue(i: number) {
    queued.add(i);
    queue.push(i);
  }
}

/** The tasks that these windows leave but one place, with that place. */
export function pinnedPlaces({
  startFrom,
  startTo,
  endFrom,
  endTo,
}: Windows): { task: number; start: number; end: number }[] {
  return Array.from(startFrom, (start, task) => ({ task, start, end: endFrom[task] as number })).filter(
    ({ task, start, end }) => start === startTo[task] && end === endTo[task],
  );
}
