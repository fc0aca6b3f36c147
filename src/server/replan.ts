import { coded, type Words } from '@/core/codes/coded';
import { stateOf, type DoughRecord } from '@/core/record/dough';
import { madeRoomFor, planChanges, type StepTimes } from '@/core/schedule/plan-changes';
import { stepOf } from '@/core/schedule/supposed';
import type { LatePromise, ProposalAct, ProposalBody } from '@/core/schedule/proposal';
import { leaveSmallMoves } from '@/core/schedule/small-moves';
import { planUntilSettled, SETTLED } from '@/core/schedule/settle';
import { supposingTimes, wholePlan, type FoundPlan, type WholePlan } from '@/core/schedule/whole-plan';
import { planCost } from '@/core/solver/cost';
import { onResources } from '@/core/solver/alternatives';
import type { PlanProblem, Times, Use } from '@/core/solver/problem';
import { withEndWishes } from '@/core/solver/end-wishes';
import type { DoughChange } from '@/core/process/changes';
import { taskId } from '@/core/process/step-ref';
import { MINUTE } from '@/core/time/local';
import type { Db } from './db/rows';
import { planInThread, type Search } from './planner';
import { houseSettings, machines } from './store/house';
import { readPlanMeans, readWholePlan } from './store/whole-problem';

/** How the plan is worked out anew. */
export interface Replanning extends Search {
  /** What is supposed beyond the facts: pins, more hands, other promises. Told the plan that stands. */
  change?: (problem: PlanProblem, whole: WholePlan) => PlanProblem;
  /** Doughs that leave their routes, by id. */
  changes?: ReadonlyMap<number, readonly DoughChange[]>;
  /** What a minute's move of a hands-on step counts; the house's where nothing is said. */
  stay?: number;
  /** Why a dough drifted, by id; others make room for one of these. */
  causes?: ReadonlyMap<number, Words>;
  /** What has to be brought about for it. */
  needs?: Words[];
  /** What accepting the plan does beside moving steps. */
  acts?: ProposalAct[];
}

/** Rounds after the first begin from a plan, so they take a share of its time. */
const AGAIN = 0.25;
/** How much longer is looked where nothing was found. */
const PATIENCE = 4;

/** What came of it: a plan to propose, or the tasks that cannot hold together. */
export type ReplanResult =
  | { kind: 'plan'; body: ProposalBody; whole: WholePlan }
  | { kind: 'none'; conflict: string[]; whole: WholePlan };

/**
 * Plans everything that is open anew, with as few and small changes as it can, and works the windows of waits out again
 * from the plan until they settle. Writes nothing.
 *
 * @throws {PlannerLost} where the planner's thread died or hung
 */
export async function replan(db: Db, now: number, options: Replanning): Promise<ReplanResult> {
  const { change = (problem) => problem, stay, seconds, changes, ...search } = options;
  const means = await readPlanMeans(db, now, changes ? { changes, unplanned: now } : {});
  const weight = stay ?? (await houseSettings(db)).stayCost;
  const standing = wholePlan(means, now);
  let from = standing.present;
  let conflict: string[] = [];
  const found = await planUntilSettled(standing, {
    async plan(whole, round) {
      const wanted = change(whole.problem, standing);
      const asked = withEndWishes(wanted, standing.present, standing.hands, weight);
      const time = round === 0 ? seconds : seconds * AGAIN;
      let solution = await planInThread(asked, { ...search, seconds: time, from });
      // Neither found nor shown to be impossible: a tight plan is worth waiting for.
      if (!solution && round === 0)
        solution = await planInThread(asked, { ...search, seconds: PATIENCE * time, from });
      conflict = solution?.plan.status === 'infeasible' ? solution.plan.conflict : [];
      if (solution?.plan.status !== 'feasible') return null;
      from = solution.plan.times;
      return solution.plan;
    },
    windowsOf: (plan) => wholePlan(supposingTimes(means, plan, standing.origin), now),
    moved: (before, after) => hasMoved(before.problem, after.problem),
  });
  if (!found) return { kind: 'none', conflict, whole: standing };
  const base = changes ? await readWholePlan(db, now) : standing;
  const wanted = change(standing.problem, standing);
  const small = (await houseSettings(db)).smallShift;
  const { chosen = {} } = found.plan;
  const times = leaveSmallMoves(onResources(wanted, chosen), standing.present, found.plan.times, small);
  const body = await describe(db, { base, whole: standing, wanted, times, chosen, small }, options);
  return { kind: 'plan', body: found.settled ? body : { ...body, unsettled: true }, whole: standing };
}

