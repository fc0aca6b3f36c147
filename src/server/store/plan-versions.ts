import type { ProposalBody } from '@/core/schedule/proposal';
import { MOVING_KINDS } from '@/core/record/event-kinds';
import { type PlannedStep } from './planned-steps';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** What was planned since a version, the newest first. */
export function plansSince(db: Db, seen: number) {
  return rowsOf<{ reason: string; name: string; at: Date }>(
    db,
    `SELECT v.reason, p.name, v.made_at AS at FROM plan_version v JOIN person p ON p.id = v.made_by
     WHERE v.id > ? ORDER BY v.id DESC LIMIT 3`,
    [seen],
  );
}

/**
 * Ends times that held until this version. By their whole keys: a search for times without an end goes through nearly all
 * that were ever planned, and locks them.
 */
export async function endSteps(db: Db, steps: readonly PlannedStep[], version: number): Promise<void> {
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

/** Writes down steps that are new in a version. */
export async function insertSteps(
  db: Db,
  steps: readonly (Omit<PlannedStep, 'since' | 'machines'> & { machines: readonly string[] })[],
  version: number,
): Promise<void> {
  await write(
    db,
    'INSERT INTO planned_step (since_version, dough_id, step_key, start_at, end_at, pinned, machines) VALUES ?',
    [
      steps.map(({ doughId, key, start, end, pinned, machines }) => [
        ...[version, doughId, key, new Date(start), new Date(end), pinned],
        machines.length > 0 ? JSON.stringify(machines) : null,
      ]),
    ],
  );
}

/** Writes a version of the plan down; gives its id. */
export function insertPlanVersion(
  db: Db,
  {
    now,
    personId,
    reason,
    act,
    before,
    ofVersion,
    doughId,
    doughAct,
  }: {
    now: number;
    personId: number;
    reason: string;
    act: 'plan' | 'base' | 'undo' | 'redo';
    before: number;
    ofVersion: number | undefined;
    doughId: number | undefined;
    doughAct: 'added' | 'removed' | undefined;
  },
) {
  return write(
    db,
    `INSERT INTO plan_version (made_at, made_by, reason, act, before_id, of_version, dough_id, dough_act)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[new Date(now), personId, reason, act, before, ofVersion ?? null],
      ...[doughId ?? null, doughAct ?? null],
    ],
  );
}

/** Whether anything was recorded since then that moves one of these doughs. */
export function moveSince(db: Db, change: number, doughIds: readonly number[]) {
  return rowsOf(
    db,
    `SELECT event.id FROM change_feed JOIN floor_event event ON event.id = change_feed.event_id
     WHERE change_feed.id > ? AND event.dough_id IN (?) AND event.kind IN (?) LIMIT 1`,
    [change, [...new Set(doughIds)], MOVING_KINDS],
  );
}

/** The number of the newest change. */
export function newestChange(db: Db) {
  return rowOf<{ newest: number }>(db, 'SELECT newest FROM feed_number');
}

/** Makes everybody else who writes a plan wait. */
export function lockHouse(db: Db) {
  return rowsOf(db, 'SELECT id FROM house WHERE id = 1 FOR UPDATE');
}

/** Writes down what was decided about a proposal. */
export async function decideProposal(
  db: Db,
  {
    decision,
    now,
    personId,
    id,
  }: { decision: 'accepted' | 'dropped'; now: number; personId: number; id: number },
): Promise<void> {
  await write(db, 'UPDATE plan_proposal SET decision = ?, decided_at = ?, decided_by = ? WHERE id = ?', [
    ...[decision, new Date(now), personId, id],
  ]);
}

/** Writes a proposal down. */
export function insertProposal(
  db: Db,
  {
    basis,
    now,
    personId,
    kind,
    title,
    body,
  }: {
    basis: number;
    now: number;
    personId: number;
    kind: 'mend' | 'way-out' | 'better';
    title: string;
    body: ProposalBody;
  },
) {
  return write(
    db,
    'INSERT INTO plan_proposal (plan_version_id, made_at, made_by, kind, title, body) VALUES (?, ?, ?, ?, ?, ?)',
    [basis, new Date(now), personId, kind, title, JSON.stringify(body)],
  );
}

/** The dough that a version added or removed. */
export function doughOfVersion(db: Db, actId: number) {
  return rowOf<{ doughId: number | null; doughAct: 'added' | 'removed' | null }>(
    db,
    'SELECT dough_id AS doughId, dough_act AS doughAct FROM plan_version WHERE id = ?',
    [actId],
  );
}

/** The version that was current before. */
export function versionBefore(db: Db, undoId: number) {
  return rowOf<{ before: number }>(db, 'SELECT before_id AS `before` FROM plan_version WHERE id = ?', [
    undoId,
  ]);
}
