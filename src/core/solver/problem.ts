/**
 * The plan problem and the plan: the terms in which everything that wants to plan speaks to the engine.
 *
 * All times are whole minutes from the start of the horizon; a task occupies `[start, end)`.
 * The file formats are `hefeteig-plan-problem/1` and `hefeteig-plan/1`; their rules are written out in
 * `test-data/plan/README.md`.
 */

/** Some of a resource, held for a task's whole length; at a `setting` (°C, say) where the resource has one. */
export interface Use {
  resource: string;
  amount: number;
  setting?: number;
  /** Resources that would do as well, `resource` among them: whoever plans may choose another. No file has them. */
  among?: readonly string[];
}

/** Capacity steps `[from, amount]` in rising order, the first from 0; `changeover` minutes between two settings. */
export interface Resource {
  id: string;
  capacity: [from: number, amount: number][];
  changeover?: number;
}

/**
 * A task to be placed: between `min` and `max` minutes long, best at `target`. Costs are per minute off target. `dough`
 * names the project that it belongs to, as the file format calls it.
 */
export interface Task {
  id: string;
  dough: string;
  kind: string;
  min: number;
  target: number;
  max: number;
  shortCost?: number;
  longCost?: number;
  release?: number;
  deadline?: number;
  uses: Use[];
}

/** `min <= start(to) - end(from) <= max`; without `max` there is no upper bound. */
export interface Link {
  from: string;
  to: string;
  min: number;
  max?: number;
}

/** Something that is ready when `task` ends, at best between `due - freshFor` and `due`; costs are per minute outside. */
export interface Output {
  id: string;
  task: string;
  due: number;
  lateCost: number;
  freshFor: number;
  staleCost: number;
}

/** What an end costs by when it is. */
export type EndCost = Pick<Output, 'due' | 'lateCost' | 'freshFor' | 'staleCost'>;

/** A wish that `task` ends at `end`: a minute earlier or later costs `cost`. */
export interface EndWish {
  task: string;
  end: number;
  cost: number;
}

/** What has happened or was fixed by a person. Without `end` the task is still going, or only its start is fixed. */
export interface Pin {
  task: string;
  start: number;
  end?: number;
}

export interface PlanProblem {
  format: 'hefeteig-plan-problem/1';
  name: string;
  horizon: number;
  now: number;
  resources: Resource[];
  tasks: Task[];
  links: Link[];
  outputs: Output[];
  pins: Pin[];
  /** Wishes of whoever plans again, not of the problem: no file has them. */
  endWishes?: readonly EndWish[];
}

export type Times = Record<string, [start: number, end: number]>;

export interface FeasiblePlan {
  format: 'hefeteig-plan/1';
  problem: string;
  status: 'feasible';
  cost: number;
  times: Times;
  /** What tasks with a choice of resources hold in this plan: one resource for each of their uses, in order. */
  chosen?: Record<string, string[]>;
}

/** `conflict`: ids of tasks that have no plan even when they are alone with their links, pins and all resources. */
export interface InfeasiblePlan {
  format: 'hefeteig-plan/1';
  problem: string;
  status: 'infeasible';
  conflict: string[];
}

export type Plan = FeasiblePlan | InfeasiblePlan;
