import { coded, type Coded } from '@/core/codes/coded';
import type { Pool, PoolConnection } from 'mysql2/promise';
import type { FeasiblePlan, Times } from '@/core/solver/problem';
import type { Solution } from '@/core/solver/solve';
import { quickestWay } from '@/core/process/earliest';
import { expandDough, type ExpandedDough } from '@/core/process/expand';
import { type DoughChange, withChanges } from '@/core/process/changes';
import { choicesOf, movedTo, onMachines } from '@/core/process/on-machines';
import { taskId } from '@/core/process/step-ref';
import { planProblem } from '@/core/schedule/problem';
import { movedWindows, NO_OBSERVATIONS, settleWindows } from '@/core/forecast/windows';
import { planUntilSettled, SETTLED } from '@/core/schedule/settle';
import { MINUTE } from '@/core/time/local';
import { planInThread } from '../planner';
import { risesOf, sizes } from '../store/doughs';
import { houseSettings } from '../store/house';
import { today } from '../store/places';
import type { ProductVersion } from '../store/products';
import { Refusal } from './command';
import { doughFrame } from './planning-frame';
import { movePlan, readBasis, type Basis, type Making } from './plan-version';

/** A dough that has no place in the plan yet; its numbers may be provisional. */
export interface NewDough {
  id: number;
  name: string;
  outputs: { id: number; product: ProductVersion; pieces: number; dueAt: number }[];
  /** Where it leaves its product's route. */
  changes?: readonly DoughChange[];
}

/** A place for a dough's steps, and the plan version amid which it was found. */
export interface FoundPlace {
  basis: Basis;
  steps: { key: string; start: number; end: number; machines: string[] }[];
  /** The dough as it was planned, with its windows there. */
  expanded: ExpandedDough;
}

/**
 * Finds a place for a dough amid all others, which keep theirs. Writes nothing, and holds nothing while it looks.
 *
 * @throws {Refusal} with the step that makes it impossible and the earliest time that works, where a promise cannot be kept
 */
export async function findPlace(
  db: Pool,
  dough: NewDough,
  { now, late = false }: { now: number; late?: boolean },
): Promise<FoundPlace> {
  const basis = await readBasis(db);
  const { zone, origin, minute, frame, standing } = await doughFrame(db, dough, { now, from: now });
  const [takes, temperatures] = await Promise.all([sizes(db), today(db)]);
  const whole = withChanges(expandDough(dough.outputs, takes), dough.changes ?? []);
  const base = onMachines(whole, takes.equipment);
  const settled: WindowsOf = (lengths, chosen) => {
    const found = new Map(
      [...lengths].map(([key, { start, minutes }]) => [key, { minutes, from: origin + start * MINUTE }]),
    );
    const steps = base.steps.map((step) =>
      movedTo(step, chosen[taskId(dough.id, step.key)] ?? [], takes.equipment),
    );
    const on = { ...base, steps };
    return settleWindows(on, risesOf(dough.outputs), temperatures, { ...NO_OBSERVATIONS, steps: found });
  };
  const seconds = (await houseSettings(db)).planSeconds;
  const plan = async (dueOf: (output: NewDough['outputs'][number]) => number, keep: boolean) => {
    const promises = dough.outputs.map((output) => ({
      outputId: output.id,
      due: Math.max(0, minute(dueOf(output))),
      freshFor: output.product.freshFor,
      lateness: output.product.lateness ?? 1,
      keep,
    }));
    return planSettled(dough.id, settled, (expanded) =>
      planInThread(planProblem(frame, [{ id: dough.id, expanded, promises }], standing), { seconds }),
    );
  };
  let { expanded, solution } = await plan((output) => output.dueAt, !late);
  let times = solution?.plan.status === 'feasible' ? solution.plan.times : null;
  if (!times) {
    // Late, or not found in time: as soon as can be says which, and is a plan itself if it is soon enough.
    ({ expanded, solution } = await plan(() => now, false));
    if (solution?.plan.status !== 'feasible') throw noPlace(dough, expanded, solution, seconds);
    times = solution.plan.times;
    const lateNth = lateOutput(dough, expanded, times, minute);
    if (lateNth !== null)
      throw tooLate(dough, expanded, lateNth, { now, origin, zone: zone, soonest: times });
  }
  const found = times;
  const chosen = solution?.plan.status === 'feasible' ? (solution.plan.chosen ?? {}) : {};
  const steps = expanded.steps.map((step) => {
    const id = taskId(dough.id, step.key);
    const [start, end] = found[id] ?? [0, 0];
    const at = { start: origin + start * MINUTE, end: origin + end * MINUTE };
    return { key: step.key, ...at, machines: choicesOf(step, chosen[id]) };
  });
  return { basis, steps, expanded };
}

/** Writes a place that was found into the plan as a new version. */
export function takePlace(
  db: PoolConnection,
  doughId: number,
  { steps }: FoundPlace,
  made: Pick<Making, 'now' | 'personId' | 'reason'>,
): Promise<number> {
  const placed = steps.map((step) => ({ ...step, doughId }));
  return movePlan(db, placed, { ...made, dough: { id: doughId, act: 'added' } });
}

/** A dough's steps on these machines, with the windows that its waits have at these times: start and length, minutes by key. */
type WindowsOf = (
  times: ReadonlyMap<string, { start: number; minutes: number }>,
  chosen: NonNullable<FeasiblePlan['chosen']>,
) => ExpandedDough;

