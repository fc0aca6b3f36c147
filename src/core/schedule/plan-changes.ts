import type { Words } from '../codes/coded';
import { clashes } from '../solver/clashes';
import type { PlanProblem, Times } from '../solver/problem';
import { MINUTE, type Instant } from '../time/local';
import type { DoughRecord } from '../record/dough';
import { isHandsOn } from '../record/state';

/** New times of a dough's steps by key, and ids of the machines that a step is moved to where it had a choice. */
export type StepTimes = Record<string, [start: Instant, end: Instant, machines?: readonly string[]]>;

/**
 * Hands-on steps of one dough, one after the other, that a new plan moves by about the same: what a shift has to know of
 * them in one line.
 */
export interface PlanChange {
  doughId: number;
  dough: string;
  /** The first of them, when it was to start and when it is now. */
  label: Words;
  from: Instant;
  to: Instant;
  /** How many steps after it move alike. */
  more: number;
  why: Words;
  /** Ids of the machines that it is on from now on, where those are others. */
  onto?: readonly string[];
}

type Line = PlanChange & { by: number };

/** Steps that move by amounts closer than this are told in one line, minutes. */
const ALIKE = 5;

/**
 * What moves by at least `least` minutes or to another machine, by dough and in the order of the day; `why` says what made a
 * dough move. What a shift need not know of is left out.
 */
export function planChanges(
  doughs: readonly DoughRecord[],
  times: ReadonlyMap<number, StepTimes>,
  why: (dough: DoughRecord) => Words,
  least = 1,
): PlanChange[] {
  const lines = doughs.flatMap((dough): Line[] => {
    const moved = dough.steps
      .filter((step) => isHandsOn(step))
      .map((step) => ({ step, to: times.get(dough.id)?.[step.key]?.[0] ?? step.plannedStart }))
      .map((move) => ({ ...move, by: (move.to - move.step.plannedStart) / MINUTE }))
      .sort((a, b) => a.to - b.to);
    const reason = moved.some(({ by }) => by !== 0) ? why(dough) : '';
    const own: Line[] = [];
    for (const { step, to, by } of moved) {
      const last = own.at(-1);
      if (Math.abs(by) < least) continue;
      if (last && Math.abs(last.by - by) < ALIKE) last.more++;
      else {
        const head = { doughId: dough.id, dough: dough.name, label: step.label };
        own.push({ ...head, from: step.plannedStart, to, more: 0, why: reason, by });
      }
    }
    const onto = dough.steps.flatMap((step) => {
      const [to = step.plannedStart, , machines] = times.get(dough.id)?.[step.key] ?? [];
      const head = { doughId: dough.id, dough: dough.name, label: step.label };
      return machines
        ? [
            {
              ...head,
              from: step.plannedStart,
              to,
              more: 0,
              why: reason || why(dough),
              onto: machines,
              by: 0,
            },
          ]
        : [];
    });
    return [...own, ...onto];
  });
  return lines
    .sort((a, b) => a.to - b.to)
    .map(({ doughId, dough, label, from, to, more, why: reason, onto }) => {
      return { doughId, dough, label, from, to, more, why: reason, ...(onto ? { onto } : {}) };
    });
}

/**
 * Who a dough makes room for: the resource that it would share with another dough's new times, had it stayed where it
 * was. Null where it moves for its own sake.
 */
export function madeRoomFor(
  problem: PlanProblem,
  before: Times,
  after: Times,
  doughId: number,
): { resource: string; dough: string } | null {
  const ownTasks = new Set(problem.tasks.flatMap(({ id, dough }) => (dough === String(doughId) ? id : [])));
  const own = (id: string) => ownTasks.has(id);
  const mixed: Times = { ...after };
  for (const [id, span] of Object.entries(before)) if (own(id)) mixed[id] = span;
  const doughOf = new Map(problem.tasks.map(({ id, dough }) => [id, dough]));
  for (const clash of clashes(problem, mixed)) {
    if (!('resource' in clash) || !clash.tasks.some(own)) continue;
    const others = clash.tasks.filter((id) => !own(id));
    const other = others.find((id) => before[id]?.[0] !== after[id]?.[0]) ?? others[0];
    if (other !== undefined) return { resource: clash.resource, dough: doughOf.get(other) ?? '' };
  }
  return null;
}