/** Whether the windows of waits are what they were when these times are the plan. */
export async function holdsWindows(db: Db, now: number, whole: WholePlan, times: Times): Promise<boolean> {
  const means = await readPlanMeans(db, now);
  return !hasMoved(whole.problem, wholePlan(supposingTimes(means, { times }, whole.origin), now).problem);
}

/** Whether a window moved by more than is let pass. */
function hasMoved(before: PlanProblem, after: PlanProblem): boolean {
  const known = new Map(before.tasks.map((task) => [task.id, task]));
  return after.tasks.some(({ id, min, max }) => {
    const was = known.get(id);
    return !was || Math.abs(was.min - min) > SETTLED || Math.abs(was.max - max) > SETTLED;
  });
}

async function describe(
  db: Db,
  {
    base,
    whole,
    wanted,
    times,
    chosen,
    small,
  }: FoundPlan & { base: WholePlan; whole: WholePlan; wanted: PlanProblem; small: number },
  { causes = new Map(), needs = [], acts = [] }: Replanning,
): Promise<ProposalBody> {
  const { doughs, present } = whole;
  const moved = new Map(
    doughs.map((dough) => [dough.id, movedSteps(dough, whole, { times, ...(chosen ? { chosen } : {}) })]),
  );
  const names = new Map(doughs.map(({ id, name }) => [String(id), name]));
  const labels = new Map((await machines(db)).map(({ id, label }) => [id, label]));
  const why = ({ id }: DoughRecord): Words => {
    const cause = causes.get(id);
    if (cause) return cause;
    const room = madeRoomFor(wanted, present, times, id);
    if (!room) return coded('reasons.fitsBetterSo');
    return coded('reasons.makesRoomFor', {
      dough: names.get(room.dough) ?? coded('reasons.anotherDough'),
      resource: { inLine: labels.get(room.resource) ?? coded('reasons.hands') },
    });
  };
  return {
    times: [...moved].filter(([, steps]) => Object.keys(steps).length > 0),
    changes: planChanges(base.doughs, moved, why, small),
    cost: planCost(wanted, times),
    costBefore: planCost(base.problem, base.present),
    late: latePromises(whole, wanted, times),
    ...{ needs, acts },
  };
}

function movedSteps(dough: DoughRecord, { origin }: WholePlan, { times, chosen = {} }: FoundPlan): StepTimes {
  const { id, steps } = dough;
  const state = stateOf(dough);
  return Object.fromEntries(
    steps.flatMap(({ key, plannedStart, plannedEnd, uses }) => {
      const [start, end] = times[taskId(id, key)] ?? [];
      if (start === undefined || end === undefined) return [];
      // What is under way began when it did; the plan for that is not rewritten.
      const begun = state.steps.get(key)?.status !== 'open';
      const from = begun ? plannedStart : origin + start * MINUTE;
      const at: StepTimes[string] = [from, Math.max(from, origin + end * MINUTE)];
      const machines = begun ? [] : movedOnto(uses, chosen[taskId(id, key)]);
      if (machines.length > 0) at.push(machines);
      return at[0] === plannedStart && at[1] === plannedEnd && machines.length === 0 ? [] : [[key, at]];
    }),
  );
}

/** Machines that a step is on from now on, where that is another one; none where all stay. */
function movedOnto(uses: readonly Use[], chosen: readonly string[] = []): string[] {
  const moves = chosen.some((resource, i) => uses[i]?.among && resource !== uses[i].resource);
  return moves ? chosen.filter((_, i) => uses[i]?.among) : [];
}

/** Promises of the problem that these times do not keep. */
export function latePromises(whole: WholePlan, wanted: PlanProblem, times: Times): LatePromise[] {
  const late = wanted.outputs.flatMap(({ task, due }): LatePromise[] => {
    const ready = times[task]?.[1] ?? 0;
    if (ready <= due) return [];
    const found = stepOf(whole, task);
    const output = found?.dough.outputs.find(({ id }) => id === found.step.outputId);
    if (!found || !output) return [];
    const { product } = output;
    const { dough } = found;
    const { origin } = whole;
    const [dueAt, readyAt] = [origin + due * MINUTE, origin + ready * MINUTE];
    return [{ doughId: dough.id, dough: dough.name, product, dueAt, readyAt }];
  });
  // An output baked in loads is as late as its last one.
  return late.filter((one) => late.every((o) => !sameOutput(o, one) || o.readyAt <= one.readyAt));
}

const sameOutput = (a: LatePromise, b: LatePromise) => a.doughId === b.doughId && a.product === b.product;