/**
 * Plans a dough until its windows have settled. A dough that finds no place has none with the windows it begins with.
 */
export async function planSettled(
  doughId: number,
  windowsOf: WindowsOf,
  solve: (expanded: ExpandedDough) => Promise<Solution>,
): Promise<{ expanded: ExpandedDough; solution: Solution }> {
  const start = windowsOf(new Map(), {});
  let none: Solution = null;
  const found = await planUntilSettled(start, {
    async plan(expanded, round) {
      const solution = await solve(expanded);
      if (solution?.plan.status === 'feasible') return { solution, plan: solution.plan };
      if (round === 0) none = solution;
      return null;
    },
    windowsOf: ({ plan: { times, chosen = {} } }) =>
      windowsOf(
        new Map(
          start.steps.map(({ key }) => {
            const [from, to] = times[taskId(doughId, key)] ?? [0, 0];
            return [key, { start: from, minutes: to - from }];
          }),
        ),
        chosen,
      ),
    moved: (before, after) => movedWindows(before, after, SETTLED).length > 0,
  });
  return found
    ? { expanded: found.windows, solution: found.plan.solution }
    : { expanded: start, solution: none };
}

function noPlace(dough: NewDough, expanded: ExpandedDough, solution: Solution, seconds: number): Refusal {
  const named = new Set(solution?.plan.status === 'infeasible' ? solution.plan.conflict : []);
  const labels = expanded.steps
    .filter(({ key }) => named.has(taskId(dough.id, key)))
    .map(({ label }) => label);
  const [only] = labels;
  if (only !== undefined && labels.length === 1) {
    return new Refusal(coded('refusals.findsNoFreeHandsOrMachine', { only }), 'outputs');
  }
  return new Refusal(
    only !== undefined
      ? coded('refusals.findsNoPlaceInTheBakery', {
          name: dough.name,
          labels: labels.slice(0, 4),
        })
      : coded('refusals.noPlaceForWasFoundIn', { name: dough.name, seconds }),
    'outputs',
  );
}

function readyMinute(
  dough: NewDough,
  expanded: ExpandedDough,
  times: Times,
  outputId: number,
): { key: string; at: number } {
  const ends = expanded.ready
    .filter((ready) => ready.outputId === outputId)
    .map(({ key }) => ({ key, at: times[taskId(dough.id, key)]?.[1] ?? 0 }));
  return ends.reduce((last, end) => (end.at > last.at ? end : last));
}

function lateOutput(
  dough: NewDough,
  expanded: ExpandedDough,
  times: Times,
  minute: (at: number) => number,
): number | null {
  const late = dough.outputs.findIndex(
    (output) => readyMinute(dough, expanded, times, output.id).at > minute(output.dueAt),
  );
  return late < 0 ? null : late;
}

function tooLate(
  dough: NewDough,
  expanded: ExpandedDough,
  nth: number,
  { now, origin, zone, soonest }: { now: number; origin: number; zone: string; soonest: Times },
): Refusal {
  const output = dough.outputs[nth] as NewDough['outputs'][number];
  const ready = readyMinute(dough, expanded, soonest, output.id);
  const earliest = origin + ready.at * MINUTE;
  const way = quickestWay(expanded, ready.key);
  const longest = way.path.reduce((a, b) => (b.minutes > a.minutes ? b : a));
  const outOfReach = now + way.minutes * MINUTE > output.dueAt;
  const why = outOfReach
    ? coded('refusals.theStepsTake', {
        ...{ all: { minutes: way.minutes }, step: { inLine: longest.label } },
        alone: { minutes: longest.minutes },
      })
    : heldUp(dough, expanded, soonest, { now, origin, zone });
  return new Refusal(
    coded('refusals.cannotBeReadyByTheEarliest', {
      pieces: output.pieces,
      name: output.product.name.toLowerCase(),
      time: { dayTime: output.dueAt, zone },
      why,
      time2: { dayTime: earliest, zone },
    }),
    `outputs.${nth}.due`,
    { earliest },
  );
}

/** Which step of the earliest plan had to wait for hands or a machine beyond the shortest wait before it, and until when. */
function heldUp(
  dough: NewDough,
  { steps, links }: ExpandedDough,
  soonest: Times,
  { now, origin, zone }: { now: number; origin: number; zone: string },
): Coded {
  const startOf = (key: string) => soonest[taskId(dough.id, key)]?.[0] ?? 0;
  const delays = steps
    .filter(({ step }) => step.work)
    .map((step) => {
      const before = links
        .filter(({ to }) => to === step.key)
        .map(({ from }) => steps.find(({ key }) => key === from));
      const ready = before.map((b) => (b ? startOf(b.key) + b.min : 0));
      const soon = before.length > 0 ? Math.max(...ready) : Math.ceil((now - origin) / MINUTE);
      return { label: step.label, start: startOf(step.key), delay: startOf(step.key) - soon };
    });
  // After the last step that had to wait, all goes as fast as it can: that step is what holds the dough up.
  const waited = delays.filter(({ delay }) => delay > 0);
  const { label, start } = (waited.length > 0 ? waited : delays).reduce((a, b) =>
    b.start > a.start ? b : a,
  );
  return coded('refusals.notFreeBefore', {
    step: { inLine: label },
    time: { dayTime: origin + start * MINUTE, zone },
  });
}
