import { textOf } from '@/words/as-text';
import type { PoolConnection } from 'mysql2/promise';
import type { PlanVersion } from '@/core/schedule/plan-history';
import { type Db } from '../db/rows';
import { newestPlan, stepsInPlan } from '../store/planned-steps';
import { StaleBasis } from './command';
import type { Words } from '@/core/codes/coded';
import {
  endSteps,
  insertPlanVersion,
  insertSteps,
  lockHouse,
  moveSince,
  newestChange,
} from '../store/plan-versions';

/** Lets one planner act at a time: holds the bakery's row until the transaction ends. */
export async function lockPlan(db: PoolConnection): Promise<void> {
  await lockHouse(db);
}

/** What a search started from: the plan version that stood, and how far the house was. */
export interface Basis {
  plan: number;
  change: number;
}

/** What a search starts from; read before anything else that it reads. */
export async function readBasis(db: Db): Promise<Basis> {
  const row = await newestChange(db);
  return { plan: await newestPlan(db), change: row?.newest ?? 0 };
}

/**
 * Locks the plan for what was worked out from `basis`, and for these doughs.
 *
 * @throws {StaleBasis} where another version stands by now, or where a step of one of the doughs was begun, ended,
 *   skipped or taken back since
 */
export async function lockBasis(
  db: PoolConnection,
  basis: Basis,
  doughIds: readonly number[] = [],
): Promise<void> {
  await lockPlan(db);
  if ((await newestPlan(db)) !== basis.plan) throw new StaleBasis();
  if (doughIds.length === 0) return;
  const since = await moveSince(db, basis.change, doughIds);
  if (since.length > 0) throw new StaleBasis();
}

/** Who made a plan version, when and why. */
export interface Making {
  now: number;
  personId: number;
  reason: Words;
  act?: PlanVersion['act'];
  ofVersion?: number;
  /** The dough that the act brought into the plan or took out of it. */
  dough?: { id: number; act: 'added' | 'removed' };
}

/** A step where it is from now on; a pin and machines stay as they were where nothing is said. */
export interface StepPlacement {
  doughId: number;
  key: string;
  start: number;
  end: number;
  pinned?: boolean;
  /** Ids of the machines it is on, where it has a choice. */
  machines?: readonly string[];
}

/**
 * Writes a new plan version: the last one, with these steps where they are now. Only what really changes is written; all
 * other times go on holding.
 *
 * @returns the number of the new version
 */
export async function movePlan(
  db: PoolConnection,
  placed: readonly StepPlacement[],
  { now, personId, reason, act = 'plan', ofVersion, dough }: Making,
): Promise<number> {
  const before = await newestPlan(db);
  const { id } = await insertPlanVersion(db, {
    now,
    personId,
    reason: textOf(reason),
    act,
    before,
    ofVersion,
    doughId: dough?.id,
    doughAct: dough?.act,
  });
  await place(db, id, placed);
  return id;
}

const nameOf = ({ doughId, key }: { doughId: number; key: string }) => `${doughId}/${key}`;

async function place(db: PoolConnection, version: number, placed: readonly StepPlacement[]): Promise<void> {
  if (placed.length === 0) return;
  const standing = await stepsInPlan(db, [...new Set(placed.map(({ doughId }) => doughId))]);
  const known = new Map(standing.map((step) => [nameOf(step), step]));
  const changed = placed.flatMap((one) => {
    const was = known.get(nameOf(one));
    const is = {
      ...one,
      pinned: one.pinned ?? was?.pinned ?? false,
      machines: one.machines ?? was?.machines ?? [],
    };
    const same =
      was?.start === is.start &&
      was.end === is.end &&
      was.pinned === is.pinned &&
      was.machines.join() === is.machines.join();
    return same ? [] : [{ is, was }];
  });
  await endSteps(
    db,
    changed.flatMap(({ was }) => was ?? []),
    version,
  );
  if (changed.length > 0)
    await insertSteps(
      db,
      changed.map(({ is }) => is),
      version,
    );
}

/** Takes steps that a dough no longer has out of the version that was just made. */
export async function dropOtherSteps(
  db: PoolConnection,
  version: number,
  doughId: number,
  keys: readonly string[],
): Promise<void> {
  const standing = await stepsInPlan(db, [doughId]);
  await endSteps(
    db,
    standing.filter(({ key }) => !keys.includes(key)),
    version,
  );
}
