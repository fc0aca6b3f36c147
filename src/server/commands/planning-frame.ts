import { taskId } from '@/core/process/step-ref';
import type { PlanningFrame, Standing } from '@/core/schedule/problem';
import type { DoughRecord } from '@/core/record/dough';
import { addLocalDays, localMidnight, MINUTE } from '@/core/time/local';
import type { Db } from '../db/rows';
import { doughsDueFrom } from '../store/doughs';
import { house, means } from '../store/house';

/** What planning one dough amid all others starts from. Minutes are counted from `origin`, a local midnight. */
export interface DoughFrame {
  zone: string;
  origin: number;
  minute: (at: number) => number;
  frame: PlanningFrame;
  /** Steps of all other doughs, which keep their places. */
  standing: Standing[];
}

/** Days before today whose doughs may still hold a machine, and days after the last promise that a plan may use. */
const DAYS = { back: 2, ahead: 3 };

/** The frame for a dough: from the midnight before `from` until some days after its last promise. */
export async function doughFrame(
  db: Db,
  dough: { id: number; name: string; outputs: readonly { dueAt: number }[] },
  { now, from }: { now: number; from: number },
): Promise<DoughFrame> {
  const { zone } = await house(db);
  const origin = localMidnight(from, zone);
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const until = addLocalDays(Math.max(now, ...dough.outputs.map(({ dueAt }) => dueAt)), DAYS.ahead, zone);
  const frame = {
    name: dough.name,
    horizon: minute(until),
    now: Math.ceil((now - origin) / MINUTE),
    ...(await means(db, origin, until, zone)),
  };
  const all = await doughsDueFrom(db, addLocalDays(now, -DAYS.back, zone));
  const standing = all
    .filter(({ id }) => id !== dough.id)
    .flatMap((other) => standingSteps(other, minute, frame));
  return { zone, origin, minute, frame, standing };
}

/** Steps of a planned dough that reach past now, as they stand. */
function standingSteps(
  dough: DoughRecord,
  minute: (at: number) => number,
  { now, horizon }: { now: number; horizon: number },
): Standing[] {
  return dough.steps.flatMap(({ key, plannedStart, plannedEnd, uses }) => {
    const [start, end] = [Math.max(0, minute(plannedStart)), Math.min(horizon, minute(plannedEnd))];
    if (end <= now || end <= start || uses.length === 0) return [];
    return { id: taskId(dough.id, key), dough: String(dough.id), start, end, uses };
  });
}
