import type { PoolConnection } from 'mysql2/promise';
import type { BoardDough } from '@/core/floor/board';
import type { Times } from '@/core/planning/problem';
import type { Solution } from '@/core/planning/solve';
import { quickestWay } from '@/core/route/earliest';
import { expandDough, type ExpandedDough } from '@/core/route/expand';
import { planProblem, taskId, type DoughToPlan, type Standing } from '@/core/route/problem';
import { addLocalDays, dayTime, localMidnight, MINUTE } from '@/core/time/local';
import { crewSteps, presences } from '@/core/time/shifts';
import { duration } from '@/core/units/format';
import { rowsOf, write } from '../db/rows';
import { planInThread } from '../planner';
import { doughsDueFrom, newestPlan, ovenCapacity } from '../queries/doughs';
import { house, houseValues, machines, shifts } from '../queries/house';
import type { KnownProduct } from '../queries/products';
import { Refusal } from './command';

/** A dough that has its rows, but no place in the plan yet. */
export interface NewDough {
  id: number;
  name: string;
  outputs: { id: number; product: KnownProduct; pieces: number; dueAt: number }[];
}

/** Lets one planner act at a time: holds the bakery's row until the transaction ends. */
export async function lockPlan(db: PoolConnection): Promise<void> {
  await rowsOf(db, 'SELECT id FROM house WHERE id = 1 FOR UPDATE');
}

/**
 * Gives a dough its place amid all others, which keep theirs, and writes a new plan version. Refuses, with the step
 * that makes it impossible and the earliest time that works, where a promise cannot be kept.
 */
export async function placeDough(
  db: PoolConnection,
  dough: NewDough,
  { now, personId, reason }: { now: number; personId: number; reason: string },
): Promise<number> {
  const bakery = await house(db);
  const origin = localMidnight(now, bakery.zone);
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const lastDue = Math.max(...dough.outputs.map((output) => output.dueAt));
  const until = addLocalDays(lastDue, 3, bakery.zone);
  const others = (await doughsDueFrom(db, addLocalDays(now, -2, bakery.zone))).filter(
    ({ id }) => id !== dough.id,
  );
  const frame = {
    name: dough.name,
    horizon: minute(until),
    now: Math.ceil((now - origin) / MINUTE),
    crew: crewSteps(presences(await shifts(db), origin, until, bakery.zone), origin),
    machines: await machines(db),
  };
  const expanded = expandDough(dough.outputs, await ovenCapacity(db));
  const promised = (dueOf: (output: NewDough['outputs'][number]) => number, keep: boolean): DoughToPlan => ({
    id: dough.id,
    expanded,
    promises: dough.outputs.map((output) => ({
      outputId: output.id,
      due: Math.max(0, minute(dueOf(output))),
      freshFor: output.product.freshFor,
      keep,
    })),
  });
  const standing = others.flatMap((other) => standingSteps(other, minute, frame));
  const seconds = (await houseValues(db))('plan_seconds');
  const plan = (one: DoughToPlan) => planInThread(planProblem(frame, [one], standing), seconds);
  const kept = await plan(promised((output) => output.dueAt, true));
  let times = kept?.plan.status === 'feasible' ? kept.plan.times : null;
  if (!times) {
    // Late, or not found in time: as soon as can be says which, and is a plan itself if it is soon enough.
    const soonest = await plan(promised(() => now, false));
    if (soonest?.plan.status !== 'feasible') throw noPlace(dough, expanded, soonest, seconds);
    times = soonest.plan.times;
    const late = lateOutput(dough, expanded, times, minute);
    if (late !== null)
      throw tooLate(dough, expanded, late, { now, origin, zone: bakery.zone, soonest: times });
  }
  return writePlan(db, dough.id, expanded, times, { origin, now, personId, reason });
}

/** Steps of a planned dough that reach past now, as they stand. */
function standingSteps(
  dough: BoardDough,
  minute: (at: number) => number,
  { now, horizon }: { now: number; horizon: number },
): Standing[] {
  return dough.steps.flatMap(({ key, plannedStart, plannedEnd, uses }) => {
    const [start, end] = [Math.max(0, minute(plannedStart)), Math.min(horizon, minute(plannedEnd))];
    if (end <= now || end <= start || uses.length === 0) return [];
    return { id: taskId(dough.id, key), dough: String(dough.id), start, end, uses };
  });
}

function noPlace(dough: NewDough, expanded: ExpandedDough, solution: Solution, seconds: number): Refusal {
  const named = new Set(solution?.plan.status === 'infeasible' ? solution.plan.conflict : []);
  const labels = expanded.steps
    .filter(({ key }) => named.has(taskId(dough.id, key)))
    .map(({ label }) => label);
  const [only] = labels;
  if (only !== undefined && labels.length === 1) {
    return new Refusal(`“${only}” finds no free hands or machine in these days.`, 'outputs');
  }
  return new Refusal(
    only !== undefined
      ? `${dough.name} finds no place in the bakery: ${labels.slice(0, 4).join(', ')} cannot be fitted in together.`
      : `No place for ${dough.name} was found in ${seconds} s. Fewer pieces or another time may fit.`,
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
    ? `the steps take ${duration(way.minutes)} at the least, ${longest.label.toLowerCase()} alone ${duration(longest.minutes)}`
    : heldUp(dough, expanded, soonest, { now, origin, zone });
  return new Refusal(
    `${output.pieces} ${output.product.name.toLowerCase()} cannot be ready by ${dayTime(output.dueAt, zone)}: ${why}. The earliest is ${dayTime(earliest, zone)}.`,
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
): string {
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
  return `hands and machines for “${label.toLowerCase()}” are not free before ${dayTime(origin + start * MINUTE, zone)}`;
}

async function writePlan(
  db: PoolConnection,
  doughId: number,
  expanded: ExpandedDough,
  times: Times,
  { origin, now, personId, reason }: { origin: number; now: number; personId: number; reason: string },
): Promise<number> {
  const before = await newestPlan(db);
  const { id } = await write(db, 'INSERT INTO plan_version (made_at, made_by, reason) VALUES (?, ?, ?)', [
    ...[new Date(now), personId, reason.slice(0, 200)],
  ]);
  await write(
    db,
    `INSERT INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at)
     SELECT ?, dough_id, step_key, start_at, end_at FROM planned_step WHERE plan_version_id = ? AND dough_id <> ?`,
    [id, before, doughId],
  );
  const rows = expanded.steps.map(({ key }) => {
    const [start, end] = times[taskId(doughId, key)] ?? [0, 0];
    return [id, doughId, key, new Date(origin + start * MINUTE), new Date(origin + end * MINUTE)];
  });
  await write(
    db,
    'INSERT INTO planned_step (plan_version_id, dough_id, step_key, start_at, end_at) VALUES ?',
    [rows],
  );
  return id;
}
