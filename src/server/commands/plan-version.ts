import type { PoolConnection } from 'mysql2/promise';
import type { PlanVersion } from '@/core/schedule/plan-history';
import { MOVING_KINDS } from '@/core/record/event-kinds';
import { rowsOf, write, type Db } from '../db/rows';
import { newestPlan, stepsInPlan, type PlannedStep } from '../store/planned-steps';
import { StaleBasis } from './command';
import type { Words } from '@/core/codes/coded';
import { wordsIn } from '@/words/compile';

/** Lets one planner act at a time: holds the bakery's row until the transaction ends. */
export async function lockPlan(db: PoolConnection): Promise<void> {
  await rowsOf(db, 'SELECT id FROM house WHERE id = 1 FOR UPDATE');
}

/** What a search started from: the plan version that stood, and how far the house was. */
export interface Basis {
  plan: number;
  change: number;
}

/** What a search starts from; read before anything else that it reads. */
export async function readBasis(db: Db): Promise<Basis> {
  const [row] = await rowsOf<{ newest: number }>(db, 'SELECT newest FROM feed_number');
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
  const since = await rowsOf(
    db,
    `SELECT event.id FROM change_feed JOIN floor_event event ON event.id = change_feed.event_id
     WHERE change_feed.id > ? AND event.dough_id IN (?) AND event.kind IN (?) LIMIT 1`,
    [basis.change, [...new Set(doughIds)], MOVING_KINDS],
  );
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
  const { id } = await write(
    db,
    `INSERT INTO plan_version (made_at, made_by, reason, act, before_id, of_version, dough_id, dough_act)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[new Date(now), personId, wordsIn('en').coded(reason).slice(0, 200), act, before, ofVersion ?? null],
      ...[dough?.id ?? null, dough?.act ?? null],
    ],
  );
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
    version,
    changed.flatMap(({ was }) => was ?? []),
  );
  if (changed.length > 0)
    await write(
      db,
      'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at, pinned, machines) VALUES ?',
      [
        changed.map(({ is: { doughId, key, start, end, pinned, machines } }) => [
          ...[version, doughId, key, new Date(start), new Date(end), pinned],
          machines.length > 0 ? JSON.stringify(machines) : null,
        ]),
      ],
    );
}

/**
 * Ends times that held until this version. By their whole keys: a search for times without an end goes through nearly all
 * that were ever planned, and locks them.
 */
async function endSteps(db: PoolConnection, version: number, steps: readonly PlannedStep[]): Promise<void> {
  if (steps.length === 0) return;
  await write(
    db,
    `INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at, pinned) VALUES ?
     ON DUPLICATE KEY UPDATE until_version = ?`,
    [
      steps.map(({ since, doughId, key, start, end, pinned }) => [
        ...[since, doughId, key, new Date(start), new Date(end), pinned],
      ]),
      version,
    ],
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
    version,
    standing.filter(({ key }) => !keys.includes(key)),
  );
}
