import type { Pool, PoolConnection } from 'mysql2/promise';
import type { Times } from '@/core/solver/problem';
import type { Solution } from '@/core/solver/solve';
import { quickestWay } from '@/core/process/earliest';
import { expandDough, type ExpandedDough } from '@/core/process/expand';
import { taskId } from '@/core/process/step-ref';
import { planProblem } from '@/core/schedule/problem';
import { movedWindows, NOTHING_KNOWN, settleWindows } from '@/core/forecast/windows';
import { dayTime, MINUTE } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { planInThread } from '../planner';
import { risesOf, sizes } from '../queries/doughs';
import { houseValues } from '../queries/house';
import { today } from '../queries/places';
import type { KnownProduct } from '../queries/products';
import { Refusal } from './command';
import { doughFrame } from './planning-frame';
import { movePlan, readBasis, type Basis, type Making } from './plan-version';

/** A dough that has no place in the plan yet; its numbers may be provisional. */
export interface NewDough {
  id: number;
  name: string;
  outputs: { id: number; product: KnownProduct; pieces: number; dueAt: number }[];
}

/** A place for a dough's steps, and the plan version amid which it was found. */
export interface FoundPlace {
  basis: Basis;
  steps: { key: string; start: number; end: number }[];
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
  const base = expandDough(dough.outputs, takes);
  const settled = (lengths: ReadonlyMap<string, { minutes: number }>) =>
    settleWindows(base, risesOf(dough.outputs), temperatures, { ...NOTHING_KNOWN, steps: lengths });
  const seconds = (await houseValues(db))('plan_seconds');
  const plan = async (dueOf: (output: NewDough['outputs'][number]) => number, keep: boolean) => {
    const promises = dough.outputs.map((output) => ({
      outputId: output.id,
      due: Math.max(0, minute(dueOf(output))),
      freshFor: output.product.freshFor,
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
  const steps = expanded.steps.map(({ key }) => {
    const [start, end] = found[taskId(dough.id, key)] ?? [0, 0];
    return { key, start: origin + start * MINUTE, end: origin + end * MINUTE };
  });
  return { basis, steps };
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

/** Windows that move by less than this from one round to the next have settled, minutes; rounds at most. */
const SETTLED = 3;
const ROUNDS = 5;

/**
 * Plans a dough, works its windows out again from the lengths that its waits were given, and plans again, until they
 * have settled: waits share one fermentation, so a longer night makes a shorter proof.
 */
export async function planSettled(
  doughId: number,
  settled: (lengths: ReadonlyMap<string, { minutes: number }>) => ExpandedDough,
  solve: (expanded: ExpandedDough) => Promise<Solution>,
): Promise<{ expanded: ExpandedDough; solution: Solution }> {
  let expanded = settled(new Map());
  let solution = await solve(expanded);
  for (let round = 1; round < ROUNDS && solution?.plan.status === 'feasible'; round++) {
    const { times } = solution.plan;
    const lengths = new Map(
      expanded.steps.map(({ key }) => {
        const [start, end] = times[taskId(doughId, key)] ?? [0, 0];
        return [key, { minutes: end - start }];
      }),
    );
    const again = settled(lengths);
    if (movedWindows(expanded, again, SETTLED).length === 0) break;
    const next = await solve(again);
    // A window that would only close again is left as it was.
    if (next?.plan.status !== 'feasible') break;
    expanded = again;
    solution = next;
  }
  return { expanded, solution };
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
