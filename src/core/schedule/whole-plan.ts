import type { FeasiblePlan, PlanProblem, Times } from '../solver/problem';
import { movedTo } from '../process/on-machines';
import { taskId, type StepRef } from '../process/step-ref';
import { planProblem } from './problem';
import { addLocalDays, localMidnight, MINUTE } from '../time/local';
import { capacitySteps, crewSteps, type Presence } from '../time/shifts';
import type { Equipment } from '../bakery/machines';
import type { Conditions } from '../forecast/conditions';
import { FORGOTTEN, forecastDough, type DoughForecast } from '../forecast/forecast';
import type { DoughRecord } from '../record/dough';
import { openPart } from './open-part';
import { withTimes } from './with-times';
import { isHandsOn } from '../record/state';

/** Days after the last promise that a plan may use. */
const AHEAD = 3;

/** What is still open of all doughs: the problem, and the plan that stands. Minutes are counted from `origin`. */
export interface WholePlan {
  problem: PlanProblem;
  /** A local midnight. */
  origin: number;
  zone: string;
  doughs: DoughRecord[];
  /** The same doughs, forecast. */
  floor: DoughForecast[];
  /** Which step each task of the problem is. */
  refs: ReadonlyMap<string, StepRef>;
  /** Present times of the problem's tasks. */
  present: Times;
  /** Ids of the tasks that people carry out. */
  hands: string[];
}

/** What a whole plan is made from: the doughs in it, and who and what is there for them. */
export interface PlanMeans {
  house: { name: string; zone: string };
  doughs: readonly DoughRecord[];
  presences: readonly Presence[];
  equipment: Equipment;
  conditions: Conditions;
}

/** The whole plan of the doughs that are open. */
export function wholePlan(
  { house, doughs: all, presences, equipment, conditions }: PlanMeans,
  now: number,
): WholePlan {
  const { name, zone } = house;
  const going = all
    .map((dough) => ({ dough, onFloor: forecastDough(dough, conditions, now) }))
    .filter(({ onFloor }) => isOpen(onFloor, now));
  const doughs = going.map(({ dough }) => dough);
  const begun = doughs.flatMap(({ events }) => events.map(({ at }) => at));
  const origin = localMidnight(Math.min(now, ...begun), zone);
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const dues = doughs.flatMap(({ outputs }) => outputs.map(({ dueAt }) => dueAt));
  const until = addLocalDays(Math.max(now, ...dues), AHEAD, zone);
  const from = Math.ceil((now - origin) / MINUTE);
  const frame = {
    ...{ name, horizon: minute(until), now: from },
    crew: crewSteps(
      presences.filter(({ end, start }) => end > origin && start < until),
      origin,
    ),
    machines: equipment.machines.map(({ id, capacity, changeover, outages = [] }) => {
      return { id, capacity, changeover, steps: capacitySteps(capacity, outages, origin) };
    }),
  };
  const open = going.map(({ dough, onFloor }) => ({
    dough,
    ...openPart(onFloor, dough.outputs, now, minute),
  }));
  const problem = planProblem(
    frame,
    open.map(({ dough, expanded }) => ({
      id: dough.id,
      expanded,
      promises: dough.outputs.map(({ id, dueAt, freshFor, lateness = 1 }) => {
        return { outputId: id, due: Math.max(0, minute(dueAt)), freshFor, lateness };
      }),
    })),
    [],
  );
  const present: Times = {};
  const hands: string[] = [];
  const refs = new Map<string, StepRef>();
  for (const { dough, expanded, pins } of open) {
    const started = new Map(pins.map(({ task, start }) => [task, start]));
    const planned = new Map(dough.steps.map((step) => [step.key, step]));
    for (const step of expanded.steps) {
      const id = taskId(dough.id, step.key);
      refs.set(id, { dough: dough.id, step: step.key });
      const known = planned.get(step.key);
      const start = started.get(id) ?? minute(known?.plannedStart ?? now);
      const length = Math.max(started.has(id) ? step.min : 0, minute(known?.plannedEnd ?? now) - start);
      present[id] = [start, start + length];
      // What no plan has placed yet has nowhere to stay.
      if (isHandsOn(step) && length > 0) hands.push(id);
      // A pin whose time has passed fixes nothing any more.
      if (known?.pinned && !started.has(id) && start >= from) pins.push({ task: id, start });
    }
    problem.pins.push(...pins);
  }
  const floor = going.map(({ onFloor }) => onFloor);
  return { problem, origin, zone, doughs, floor, refs, present, hands };
}

/** What the plan is made from, as if this were planned; minutes are counted from `origin`. */
export function supposingTimes(
  means: PlanMeans,
  { times, chosen = {} }: FoundPlan,
  origin: number,
): PlanMeans {
  const on = (dough: DoughRecord) => onChosen(withTimes(dough, times, origin), chosen, means.equipment);
  return { ...means, doughs: means.doughs.map(on) };
}

/** Times that were found for tasks, and the resources that were chosen for some of them. */
export type FoundPlan = Pick<FeasiblePlan, 'times' | 'chosen'>;

/** A dough on other machines, where a plan chose them. */
function onChosen(
  dough: DoughRecord,
  chosen: NonNullable<FoundPlan['chosen']>,
  equipment: Equipment,
): DoughRecord {
  const steps = dough.steps.map((step) => {
    const machines = chosen[taskId(dough.id, step.key)];
    return machines ? movedTo(step, machines, equipment) : step;
  });
  return { ...dough, steps };
}

/** A dough with steps that are neither done nor skipped, and that somebody may still be about. */
function isOpen({ state, steps }: DoughForecast, now: number): boolean {
  return !state.finished && steps.some(({ plannedEnd }) => plannedEnd > now - FORGOTTEN);
}
