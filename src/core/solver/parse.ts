import type { PlanProblem } from './problem';

/** A parsed problem, or every fault found in it, each one a sentence that names the place. */
export type ParsedProblem = { problem: PlanProblem; faults: [] } | { problem: null; faults: string[] };

type Rule = readonly [holds: (value: unknown) => boolean, wanted: string];
type Entry = Record<string, unknown>;

const isEntry = (v: unknown): v is Entry => typeof v === 'object' && v !== null && !Array.isArray(v);
const isText = (v: unknown): v is string => typeof v === 'string' && v !== '';
const isWhole = (v: unknown): v is number => Number.isSafeInteger(v) && (v as number) >= 0;

const text: Rule = [isText, 'a text that is not empty'];
const whole: Rule = [isWhole, 'a whole number, 0 or more'];
const positive: Rule = [(v) => isWhole(v) && v > 0, 'a whole number, 1 or more'];
const list: Rule = [Array.isArray, 'a list'];

interface Shape {
  required: Record<string, Rule>;
  optional?: Record<string, Rule>;
}

const PROBLEM: Shape = {
  required: {
    format: [(v) => v === 'hefeteig-plan-problem/1', '"hefeteig-plan-problem/1"'],
    ...{ name: text, horizon: positive, now: whole },
    ...{ resources: list, tasks: list, links: list, outputs: list, pins: list },
  },
};
const RESOURCE: Shape = { required: { id: text, capacity: list }, optional: { changeover: whole } };
const TASK: Shape = {
  required: { id: text, dough: text, kind: text, min: whole, target: whole, max: whole, uses: list },
  optional: { shortCost: whole, longCost: whole, release: whole, deadline: whole },
};
const USE: Shape = { required: { resource: text, amount: positive }, optional: { setting: whole } };
const LINK: Shape = { required: { from: text, to: text, min: whole }, optional: { max: whole } };
const OUTPUT: Shape = {
  required: { id: text, task: text, due: whole, lateCost: whole, freshFor: whole, staleCost: whole },
};
const PIN: Shape = { required: { task: text, start: whole }, optional: { end: whole } };

const shown = (value: unknown): string => {
  const json = JSON.stringify(value) ?? typeof value;
  return json.length > 60 ? `${json.slice(0, 57)}...` : json;
};

/** Collects faults; says of each entry whether it has the right shape. */
class Faults {
  readonly found: string[] = [];

  add(where: string, what: string): void {
    this.found.push(`${where}: ${what}`);
  }

  fits(where: string, value: unknown, { required, optional = {} }: Shape): value is Entry {
    const before = this.found.length;
    if (!isEntry(value)) {
      this.add(where, `must be an object, not ${shown(value)}`);
      return false;
    }
    for (const key of Object.keys(required)) {
      if (!Object.hasOwn(value, key)) this.add(where, `${key} is missing`);
    }
    for (const [key, entry] of Object.entries(value)) {
      const rule = Object.hasOwn(required, key)
        ? required[key]
        : Object.hasOwn(optional, key)
          ? optional[key]
          : null;
      if (!rule) this.add(where, `unknown key ${shown(key)}`);
      else if (!rule[0](entry)) this.add(where, `${key} must be ${rule[1]}, not ${shown(entry)}`);
    }
    return this.found.length === before;
  }

  /** The well-shaped entries of a list; an entry whose `key` came before is a fault. */
  entries(items: unknown[], name: string, shape: Shape, key?: string): Entry[] {
    const seen = new Set<unknown>();
    return items.filter((item, i): item is Entry => {
      const id = isEntry(item) && key !== undefined && isText(item[key]) ? item[key] : `number ${i + 1}`;
      const where = `${name} ${id}`;
      if (!this.fits(where, item, shape)) return false;
      if (key !== undefined) {
        if (seen.has(item[key])) this.add(where, 'comes twice');
        seen.add(item[key]);
      }
      return true;
    });
  }
}

function checkCapacity(faults: Faults, resource: Entry): void {
  const where = `resource ${String(resource.id)}`;
  const steps = resource.capacity as unknown[];
  const pairs = steps.filter(
    (s): s is [number, number] => Array.isArray(s) && s.length === 2 && s.every(isWhole),
  );
  if (pairs.length < steps.length) {
    faults.add(where, 'capacity must be pairs [from, amount] of whole numbers, 0 or more');
  } else if (pairs[0]?.[0] !== 0) {
    faults.add(where, 'capacity must begin at 0');
  } else if (pairs.some(([from], i) => i > 0 && from <= (pairs[i - 1]?.[0] ?? 0))) {
    faults.add(where, 'the times of capacity must rise');
  }
}

function checkTask(faults: Faults, task: Entry, resources: ReadonlySet<unknown>): void {
  const where = `task ${String(task.id)}`;
  const [min, target, max] = [task.min, task.target, task.max] as number[];
  if (!(Number(min) <= Number(target) && Number(target) <= Number(max))) {
    faults.add(where, `min <= target <= max does not hold for ${min}, ${target}, ${max}`);
  }
  for (const use of faults.entries(task.uses as unknown[], `${where}, use`, USE, 'resource')) {
    if (!resources.has(use.resource)) faults.add(where, `unknown resource ${shown(use.resource)}`);
  }
}

/** Reads a `hefeteig-plan-problem/1` value (parsed JSON); names every fault, not just the first. */
export function parseProblem(value: unknown): ParsedProblem {
  const faults = new Faults();
  if (!faults.fits('problem', value, PROBLEM)) return { problem: null, faults: faults.found };
  // Every key that the format asks for is there; what is in it is looked through below.
  const problem = value as object as PlanProblem;
  if (problem.now > problem.horizon) faults.add('problem', 'now is after the horizon');

  // Ids count as known even where their entry is faulty, so that one bad entry is reported once.
  const ids = (items: unknown[]) => new Set(items.filter(isEntry).map((item) => item.id));
  const resources = ids(problem.resources);
  const tasks = ids(problem.tasks);
  const knows = (where: string, id: unknown) => {
    if (!tasks.has(id)) faults.add(where, `unknown task ${shown(id)}`);
  };

  for (const resource of faults.entries(problem.resources, 'resource', RESOURCE, 'id'))
    checkCapacity(faults, resource);
  for (const task of faults.entries(problem.tasks, 'task', TASK, 'id')) checkTask(faults, task, resources);
  for (const link of faults.entries(problem.links, 'link', LINK)) {
    const where = `link ${String(link.from)} -> ${String(link.to)}`;
    knows(where, link.from);
    knows(where, link.to);
    if (link.from === link.to) faults.add(where, 'links a task to itself');
    if (isWhole(link.max) && link.max < Number(link.min))
      faults.add(where, `max ${link.max} is below min ${shown(link.min)}`);
  }
  for (const output of faults.entries(problem.outputs, 'output', OUTPUT, 'id')) {
    knows(`output ${String(output.id)}`, output.task);
  }
  for (const pin of faults.entries(problem.pins, 'pin', PIN, 'task')) {
    const where = `pin ${String(pin.task)}`;
    const end = isWhole(pin.end) ? pin.end : Number(pin.start);
    knows(where, pin.task);
    if (end < Number(pin.start)) faults.add(where, 'ends before it starts');
    if (end > problem.horizon) faults.add(where, 'is after the horizon');
  }
  return faults.found.length > 0 ? { problem: null, faults: faults.found } : { problem, faults: [] };
}
