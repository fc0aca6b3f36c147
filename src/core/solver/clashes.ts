import type { PlanProblem, Task, Times } from './problem';

/** A rule that a plan breaks. Minutes of the horizon. */
export type Clash =
  /** More of a resource is held than there is, by `over` at the worst minute of `[from, to)`. */
  | { rule: 'too-much'; resource: string; from: number; to: number; over: number; tasks: string[] }
  /** Two tasks want a resource at different settings, with less than its changeover between them. */
  | { rule: 'setting'; resource: string; from: number; to: number; tasks: [string, string] }
  /** A task is shorter or longer than its window. */
  | { rule: 'length'; task: string; by: number }
  /** Two tasks follow one another too soon (below nothing) or too late. */
  | { rule: 'link'; from: string; to: string; by: number }
  /** A task starts before it may, ends after it may, or leaves its pin. */
  | { rule: 'time'; task: string };

/** Every hard rule that these times break, in no order; tasks without a time are looked over. */
export function clashes(problem: PlanProblem, times: Times): Clash[] {
  const holds = holdsByResource(problem.tasks, times);
  return [
    ...ruleClashes(problem, times),
    ...problem.resources.flatMap(({ id, capacity, changeover = 0 }) => {
      const own = holds.get(id) ?? [];
      return [...tooMuch(id, capacity, own), ...settingClashes(id, changeover, own)];
    }),
  ];
}

function ruleClashes(problem: PlanProblem, times: Times): Clash[] {
  const found: Clash[] = [];
  const pins = new Map(problem.pins.map((pin) => [pin.task, pin]));
  for (const task of problem.tasks) {
    const span = times[task.id];
    if (!span) continue;
    const [start, end] = span;
    const length = end - start;
    const by = length < task.min ? length - task.min : Math.max(0, length - task.max);
    if (by !== 0) found.push({ rule: 'length', task: task.id, by });
    const pin = pins.get(task.id);
    const earliest = Math.max(task.release ?? 0, pin ? 0 : problem.now);
    const latest = Math.min(problem.horizon, task.deadline ?? problem.horizon);
    const leavesPin =
      pin && (pin.start !== start || (pin.end === undefined ? end < problem.now : pin.end !== end));
    if (start < earliest || end > latest || leavesPin) found.push({ rule: 'time', task: task.id });
  }
  for (const { from, to, min, max = Infinity } of problem.links) {
    const [before, after] = [times[from], times[to]];
    if (!before || !after) continue;
    const gap = after[0] - before[1];
    const by = gap < min ? gap - min : Math.max(0, gap - max);
    if (by !== 0) found.push({ rule: 'link', from, to, by });
  }
  return found;
}

/** A task that holds a resource for some time. */
interface Hold {
  task: string;
  start: number;
  end: number;
  amount: number;
  setting: number | null;
}

function holdsByResource(tasks: readonly Task[], times: Times): Map<string, Hold[]> {
  const found = new Map<string, Hold[]>();
  for (const { id, uses } of tasks) {
    const [start = 0, end = 0] = times[id] ?? [];
    if (end <= start) continue;
    for (const { resource, amount, setting = null } of uses) {
      const own = found.get(resource) ?? [];
      own.push({ task: id, start, end, amount, setting });
      found.set(resource, own);
    }
  }
  return found;
}

function tooMuch(resource: string, capacity: readonly [number, number][], holds: readonly Hold[]): Clash[] {
  const changes = new Map<number, number>();
  const change = (at: number, by: number) => changes.set(at, (changes.get(at) ?? 0) + by);
  capacity.forEach(([from, amount], i) => change(from, amount - (capacity[i - 1]?.[1] ?? 0)));
  for (const { start, end, amount } of holds) {
    change(start, -amount);
    change(end, amount);
  }
  const found: Clash[] = [];
  let [free, from, over] = [0, 0, 0];
  for (const at of [...changes.keys()].sort((a, b) => a - b)) {
    if (over === 0) from = at;
    free += changes.get(at) ?? 0;
    if (free < 0) over = Math.max(over, -free);
    else if (over > 0) {
      const tasks = holds.filter(({ start, end }) => start < at && end > from).map(({ task }) => task);
      found.push({ rule: 'too-much', resource, from, to: at, over, tasks });
      over = 0;
    }
  }
  return found;
}

function settingClashes(resource: string, changeover: number, holds: readonly Hold[]): Clash[] {
  const set = holds.filter(({ setting }) => setting !== null).sort((a, b) => a.start - b.start);
  return set.flatMap((a, i) =>
    set
      .slice(i + 1)
      .filter((b) => b.setting !== a.setting && b.start < a.end + changeover)
      .map((b): Clash => {
        const [from, to] = [b.start, Math.max(b.start + 1, Math.min(a.end, b.end))];
        return { rule: 'setting', resource, from, to, tasks: [a.task, b.task] };
      }),
  );
}

/** The same clash in two plans has the same key. */
export function clashKey(clash: Clash): string {
  switch (clash.rule) {
    case 'too-much':
      return `${clash.resource}:${[...clash.tasks].sort().join()}`;
    case 'setting':
      return `${clash.resource}=${[...clash.tasks].sort().join()}`;
    case 'link':
      return `${clash.from}>${clash.to}`;
    default:
      return `${clash.rule}:${clash.task}`;
  }
}
